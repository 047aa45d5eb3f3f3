import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import type { TraineePage } from '../api/progress';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { InvitationCode } from '../shed/InvitationCode';
import { signInNameFor } from '../shed/signInName';

/** A trainee may have an account instead of a key: the same page, behind a password of their own. */
export function TraineeAccount({ page }: { page: TraineePage }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <p className="mt-2 leading-snug">Or an account, with a password of their own:</p>
      <button
        type="button"
        className={`${BUTTON} mt-1`}
        onClick={() => {
          setOpen(true);
        }}
      >
        A code to join with
      </button>
      {open && (
        <AccountDialog
          page={page}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

function AccountDialog({ page, onClose }: { page: TraineePage; onClose: () => void }) {
  const [accountId] = useState(() => newId());
  const [signInName, setSignInName] = useState(() => signInNameFor(page.fullName));
  const invite = useMutation<Schemas['InvitationCode'], Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/trainees/{id}/account', {
          params: { path: { id: page.traineeId } },
          body: { accountId, signInName },
        }),
      ),
  });
  return (
    <Dialog title={`An account for ${page.fullName}`} onClose={onClose}>
      {invite.data === undefined ? (
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            invite.mutate();
          }}
        >
          <TextField
            label="Signs in as"
            value={signInName}
            onChange={setSignInName}
            required
            maxLength={40}
            autoCapitalize="none"
            problem={problemAt(invite.error, '/signInName')}
            note="Whoever has an account already keeps their name, and chooses another password with the code."
          />
          <Beside problem={problemBeside(invite.error, ['/signInName'])} />
          <button className="btn h-12 btn-neutral text-lg" disabled={invite.isPending}>
            Make the code
          </button>
        </form>
      ) : (
        <InvitationCode name={page.fullName} invitation={invite.data} />
      )}
    </Dialog>
  );
}
