import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { problemAt, problemBeside } from '../frame/problems';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { CameraCode } from './CameraCode';
import { day } from './days';
import { useSecondFactor } from './queries';

const KEY = ['secondFactor'];

/** The second factor beside one's password: set up with an app, kept with codes on paper, ended. */
export function OwnSecondFactor() {
  const own = useSecondFactor();
  const [onPaper, setOnPaper] = useState<readonly string[]>();
  const state = own.data;
  return (
    <section aria-label="Your second factor" className="grid content-start gap-2">
      <h2 className="text-2xl leading-tight font-semibold">Second factor</h2>
      <Beside problem={own.error?.message} />
      {state?.heldBack === true && (
        <p className="text-lg leading-snug font-semibold">
          ▲ Your school asks its leads for one. Until you have set it up you may do what an instructor may.
        </p>
      )}
      {onPaper !== undefined && <OnPaper codes={onPaper} />}
      {state !== undefined &&
        (state.since == null ? (
          <SetUp onDone={setOnPaper} />
        ) : (
          <Ends
            since={state.since}
            codesLeft={state.codesLeft}
            needed={state.leadsNeedOne}
            onDone={() => {
              setOnPaper(undefined);
            }}
          />
        ))}
    </section>
  );
}

function SetUp({ onDone }: { onDone: (codes: readonly string[]) => void }) {
  const client = useQueryClient();
  const [code, setCode] = useState('');
  const begin = useMutation<Schemas['SecretToTake'], Problem>({
    mutationFn: () => body(api.POST('/api/me/second-factor')),
  });
  const confirm = useMutation<Schemas['OnPaper'], Problem>({
    mutationFn: () => body(api.PUT('/api/me/second-factor', { body: { code } })),
    onSuccess: async ({ recoveryCodes }) => {
      onDone(recoveryCodes);
      // What one may do can have changed with it.
      await Promise.all([KEY, ['me'], ['sessions']].map((queryKey) => client.invalidateQueries({ queryKey })));
    },
  });
  if (begin.data === undefined) {
    return (
      <>
        <p className="text-lg leading-snug">
          An app on your phone makes a code every half minute; whoever knows your password alone does not get in.
        </p>
        <Beside problem={begin.error?.message} />
        <button
          type="button"
          className={`${BUTTON} justify-self-start`}
          disabled={begin.isPending}
          onClick={() => {
            begin.mutate();
          }}
        >
          Set it up
        </button>
      </>
    );
  }
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        confirm.mutate();
      }}
    >
      <p className="leading-snug">Read this with your authenticator app, or type the secret into it.</p>
      <CameraCode rows={begin.data.code} label="Code for your authenticator app" />
      <p className="figures text-lg break-all select-all">{begin.data.secret.replace(/(.{4})(?=.)/g, '$1 ')}</p>
      <TextField
        label="The code that it shows now"
        inputMode="numeric"
        autoComplete="one-time-code"
        required
        value={code}
        onChange={setCode}
        problem={problemAt(confirm.error, '/code')}
      />
      <Beside problem={problemBeside(confirm.error, ['/code'])} />
      <button className="btn h-12 btn-neutral text-lg" disabled={confirm.isPending}>
        Let it count from now on
      </button>
    </form>
  );
}

function OnPaper({ codes }: { codes: readonly string[] }) {
  return (
    <div className="border-l-4 border-primary pl-3" role="status">
      <p className="text-lg leading-snug">
        ● It counts from now on. Write these down, or print them, and keep them where nobody looks: each stands in once
        for a code of the app. They are not shown again.
      </p>
      <ul aria-label="Recovery codes" className="figures mt-2 grid grid-cols-2 gap-x-6 text-xl">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
    </div>
  );
}

function Ends({
  since,
  codesLeft,
  needed,
  onDone,
}: {
  since: string;
  codesLeft: number;
  needed: boolean;
  onDone: () => void;
}) {
  const client = useQueryClient();
  const [password, setPassword] = useState('');
  const end = useMutation<unknown, Problem>({
    mutationFn: () => body(api.PUT('/api/me/second-factor/ended', { body: { password } })),
    onSuccess: async () => {
      onDone();
      await Promise.all([KEY, ['me'], ['sessions']].map((queryKey) => client.invalidateQueries({ queryKey })));
    },
  });
  return (
    <>
      <p className="text-lg leading-snug">
        ● An app’s code, since {day(since)}. {codesLeft} recovery {codesLeft === 1 ? 'code is' : 'codes are'} left
        {codesLeft < 3 && ': end it and set it up again to have new ones'}.
      </p>
      <details>
        <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">End it</summary>
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            end.mutate();
          }}
        >
          {needed && <p className="leading-snug">▲ Your school asks its leads for one.</p>}
          <TextField
            label="Your password"
            type="password"
            autoComplete="current-password"
            required
            value={password}
            onChange={setPassword}
            problem={problemAt(end.error, '/password')}
          />
          <Beside problem={problemBeside(end.error, ['/password'])} />
          <button className={BUTTON} disabled={end.isPending}>
            Ask me for no code any more
          </button>
        </form>
      </details>
    </>
  );
}
