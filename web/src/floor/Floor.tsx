import { type CSSProperties, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import { useFloor, useOpenAttempt } from '../api/queries';
import { CohortChoice } from '../frame/CohortChoice';
import { Header } from '../frame/Header';
import { useCohort } from '../frame/cohort';
import { StartCohort } from './StartCohort';

type Bench = Schemas['BenchView'];

/** The cohort at its benches: who is on what. One tap leads to measuring. */
export function Floor() {
  const room = useCohort();
  const { cohorts, cohort } = room;
  const floor = useFloor(cohort?.id);
  const [wanted, setWanted] = useState('');
  if (cohorts?.length === 0) {
    return <StartCohort />;
  }
  const benches = (floor.data?.benches ?? []).filter(({ fullName }) =>
    fullName.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  return (
    <div className="flex min-h-full flex-col">
      <Header title="Floor" about={floor.data === undefined ? undefined : <Tally benches={floor.data.benches} />}>
        <input
          type="search"
          aria-label="Find a trainee"
          placeholder="Find a name"
          value={wanted}
          onChange={(event) => {
            setWanted(event.target.value);
          }}
          className="h-11 w-40 rounded-field border-2 border-base-content/60 bg-base-100 px-3"
        />
        <CohortChoice {...room} />
      </Header>
      {floor.error !== null && (
        <p role="alert" className="p-4 text-error">
          {floor.error.message}
        </p>
      )}
      <ol
        className="grid grid-cols-[minmax(0,1fr)] gap-x-8 px-4 lg:grid-cols-none lg:min-h-0 lg:flex-1 lg:auto-cols-fr lg:grid-flow-col lg:[grid-template-rows:var(--rows)]"
        style={
          { '--rows': `repeat(${String(Math.ceil(benches.length / 2))}, minmax(4.6rem, 6.1rem))` } as CSSProperties
        }
      >
        {benches.map((bench) => (
          <BenchRow key={bench.traineeId} bench={bench} />
        ))}
      </ol>
      {floor.data !== undefined && benches.length === 0 && (
        <p className="p-4">Nobody here has “{wanted}” in the name.</p>
      )}
    </div>
  );
}

function Tally({ benches }: { benches: readonly Bench[] }) {
  const judged = benches.filter(({ state }) => state === 'judged');
  const passed = judged.filter(({ attempt }) => attempt?.passed === true);
  const bending = benches.filter(({ state }) => state === 'bending');
  return (
    <>
      {bending.length} at work, {judged.length} judged, {passed.length} of them passed
    </>
  );
}

function BenchRow({ bench }: { bench: Bench }) {
  const navigate = useNavigate();
  const open = useOpenAttempt();
  const measure = () => {
    open.mutate(bench.traineeId, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
  };
  return (
    <li className="flex min-h-[4.6rem] items-center gap-3 border-b border-base-300 py-1.5">
      <span
        className="figures w-12 shrink-0 text-center text-[2.5rem] max-sm:w-8 max-sm:text-2xl leading-none opacity-85"
        aria-label={`Bench ${String(bench.bench)}`}
      >
        {bench.bench}
      </span>
      <div className="min-w-0 flex-1">
        <Link
          to={`/progress/${bench.traineeId}`}
          className="block truncate text-2xl leading-tight font-semibold max-sm:text-xl hover:underline"
        >
          {bench.fullName}
        </Link>
        <p className="truncate text-lg leading-tight">{bench.exerciseTitle ?? 'Nothing given yet'}</p>
        {open.error !== null && (
          <p role="alert" className="text-sm text-error">
            {open.error.message}
          </p>
        )}
      </div>
      <BenchState bench={bench} onMeasure={measure} busy={open.isPending} />
    </li>
  );
}

function BenchState({ bench, onMeasure, busy }: { bench: Bench; onMeasure: () => void; busy: boolean }) {
  const { attempt } = bench;
  switch (bench.state) {
    case 'nothingGiven':
      return (
        <Link
          to={`/set?trainee=${bench.traineeId}`}
          className="btn h-12 w-28 border-2 border-base-content/60 text-base"
        >
          Set
        </Link>
      );
    case 'bending':
      return (
        <button type="button" className="btn h-12 w-28 btn-neutral text-base" onClick={onMeasure} disabled={busy}>
          Measure
        </button>
      );
    case 'measuring':
      return (
        <button
          type="button"
          className="btn h-12 w-28 border-2 border-base-content/60 text-base leading-tight"
          onClick={onMeasure}
          disabled={busy}
        >
          Go on
          <span className="figures">
            {attempt?.measured}/{attempt?.features}
          </span>
        </button>
      );
    case 'judged':
      return (
        <span className="flex items-center gap-1">
          <Link
            to={`/verdict/${attempt?.id ?? ''}`}
            className={`flex h-12 w-20 items-center justify-center gap-1.5 rounded-field border-2 hover:bg-base-200 ${
              attempt?.passed === true ? 'border-success text-success' : 'border-error text-error'
            }`}
            aria-label={`Verdict: ${String(Math.round(attempt?.points ?? 0))} points, ${attempt?.passed === true ? 'passed' : 'not passed'}`}
          >
            <span aria-hidden="true" className="text-base">
              {attempt?.passed === true ? '●' : '✕'}
            </span>
            <span className="figures text-[1.6rem] leading-none">{Math.round(attempt?.points ?? 0)}</span>
          </Link>
          <button
            type="button"
            className="btn h-12 px-2 btn-ghost text-sm leading-tight max-sm:hidden"
            onClick={onMeasure}
            disabled={busy}
            aria-label={`Measure another try of ${bench.fullName}`}
          >
            Again
          </button>
        </span>
      );
  }
}
