import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type SyntheticEvent, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { problemAt, problemBeside } from '../frame/problems';
import { useSignedIn } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { OwnPasskeys } from './OwnPasskeys';
import { OwnSecondFactor } from './OwnSecondFactor';
import { ROLES } from './roles';
import { SessionList } from './SessionList';

/** One's own account: what one is, one's password, and where one is signed in. */
export function You() {
  const me = useSignedIn();
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4" tabIndex={0} role="region" aria-label="Your account">
      <p className="text-xl leading-snug">
        <b>{me.fullName}</b>, {ROLES[me.role].name.toLowerCase()}: {ROLES[me.role].does}.
      </p>
      <div className="mt-4 grid max-w-5xl gap-x-10 gap-y-6 md:grid-cols-2">
        <Password />
        <OwnSessions />
        <OwnSecondFactor />
        <OwnPasskeys />
      </div>
    </div>
  );
}

function Password() {
  const client = useQueryClient();
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const choose = useMutation<unknown, Problem>({
    mutationFn: () => body(api.PUT('/api/me/password', { body: { current, next } })),
    onSuccess: () => {
      setCurrent('');
      setNext('');
      return client.invalidateQueries({ queryKey: ['sessions'] });
    },
  });
  return (
    <form
      className="grid content-start gap-3"
      aria-label="Your password"
      onSubmit={(event: SyntheticEvent) => {
        event.preventDefault();
        choose.mutate();
      }}
    >
      <h2 className="text-2xl leading-tight font-semibold">Password</h2>
      <TextField
        label="Your password now"
        type="password"
        autoComplete="current-password"
        required
        value={current}
        onChange={setCurrent}
        problem={problemAt(choose.error, '/current')}
      />
      <TextField
        label="Another one"
        type="password"
        autoComplete="new-password"
        required
        value={next}
        onChange={setNext}
        note="At least 12 characters; some words that only you would put together."
        problem={problemAt(choose.error, '/next')}
      />
      <Beside problem={problemBeside(choose.error, ['/current', '/next'])} />
      <button className="btn h-12 btn-neutral text-lg" disabled={choose.isPending}>
        Take the other one
      </button>
      <p role="status">{choose.isSuccess && '● It counts from now on. Everywhere else you are signed out.'}</p>
    </form>
  );
}

function OwnSessions() {
  const client = useQueryClient();
  const sessions = useQuery<Schemas['Place'][], Problem>({
    queryKey: ['sessions'],
    queryFn: () => body(api.GET('/api/sessions')),
  });
  const end = useMutation<unknown, Problem, string>({
    mutationFn: (session) => body(api.DELETE('/api/sessions/{session}', { params: { path: { session } } })),
    onSettled: () => client.invalidateQueries({ queryKey: ['sessions'] }),
  });
  return (
    <section aria-label="Where you are signed in">
      <h2 className="text-2xl leading-tight font-semibold">Signed in</h2>
      <SessionList sessions={sessions.data} onEnd={end.mutate} />
      <Beside problem={(sessions.error ?? end.error)?.message} />
    </section>
  );
}
