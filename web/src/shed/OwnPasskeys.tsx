import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { canPasskeys, makePasskey, passkeyWords } from '../session/passkeys';
import { day } from './days';
import { deviceName } from './deviceName';
import { useKept } from './useKept';

const SHOWS = ['passkeys'];

/** Passkeys beside one's password: made by a device, each taken away by itself. */
export function OwnPasskeys() {
  const own = useQuery<Schemas['PasskeyView'][], Problem>({
    queryKey: ['passkeys'],
    queryFn: () => body(api.GET('/api/me/passkeys')),
  });
  const takeAway = useKept<string>(
    (passkey) => body(api.DELETE('/api/me/passkeys/{passkey}', { params: { path: { passkey } } })),
    SHOWS,
  );
  return (
    <section aria-label="Your passkeys" className="grid content-start gap-2">
      <h2 className="text-2xl leading-tight font-semibold">Passkeys</h2>
      <p className="text-lg leading-snug">
        A device that knows you by finger, face or PIN signs you in: no password, and no code beside it.
      </p>
      <Beside problem={(own.error ?? takeAway.error)?.message} />
      <ul>
        {own.data?.map((passkey) => (
          <li key={passkey.id} className="flex items-center justify-between gap-3 border-b border-base-300 py-1.5">
            <span className="leading-tight">
              <span className="block text-lg font-semibold">{passkey.label}</span>
              since {day(passkey.createdAt)}, used {day(passkey.lastUsedAt)}
            </span>
            <button
              type="button"
              className={BUTTON}
              aria-label={`Take ${passkey.label} away`}
              disabled={takeAway.isPending}
              onClick={() => {
                takeAway.mutate(passkey.id);
              }}
            >
              Take away
            </button>
          </li>
        ))}
      </ul>
      {canPasskeys() ? (
        <NewPasskey key={own.data?.length ?? 0} />
      ) : (
        <p className="leading-snug">
          To make one, open Lobrik by a name and a secure address, or on this machine as{' '}
          <b>http://localhost:{window.location.port}</b>.
        </p>
      )}
    </section>
  );
}

function NewPasskey() {
  const [label, setLabel] = useState(() => deviceName(navigator.userAgent));
  const make = useKept(() => makePasskey(label), SHOWS);
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate(undefined);
      }}
    >
      <TextField label="What this device is called" required maxLength={60} value={label} onChange={setLabel} />
      <Beside problem={make.error === null ? undefined : passkeyWords(make.error)} />
      <button className={`${BUTTON} justify-self-start`} disabled={make.isPending}>
        Make a passkey here
      </button>
    </form>
  );
}
