import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { STATES } from '../floor/states';
import { DisplayUnitContext } from '../frame/signedIn';
import { Checked } from './Checked';
import { FiguresTold } from './FiguresTold';
import { JobSheet } from './JobSheet';
import { OwnFigures } from './OwnFigures';
import { OwnLook } from './OwnLook';

type Sheet = Schemas['BenchSheet'];
type Step = NonNullable<Sheet['step']>;

const STEPS: readonly { step: Step; name: string }[] = [
  { step: 'workingOut', name: 'Working it out' },
  { step: 'bending', name: 'Bending' },
  { step: 'called', name: 'Come and check' },
  { step: 'help', name: 'I need help' },
];

/** A trainee's phone: where they are, their own figures, and a call for the instructor. The sheet's code is the key. */
export default function BenchScreen() {
  const { code = '' } = useParams();
  const client = useQueryClient();
  const sheet = useQuery<Sheet, Problem>({
    queryKey: ['bench', code],
    queryFn: () => body(api.GET('/api/benches/{code}', { params: { path: { code } } })),
    refetchInterval: 10_000,
    retry: (tries, problem) => problem.status === 0 && tries < 5,
  });
  const [wanted, setWanted] = useState<{ step: Step; key: string }>();
  const [sent, setSent] = useState(false);
  const say = useMutation<Sheet, Problem, { step: Step; key: string }>({
    mutationFn: ({ step, key }) =>
      body(api.PUT('/api/benches/{code}/steps/{key}', { params: { path: { code, key } }, body: { step } })),
    // In a shed the signal comes and goes: a call is sent until it arrives.
    retry: (tries, problem) => problem.status === 0 && tries < 60,
    retryDelay: 2_000,
    onSuccess: (now) => {
      setWanted(undefined);
      client.setQueryData(['bench', code], now);
    },
    onError: () => {
      setWanted(undefined);
    },
  });
  if (sheet.data === undefined) {
    return (
      <main className="p-5">
        <p className="text-xl" role="status">
          {sheet.error?.message ?? 'Opening your sheet…'}
        </p>
      </main>
    );
  }
  const { title, fullName, bench, conduitLabel, benderLabel, job, step, checked, judged, own, others } = sheet.data;
  // Nobody knows what the figures of another method should be, so nobody asks for them.
  const free = job.method === 'free';
  return (
    <DisplayUnitContext value={job.unit}>
      <main className="mx-auto flex min-h-dvh max-w-md flex-col gap-4 p-4">
        <header>
          <p className="flex items-baseline gap-3">
            <span className="figures text-[2.6rem] leading-none" aria-label={`Bench ${String(bench)}`}>
              {bench}
            </span>
            <span className="text-2xl leading-tight font-semibold">{fullName}</span>
          </p>
          <h1 className="mt-1 text-xl leading-tight">{title}</h1>
          <p className="leading-tight">
            {conduitLabel} · {benderLabel}
          </p>
        </header>
        {checked != null && <Checked job={job} checked={checked} />}
        {judged && checked == null && (
          <p className="text-lg leading-snug">This piece is done with. Another try begins with your instructor.</p>
        )}
        {!judged && <JobSheet job={job} />}
        {!judged && (
          <div className="grid grid-cols-2 gap-2" role="group" aria-label="Where are you with it?">
            {STEPS.map((each) => {
              const current = (wanted?.step ?? step) === each.step;
              const { sign } = STATES[each.step];
              return (
                <button
                  key={each.step}
                  type="button"
                  aria-pressed={current}
                  className={`flex min-h-14 items-center gap-2 rounded-field border-2 px-3 text-left text-lg leading-tight font-semibold ${
                    current ? 'border-base-content bg-base-content text-base-100' : 'border-base-content/60 bg-base-100'
                  }`}
                  onClick={() => {
                    const said = { step: each.step, key: newId() };
                    setWanted(said);
                    say.mutate(said);
                  }}
                >
                  <span aria-hidden="true" className="text-2xl">
                    {sign}
                  </span>
                  {each.name}
                  {wanted?.step === each.step && <span className="ml-auto text-base font-normal">sending…</span>}
                </button>
              );
            })}
          </div>
        )}
        {say.error !== null && (
          <p role="alert" className="text-lg text-error">
            ✕ {say.error.message}
          </p>
        )}
        <p role="status" className="text-lg leading-snug">
          {step === 'called' && 'Your instructor is told. Leave the piece on the bench.'}
          {step === 'help' && 'Your instructor is told.'}
        </p>
        {!judged &&
          !free &&
          (own == null ? (
            <OwnFigures
              code={code}
              sheet={sheet.data}
              onSent={() => {
                setSent(true);
              }}
            />
          ) : (
            <FiguresTold code={code} sheet={sheet.data} justSent={sent} />
          ))}
        {!judged && (own != null || free) && <OwnLook code={code} points={sheet.data.lookOver} />}
        {others.length > 0 && (
          <nav aria-labelledby="also" className="border-t border-base-content/40 pt-2">
            <h2 id="also" className="text-lg font-semibold">
              You also have
            </h2>
            <ul>
              {others.map((other) => (
                <li key={other.code}>
                  <Link
                    to={`/bench/${other.code}`}
                    className="flex min-h-11 items-center text-lg leading-tight underline underline-offset-4"
                  >
                    {other.title}
                  </Link>
                </li>
              ))}
            </ul>
          </nav>
        )}
        <p className="mt-auto text-sm leading-snug">{cautionsOf(job.plan).join(' ')}</p>
      </main>
    </DisplayUnitContext>
  );
}

/** A phone may remember a sheet from an earlier build, which had none. */
function cautionsOf({ cautions = [] }: { cautions?: readonly string[] }): readonly string[] {
  return cautions;
}
