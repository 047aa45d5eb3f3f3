import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type SyntheticEvent, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';

/** Asks for name and password, beside a piece of what the product is about. */
export function SignIn() {
  const client = useQueryClient();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const signIn = useMutation<Schemas['Me'], Problem>({
    mutationFn: () => body(api.POST('/api/session', { body: { name, password } })),
    onSuccess: (me) => client.setQueryData(['me'], me),
  });
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
          <Field label="Name" value={name} onChange={setName} autoComplete="username" autoFocus />
          <Field
            label="Password"
            value={password}
            onChange={setPassword}
            type="password"
            autoComplete="current-password"
          />
          {signIn.error !== null && (
            <p role="alert" className="text-error">
              <span aria-hidden="true">✕ </span>
              {signIn.error.message}
            </p>
          )}
          <button className="btn h-12 btn-neutral text-lg" disabled={signIn.isPending}>
            Sign in
          </button>
        </form>
      </div>
    </main>
  );
}

function Field({
  label,
  onChange,
  ...input
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  type?: string;
  autoComplete: string;
  autoFocus?: boolean;
}) {
  return (
    <label className="grid gap-1">
      {label}
      <input
        {...input}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        className="h-12 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-lg"
        required
      />
    </label>
  );
}

/** A stub ninety on drafting film, with its two legs and its ring. */
function BentTube() {
  return (
    <svg
      viewBox="0 0 800 760"
      className="h-full w-full max-lg:hidden"
      preserveAspectRatio="xMidYMid slice"
      aria-hidden="true"
    >
      <pattern id="sheet" width="40" height="40" patternUnits="userSpaceOnUse">
        <path d="M40 0H0V40" fill="none" stroke="var(--grid)" className="line-thin" />
      </pattern>
      <rect width="800" height="760" fill="url(#sheet)" />
      <g fill="none">
        <path d="M250 90V400a150 150 0 0 0 150 150H700" stroke="var(--steel-edge)" strokeWidth="64" />
        <path d="M250 90V400a150 150 0 0 0 150 150H700" stroke="var(--steel-fill)" strokeWidth="60" />
        <path d="M261 90V400a139 139 0 0 0 139 139H700" stroke="var(--steel-sheen)" strokeWidth="15" opacity=".75" />
        <path
          d="M250 90V400a150 150 0 0 0 150 150H700"
          stroke="var(--steel-edge)"
          strokeDasharray="16 4 3 4"
          className="line-thin"
        />
        <path d="M208 372H292" stroke="var(--color-base-content)" className="line-bold" />
        <path d="M150 90V582M132 98l18-16M132 590l18-16" stroke="var(--line)" className="line-medium" />
        <path d="M218 640H700M210 648l16-16M692 648l16-16" stroke="var(--line)" className="line-medium" />
        <path d="M60 582H800" stroke="var(--line)" className="line-medium" />
        <path d="M300 372L420 330" stroke="var(--line)" className="line-thin" />
      </g>
      <g
        className="figures"
        fill="var(--color-base-content)"
        fontSize="40"
        textAnchor="middle"
        stroke="var(--halo)"
        strokeWidth="8"
        paintOrder="stroke"
      >
        <text x="150" y="345">
          17 <tspan className="fraction">5/8</tspan>
        </text>
        <text x="460" y="655">
          22
        </text>
        <text x="470" y="340" fill="var(--asked)">
          11 <tspan className="fraction">5/8</tspan>
        </text>
        <text x="480" y="440">
          90°
        </text>
      </g>
    </svg>
  );
}
