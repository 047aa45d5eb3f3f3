import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type SyntheticEvent, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { problemAt } from '../frame/problems';
import { NotSecure } from '../frame/SecureNote';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { BentTube } from './BentTube';
import { canPasskeys, passkeyWords, showPasskey } from './passkeys';

/** Asks for name and password, beside a piece of what the product is about. */
export function SignIn() {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const signIn = useMutation<Schemas['Me'], Problem>({
    meta: { signsIn: true },
    mutationFn: () => body(api.POST('/api/session', { body: { name, password, code } })),
    onSuccess: (me) => client.setQueryData(['me'], me),
  });
  const show = useMutation<Schemas['Me'], Error>({
    meta: { signsIn: true },
    mutationFn: showPasskey,
    onSuccess: (me) => client.setQueryData(['me'], me),
  });
  // Asked for once the password was right.
  const asked = code !== '' || problemAt(signIn.error, '/code') !== undefined;
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    signIn.mutate();
  };
  return (
    <main className="grid min-h-dvh lg:grid-cols-[1fr_27rem]">
      <BentTube />
      <div className="flex flex-col justify-center border-base-300 bg-base-200 px-10 py-8 lg:border-l">
        <h1 className="text-5xl font-semibold tracking-tight">Lobrik</h1>
        <p className="mt-1 text-lg">Set the bend. Measure it. See why.</p>
        <form onSubmit={submit} className="mt-8 grid gap-4">
          <TextField label="Name" value={name} onChange={setName} autoComplete="username" autoFocus required />
          <TextField
            label="Password"
            value={password}
            onChange={setPassword}
            type="password"
            autoComplete="current-password"
            required
          />
          {asked && (
            <TextField
              label="Code of your app, or from paper"
              value={code}
              onChange={setCode}
              autoComplete="one-time-code"
              autoFocus
              required
            />
          )}
          {signIn.error !== null && (
            <p role="alert" className="text-error">
              <span aria-hidden="true">✕ </span>
              {signIn.error.message}
            </p>
          )}
          <button className="btn h-12 btn-neutral text-lg" disabled={signIn.isPending}>
            Sign in
          </button>
          {!window.isSecureContext && (
            <details className="rounded-field border-2 border-warning px-3 py-2">
              <summary className="text-lg">▲ This address is not secure</summary>
              <NotSecure />
            </details>
          )}
          {canPasskeys() && (
            <>
              {show.error !== null && (
                <p role="alert" className="text-error">
                  <span aria-hidden="true">✕ </span>
                  {passkeyWords(show.error)}
                </p>
              )}
              <button
                type="button"
                className={`${BUTTON} h-12 text-lg`}
                disabled={show.isPending}
                onClick={() => {
                  show.mutate();
                }}
              >
                Sign in with a passkey
              </button>
            </>
          )}
          <a href="/join" className="min-h-11 content-center underline">
            I have a code to join with, or for another password
          </a>
        </form>
      </div>
    </main>
  );
}
