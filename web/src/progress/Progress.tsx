import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { useCohortProgress, useTraineeProgress } from '../api/queries';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { useCohort } from '../frame/cohort';
import { CohortChoice } from '../frame/CohortChoice';
import { Header } from '../frame/Header';
import { DeviationChart, ScoreChart } from './charts';

/** A trainee's attempts over time, beside the cohort to choose from. */
export default function Progress() {
  const { traineeId } = useParams();
  const trainee = useTraineeProgress(traineeId);
  const room = useCohort();
  const { cohort } = room;
  const shown = trainee.data === undefined ? cohort?.id : trainee.data.cohortId;
  const whole = useCohortProgress(shown);
  return (
    <div className="flex h-full flex-col">
      <Header
        title={trainee.data?.fullName ?? 'Progress'}
        about={trainee.data === undefined ? 'Who bends what, and how well' : <Standing progress={trainee.data} />}
      >
        {traineeId === undefined ? (
          <CohortChoice {...room} />
        ) : (
          <Link to="/progress" className="btn h-11 border-2 border-base-content/60 lg:hidden">
            All trainees
          </Link>
        )}
      </Header>
      {trainee.error !== null && (
        <p role="alert" className="p-4 text-error">
          {trainee.error.message}
        </p>
      )}
      <div className="flex min-h-0 flex-1 max-lg:flex-col">
        <CohortList rows={whole.data?.trainees ?? []} current={traineeId} />
        {trainee.data !== undefined && <History progress={trainee.data} />}
      </div>
    </div>
  );
}

function Standing({ progress }: { progress: Schemas['TraineeProgress'] }) {
  return (
    <>
      {progress.attempts} pieces measured, {progress.passes} passed
    </>
  );
}

/** The cohort at a glance: the last scores of everybody, the newest at the right. */
function CohortList({ rows, current }: { rows: readonly Schemas['Row'][]; current: string | undefined }) {
  const alone = current === undefined;
  return (
    <nav
      aria-label="Trainees"
      className={`shrink-0 overflow-y-auto border-base-300 bg-base-200 lg:border-r ${alone ? 'w-full' : 'w-[19.5rem] max-lg:hidden'}`}
    >
      <ul
        className={alone ? 'grid grid-cols-[repeat(auto-fill,minmax(24rem,1fr))] gap-x-6 px-4 max-sm:grid-cols-1' : ''}
      >
        {rows.map((row) => (
          <li key={row.traineeId}>
            <Link
              to={`/progress/${row.traineeId}`}
              aria-current={row.traineeId === current ? 'page' : undefined}
              className={`flex min-h-12 items-center justify-between gap-2 border-b border-base-300 px-3 leading-tight ${
                row.traineeId === current ? 'bg-base-content text-base-100' : 'hover:bg-base-300'
              }`}
            >
              <span className={`min-w-0 truncate ${alone ? 'text-xl' : ''}`}>{row.fullName}</span>
              <Recent row={row} />
            </Link>
          </li>
        ))}
      </ul>
    </nav>
  );
}

/** Each score as a bar: its height the points, its foot a dot for a pass and a cross for none. */
function Recent({ row }: { row: Schemas['Row'] }) {
  const passes = row.recent.filter(({ passed }) => passed).length;
  const step = 13;
  return (
    <svg
      width={8 * step}
      height={36}
      className="shrink-0"
      role="img"
      aria-label={`last ${String(row.recent.length)}: ${String(passes)} passed`}
    >
      {row.recent.map((score, i) => {
        const x = (8 - row.recent.length + i) * step;
        const height = Math.max(1, (score.points / 100) * 22);
        return (
          <g key={score.attemptId} fill="currentColor">
            <rect x={x + 2} y={23 - height} width={8} height={height} opacity={score.passed ? 1 : 0.45} />
            {score.passed ? (
              <circle cx={x + 6} cy={30} r={2.6} />
            ) : (
              <path d={`M${String(x + 3)} 27l6 6m0-6l-6 6`} stroke="currentColor" className="line-medium" />
            )}
          </g>
        );
      })}
    </svg>
  );
}

function History({ progress }: { progress: Schemas['TraineeProgress'] }) {
  const features = progress.tendencies.map(({ feature }) => feature);
  const [chosen, setChosen] = useState('leg');
  const feature = features.includes(chosen) ? chosen : features[0];
  if (feature === undefined) {
    return <p className="p-8 text-xl">Nothing is measured to the end yet. The first piece that is, shows here.</p>;
  }
  const tendency = progress.tendencies.find((each) => each.feature === feature);
  return (
    <div className="min-w-0 flex-1 overflow-y-auto p-4">
      <section aria-label="Score over time">
        <h2 className="text-xl font-semibold">Score</h2>
        <ScoreChart history={progress.history} />
      </section>
      <section aria-label="Deviation over time" className="mt-3">
        <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
          <h2 className="text-xl font-semibold">Off by</h2>
          <select
            aria-label="Feature"
            value={feature}
            onChange={(event) => {
              setChosen(event.target.value);
            }}
            className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
          >
            {features.map((id) => (
              <option key={id} value={id}>
                {featureName(id)}
              </option>
            ))}
          </select>
          {tendency !== undefined && (
            <p className="text-lg leading-tight">
              on the whole <Figure value={tendency.bias} unit={tendency.unit} signed className="text-[1.65rem]" />
              {tendency.spread != null && (
                <>
                  {' '}
                  spread <Figure value={tendency.spread} unit={tendency.unit} fine className="text-[1.65rem]" />
                </>
              )}
            </p>
          )}
        </div>
        <DeviationChart history={progress.history} feature={feature} />
      </section>
      <AttemptList history={progress.history} />
    </div>
  );
}

function AttemptList({ history }: { history: readonly Schemas['AttemptPoint'][] }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Attempts">
      <table className="mt-3 w-full leading-tight">
        <caption className="text-left text-xl font-semibold">Attempts, the newest first</caption>
        <thead className="text-left text-sm">
          <tr>
            <th className="font-normal">Day</th>
            <th className="font-normal">Exercise</th>
            <th className="font-normal">Bender</th>
            <th className="font-normal">Furthest off, by its tolerance</th>
            <th className="text-right font-normal">Score</th>
          </tr>
        </thead>
        <tbody>
          {[...history].reverse().map((attempt) => (
            <tr key={attempt.attemptId} className="border-t border-base-300">
              <td className="py-1.5">
                {new Date(attempt.startedAt).toLocaleDateString([], { day: 'numeric', month: 'short' })}
              </td>
              <td>
                <Link to={`/verdict/${attempt.attemptId}`} className="underline underline-offset-4">
                  {attempt.exerciseTitle}
                </Link>
              </td>
              <td>{attempt.benderLabel}</td>
              <td>
                {furthestOff(attempt).map(({ feature, deviation, unit }) => (
                  <span key={feature} className="mr-4 whitespace-nowrap">
                    {featureName(feature)} <Figure value={deviation} unit={unit} signed className="text-xl" />
                  </span>
                ))}
              </td>
              <td className="text-right whitespace-nowrap">
                <span
                  aria-label={attempt.passed ? 'passed' : 'not passed'}
                  role="img"
                  className={attempt.passed ? 'text-success' : 'text-error'}
                >
                  {attempt.passed ? '●' : '✕'}
                </span>{' '}
                <span className="figures">{Math.round(attempt.points)}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The two features that took up most of their tolerance, or went beyond it. */
function furthestOff({ deviations }: Schemas['AttemptPoint']): Schemas['DeviationPoint'][] {
  const part = ({ deviation, tolerance }: Schemas['DeviationPoint']) => Math.abs(deviation) / tolerance;
  return [...deviations].sort((a, b) => part(b) - part(a)).slice(0, 2);
}
