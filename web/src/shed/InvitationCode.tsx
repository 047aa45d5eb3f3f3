import { useState } from 'react';
import type { Schemas } from '../api/client';
import { BUTTON } from '../library/button';
import { day } from './days';
import { openSlip } from './slip';

/** A code that was made just now: it is told once, to be handed on as a link or on paper. */
export function InvitationCode({ name, invitation }: { name: string; invitation: Schemas['InvitationCode'] }) {
  const link = `${window.location.origin}/join/${invitation.code}`;
  const [done, setDone] = useState('');
  const tell = (said: string) => (worked: Promise<unknown>) => {
    void worked.then(
      () => {
        setDone(said);
      },
      () => {
        setDone('That did not work; write the code down.');
      },
    );
  };
  return (
    <div className="grid gap-2 text-lg leading-snug">
      <p>
        With this {name} chooses a password. It works once, until {day(invitation.expiresAt)}, and is told only now.
      </p>
      <p className="figures text-[1.9rem] leading-none select-all">{invitation.code}</p>
      <p className="text-base break-all select-all">{link}</p>
      <div className="flex flex-wrap gap-2">
        {/* Only at a secure address; the link above is selected as a whole. */}
        {'clipboard' in navigator && (
          <button
            type="button"
            className={BUTTON}
            onClick={() => {
              tell('The link is copied.')(navigator.clipboard.writeText(link));
            }}
          >
            Copy the link
          </button>
        )}
        <button
          type="button"
          className={BUTTON}
          onClick={() => {
            tell('The slip is made.')(openSlip(invitation.code));
          }}
        >
          Slip to print
        </button>
      </div>
      <p role="status">{done}</p>
    </div>
  );
}
