import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { TextField } from '../frame/TextField';
import { Beside } from '../frame/Beside';
import { InvitationCode } from './InvitationCode';
import { RoleChoice } from './RoleChoice';
import type { Role } from './roles';
import { signInNameFor } from './signInName';

/** Invites somebody; the code that comes back is handed on. */
export function InviteDialog({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  const [id] = useState(() => newId());
  const [fullName, setFullName] = useState('');
  const [typed, setTyped] = useState<string>();
  const [role, setRole] = useState<Role>('INSTRUCTOR');
  const signInName = typed ?? signInNameFor(fullName);
  const invite = useMutation<Schemas['Invited'], Problem>({
    mutationFn: () =>
      body(api.PUT('/api/people/{id}', { params: { path: { id } }, body: { fullName, signInName, role } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['people'] }),
  });
  return (
    <Dialog title="Invite somebody" onClose={onClose}>
      {invite.data === undefined ? (
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            invite.mutate();
          }}
        >
          <TextField
            label="Full name"
            value={fullName}
            onChange={setFullName}
            required
            maxLength={100}
            autoComplete="off"
            problem={problemAt(invite.error, '/fullName')}
          />
          <TextField
            label="Signs in as"
            value={signInName}
            onChange={setTyped}
            required
            maxLength={40}
            autoComplete="off"
            autoCapitalize="none"
            problem={problemAt(invite.error, '/signInName')}
          />
          <RoleChoice value={role} onChange={setRole} />
          <Beside problem={problemBeside(invite.error, ['/fullName', '/signInName'])} />
          <button className="btn h-12 btn-neutral text-lg" disabled={invite.isPending}>
            Make the invitation
          </button>
        </form>
      ) : invite.data.invitation == null ? (
        <p className="text-lg">{fullName} is invited already; make another code on their page.</p>
      ) : (
        <InvitationCode name={fullName} invitation={invite.data.invitation} />
      )}
    </Dialog>
  );
}
