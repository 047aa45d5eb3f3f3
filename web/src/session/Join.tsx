import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { problemAt, problemBeside } from '../frame/problems';
import { TextField } from '../frame/TextField';
import { ROLES } from '../shed/roles';
import { BentTube } from './BentTube';

/** Where somebody comes to who was invited: with the code in the address, or to be typed. */
export default function Join() {
  const { code } = useParams();
  return (
    <main className="grid min-h-dvh lg:grid-cols-[1fr_30rem]">
      <BentTube />
      <div className="flex flex-col justify-center border-base-300 bg-base-200 px-10 py-8 max-sm:px-5 lg:border-l">
        {code === undefined ? <TypeCode /> : <TakeUp key={code} code={code} />}
      </div>
    </main>
  );
}

function TypeCode() {
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  return (
    <form
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        void navigate(`/join/${encodeURIComponent(typed.trim())}`);
      }}
    >
      <h1 className="text-4xl font-semibold tracking-tight">Join your school</h1>
      <TextField
        label="The code on your slip"
        value={typed}
        onChange={setTyped}
        required
        autoFocus
        autoComplete="off"
        autoCapitalize="characters"
        placeholder="7K2M-9QXD-04TB-6H3W"
      />
      <button className="btn h-12 btn-neutral text-lg">Go on</button>
    </form>
  );
}

function TakeUp({ code }: { code: string }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [password, setPassword] = useState('');
  const [factor, setFactor] = useState('');
  const opened = useQuery<Schemas['Opened'], Problem>({
    queryKey: ['invitation', code],
    queryFn: () => body(api.GET('/api/invitations/{code}', { params: { path: { code } } })),
    retry: false,
    gcTime: 0,
  });
  const take = useMutation<Schemas['Me'], Problem>({
    mutationFn: () =>
      body(api.PUT('/api/invitations/{code}', { params: { path: { code } }, body: { password, code: factor } })),
    onSuccess: (me) => {
      client.setQueryData(['me'], me);
      // Whatever was kept of somebody else on this device is nothing to whoever joins; the invitation is used up.
      client.removeQueries({ predicate: ({ queryKey: [key] }) => key !== 'me' && key !== 'invitation' });
      void navigate('/', { replace: true });
    },
  });
  if (opened.data === undefined) {
    return (
      <>
        <p className="text-xl leading-snug" role={opened.error === null ? 'status' : 'alert'}>
          {opened.error === null
            ? 'Opening your invitation…'
            : opened.error.status === 404
              ? 'This code opens nothing. It works once and for two weeks: ask whoever gave it to you for another.'
              : opened.error.message}
        </p>
        {opened.error !== null && (
          <a href="/join" className="mt-4 text-lg underline">
            Type another code
          </a>
        )}
      </>
    );
  }
  const { fullName, signInName, schoolName, role, fresh } = opened.data;
  return (
    <form
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        take.mutate();
      }}
    >
      <div>
        <p className="text-lg leading-tight">{schoolName}</p>
        <h1 className="text-4xl font-semibold tracking-tight">{fullName}</h1>
        <p className="mt-1 text-lg leading-snug">
          {fresh ? `You join as ${ROLES[role].name.toLowerCase()}.` : 'Choose another password.'} You sign in as{' '}
          <b>{signInName}</b>.
        </p>
      </div>
      <input type="hidden" autoComplete="username" value={signInName} readOnly />
      <TextField
        label="A password of your own"
        type="password"
        autoComplete="new-password"
        required
        autoFocus
        value={password}
        onChange={setPassword}
        note="At least 12 characters; some words that only you would put together."
        problem={problemAt(take.error, '/password')}
      />
      {(factor !== '' || problemAt(take.error, '/code') !== undefined) && (
        <TextField
          label="Code of your app, or from paper"
          autoComplete="one-time-code"
          required
          value={factor}
          onChange={setFactor}
          problem={problemAt(take.error, '/code')}
        />
      )}
      <Beside problem={problemBeside(take.error, ['/password', '/code'])} />
      <button className="btn h-12 btn-neutral text-lg" disabled={take.isPending}>
        {fresh ? 'Join' : 'Take this password'}
      </button>
    </form>
  );
}
