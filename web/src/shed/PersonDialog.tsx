import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { InvitationCode } from './InvitationCode';
import { type Person, useCohortStaff } from './queries';
import { RoleChoice } from './RoleChoice';
import { ROLES } from './roles';
import { useKept } from './useKept';
import { SessionList } from './SessionList';

/** Somebody's account: what they are, which cohorts are theirs, where they are signed in, and whether they are let in. */
export function PersonDialog({ person, onClose }: { person: Person; onClose: () => void }) {
  return (
    <Dialog title={person.fullName} wide onClose={onClose}>
      <div className="grid gap-x-8 gap-y-4 md:grid-cols-2">
        <div className="grid content-start gap-4">
          {person.role === 'TRAINEE' ? (
            <p className="text-lg leading-snug">
              A trainee, who sees their own page. It signs in as <b>{person.signInName}</b>.
            </p>
          ) : (
            <WhatTheyAre person={person} onDone={onClose} />
          )}
          <LetIn person={person} onDone={onClose} />
        </div>
        <div className="grid content-start gap-4">
          <TheirCode person={person} />
          {person.role !== 'TRAINEE' && <TheirCohorts person={person} />}
          <TheirSessions person={person} />
          {person.secondFactor && <TheirSecondFactor person={person} onDone={onClose} />}
        </div>
      </div>
    </Dialog>
  );
}

const SHOWN_BY = ['people', 'cohortStaff'];

function WhatTheyAre({ person, onDone }: { person: Person; onDone: () => void }) {
  const [fullName, setFullName] = useState(person.fullName);
  const [role, setRole] = useState(person.role);
  const change = useKept(
    () =>
      body(
        api.PUT('/api/people/{id}/role', {
          params: { path: { id: person.id } },
          body: { edition: person.edition, fullName, role },
        }),
      ),
    SHOWN_BY,
    onDone,
  );
  return (
    <form
      className="grid gap-3"
      aria-label="What they are"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate(undefined);
      }}
    >
      <TextField
        label="Full name"
        value={fullName}
        onChange={setFullName}
        required
        maxLength={100}
        problem={problemAt(change.error, '/fullName')}
        note={`Signs in as ${person.signInName}`}
      />
      <RoleChoice value={role} onChange={setRole} />
      {role !== person.role && person.state === 'ACTIVE' && (
        <p className="leading-snug">
          ▲ As soon as this is kept, {person.fullName} is signed out everywhere, and signs in again as{' '}
          {ROLES[role].name.toLowerCase()}.
        </p>
      )}
      <Beside problem={problemBeside(change.error, ['/fullName'])} />
      <button
        className="btn h-12 btn-neutral text-lg"
        disabled={change.isPending || (fullName === person.fullName && role === person.role)}
      >
        Keep
      </button>
    </form>
  );
}

function TheirCohorts({ person }: { person: Person }) {
  const staff = useCohortStaff();
  const seen = staff.data?.filter((cohort) => cohort.staff.includes(person.id)).map(({ cohortId }) => cohortId) ?? [];
  const assign = useKept<string[]>(
    (cohortIds) =>
      body(api.PUT('/api/people/{id}/cohorts', { params: { path: { id: person.id } }, body: { seen, cohortIds } })),
    SHOWN_BY,
  );
  // As it was pressed, until the server has said.
  const shown = assign.isPending ? assign.variables : seen;
  if (person.role === 'AUDITOR' || person.role === 'LEAD') {
    return <p className="leading-snug">{ROLES[person.role].name}s see every cohort.</p>;
  }
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1">Teaches or helps with</legend>
      {staff.data?.length === 0 && <p>There is no cohort yet.</p>}
      {staff.data?.map(({ cohortId, name }) => (
        <label key={cohortId} className="flex min-h-11 items-center gap-3 text-lg">
          <input
            type="checkbox"
            className="size-5"
            checked={shown.includes(cohortId)}
            disabled={assign.isPending}
            onChange={(event) => {
              assign.mutate(event.target.checked ? [...seen, cohortId] : seen.filter((id) => id !== cohortId));
            }}
          />
          {name}
        </label>
      ))}
      <Beside problem={assign.error?.message} />
    </fieldset>
  );
}

function TheirCode({ person }: { person: Person }) {
  const client = useQueryClient();
  const make = useMutation<Schemas['Invited'], Problem>({
    mutationFn: () => body(api.PUT('/api/people/{id}/invitation', { params: { path: { id: person.id } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['people'] }),
  });
  if (person.state === 'DISABLED') {
    return null;
  }
  return (
    <section aria-label="Code for a password">
      {make.data?.invitation == null ? (
        <button
          type="button"
          className={BUTTON}
          disabled={make.isPending}
          onClick={() => {
            make.mutate();
          }}
        >
          {person.state === 'INVITED' ? 'Another code to join with' : 'A code for another password'}
        </button>
      ) : (
        <InvitationCode name={person.fullName} invitation={make.data.invitation} />
      )}
      <Beside problem={make.error?.message} />
    </section>
  );
}

function TheirSessions({ person }: { person: Person }) {
  const client = useQueryClient();
  const key = ['people', person.id, 'sessions'];
  const sessions = useQuery<Schemas['Place'][], Problem>({
    queryKey: key,
    queryFn: () => body(api.GET('/api/people/{id}/sessions', { params: { path: { id: person.id } } })),
  });
  const end = useMutation<unknown, Problem, string>({
    mutationFn: (session) =>
      body(api.DELETE('/api/people/{id}/sessions/{session}', { params: { path: { id: person.id, session } } })),
    onSettled: () => client.invalidateQueries({ queryKey: key }),
  });
  return (
    <section aria-label="Where they are signed in">
      <h3 className="text-lg font-semibold">Signed in</h3>
      <SessionList sessions={sessions.data} onEnd={end.mutate} />
    </section>
  );
}

/** Somebody who has lost their phone and their paper is let in by password again. */
function TheirSecondFactor({ person, onDone }: { person: Person; onDone: () => void }) {
  const end = useKept(
    () => body(api.DELETE('/api/people/{id}/second-factor', { params: { path: { id: person.id } } })),
    SHOWN_BY,
    onDone,
  );
  return (
    <section aria-label="Second factor">
      <Beside problem={end.error?.message} />
      <button
        type="button"
        className={BUTTON}
        disabled={end.isPending}
        onClick={() => {
          end.mutate(undefined);
        }}
      >
        Take their lost second factor off
      </button>
    </section>
  );
}

function LetIn({ person, onDone }: { person: Person; onDone: () => void }) {
  const disabled = person.state === 'DISABLED';
  const [reason, setReason] = useState('');
  const change = useKept(
    () =>
      body(
        api.PUT('/api/people/{id}/disabled', {
          params: { path: { id: person.id } },
          body: { edition: person.edition, disabled: !disabled, reason },
        }),
      ),
    SHOWN_BY,
    onDone,
  );
  return (
    <form
      className="grid gap-2 border-t border-base-300 pt-3"
      aria-label="Whether they are let in"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate(undefined);
      }}
    >
      {!disabled && (
        <TextField
          label="Let in no more, because"
          value={reason}
          onChange={setReason}
          required
          maxLength={300}
          problem={problemAt(change.error, '/reason')}
          note="Signed out everywhere at once. What they wrote down stays."
        />
      )}
      <Beside problem={problemBeside(change.error, ['/reason'])} />
      <button className={BUTTON} disabled={change.isPending}>
        {disabled ? 'Let in again' : 'Disable the account'}
      </button>
    </form>
  );
}
