import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import { useOpenAttempt } from '../api/queries';
import { Portrait } from '../frame/Portrait';
import { StepDialog } from './StepDialog';
import { PRESENCE } from '../shed/AttendanceList';
import { lasting, STATES } from './states';
import { useMay } from '../frame/rights';

type Bench = Schemas['BenchView'];

/** Where a trainee without a phone may be put by the instructor. */
const MOVABLE = new Set<Bench['state']>(['notStarted', 'workingOut', 'bending', 'called', 'help', 'measuring']);

interface BenchRowProps {
  bench: Bench;
  now: number;
  /** How many entries of this piece wait on this device. */
  waiting: number;
}

/** A trainee at a bench: on what, how far, since when, and what to do next. */
export function BenchRow({ bench, now, waiting }: BenchRowProps) {
  const navigate = useNavigate();
  const open = useOpenAttempt();
  const [moving, setMoving] = useState(false);
  const measures = useMay('MEASURE');
  const measure = (assignmentId = bench.assignmentId, again = false) => {
    open.mutate(
      { traineeId: bench.traineeId, assignmentId, again },
      { onSuccess: ({ id }) => void navigate(`/measure/${id}`) },
    );
  };
  const { name, sign, tone } = STATES[bench.state];
  const urgent = bench.state === 'called' || bench.state === 'help';
  return (
    <li className="flex min-h-[4.6rem] items-center gap-3 border-b border-base-300 py-0.5" data-state={bench.state}>
      <span
        className="figures w-12 shrink-0 text-center text-[2.5rem] max-sm:w-8 max-sm:text-2xl leading-none opacity-85"
        aria-label={`Bench ${String(bench.bench)}`}
      >
        {bench.bench}
      </span>
      <Portrait id={bench.traineeId} portraitAt={bench.portraitAt} className="size-14 max-sm:size-11" />
      <div className="min-w-0 flex-1">
        <Link
          to={`/progress/${bench.traineeId}`}
          className="block truncate text-2xl leading-tight font-semibold max-sm:text-xl hover:underline"
        >
          {bench.fullName}
        </Link>
        <p className="truncate text-lg leading-tight">
          {bench.exerciseTitle ?? 'Nothing given yet'}
          {bench.dueOn != null && <span className="text-base"> · until {bench.dueOn}</span>}
          {bench.benderLabel != null && <span className="text-base"> · {bench.benderLabel}</span>}
        </p>
        <p
          className={`flex items-baseline gap-1 truncate leading-tight ${urgent ? 'font-semibold' : ''} ${tone.replace(/border-\S+/, '')}`}
        >
          <button
            type="button"
            className="min-h-6 underline-offset-4 hover:underline"
            aria-label={`${bench.fullName}: ${name}; change`}
            disabled={!MOVABLE.has(bench.state) || !measures}
            onClick={() => {
              setMoving(true);
            }}
          >
            <span aria-hidden="true">{sign}</span> {name}
          </button>
          {bench.since != null && <span className="figures"> {lasting(bench.since, now)}</span>}
          {bench.presence != null && bench.presence !== 'HERE' && (
            <span>
              {' '}
              · {PRESENCE[bench.presence].sign} {PRESENCE[bench.presence].name}
            </span>
          )}
          {bench.attempt?.disputed === true && <span className="text-error"> ▲ two readings differ</span>}
          {bench.attempt?.sealed === true && <span> · verified</span>}
          {waiting > 0 && <span> · {waiting} to be sent</span>}
        </p>
        {bench.others.length > 0 && (
          <p className="leading-tight">
            Also{' '}
            {bench.others.map(({ assignmentId, exerciseTitle, state }, index) => (
              <span key={assignmentId}>
                {index > 0 && ' · '}
                <button
                  type="button"
                  className="min-h-6 text-left underline underline-offset-4"
                  aria-label={`Measure ${exerciseTitle} of ${bench.fullName}: ${STATES[state].name}`}
                  disabled={open.isPending || !measures}
                  onClick={() => {
                    measure(assignmentId);
                  }}
                >
                  <span aria-hidden="true">{STATES[state].sign}</span> {exerciseTitle}
                </button>
              </span>
            ))}
          </p>
        )}
        {open.error !== null && (
          <p role="alert" className="text-sm text-error">
            {open.error.message}
          </p>
        )}
      </div>
      <BenchAction
        bench={bench}
        onMeasure={() => {
          measure(undefined, bench.state === 'done');
        }}
        busy={open.isPending}
      />
      {moving && (
        <StepDialog
          bench={bench}
          onClose={() => {
            setMoving(false);
          }}
        />
      )}
    </li>
  );
}

function BenchAction({ bench, onMeasure, busy }: { bench: Bench; onMeasure: () => void; busy: boolean }) {
  const { attempt } = bench;
  const measures = useMay('MEASURE');
  const teaches = useMay('TEACH');
  if (bench.state === 'nothingGiven' ? !teaches : bench.state !== 'done' && !measures) {
    return null;
  }
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
    case 'notStarted':
    case 'workingOut':
    case 'bending':
    case 'called':
    case 'help':
      return (
        <button
          type="button"
          className={`btn h-12 w-28 text-base ${bench.state === 'notStarted' || bench.state === 'workingOut' ? 'border-2 border-base-content/60' : 'btn-neutral'}`}
          onClick={onMeasure}
          disabled={busy}
        >
          Measure
        </button>
      );
    case 'measuring':
      // Its own piece, whatever arrives meanwhile: it may be its last reading.
      return (
        <Link
          to={`/measure/${attempt?.id ?? ''}`}
          className="btn h-12 w-28 border-2 border-base-content/60 text-base leading-tight"
        >
          Go on
          <span className="figures">
            {attempt?.measured}/{attempt?.features}
          </span>
        </Link>
      );
    case 'done':
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
          {measures && (
            <button
              type="button"
              className="btn h-12 px-2 btn-ghost text-sm leading-tight max-sm:hidden"
              onClick={onMeasure}
              disabled={busy}
              aria-label={`Measure another try of ${bench.fullName}`}
            >
              Again
            </button>
          )}
        </span>
      );
  }
}
