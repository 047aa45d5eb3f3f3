import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type CSSProperties, useEffect } from 'react';
import { Link } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { useFloor } from '../api/queries';
import { useCohort } from '../frame/cohort';
import { useSignedIn } from '../frame/signedIn';
import { useLive } from '../live/useLive';
import { IN_ORDER, lasting, STATES } from './states';
import { useNow } from './useNow';

type Bench = Schemas['BenchView'];

/** The floor for a monitor on the wall: read from across the shed, nothing to press. */
export default function Wall() {
  const me = useSignedIn();
  const { cohort, cohorts } = useCohort();
  const floor = useFloor(cohort?.id);
  const connected = useLive(cohort?.id);
  const now = useNow(floor.data?.now, floor.dataUpdatedAt);
  useAwake();
  const wall = floor.data?.wall ?? CAREFUL;
  const benches = floor.data?.benches ?? [];
  const calls = benches
    .filter(({ state }) => state === 'called' || state === 'help')
    .sort((a, b) => (a.since ?? '').localeCompare(b.since ?? ''));
  const nobodyYet = cohorts?.length === 0;
  const columns = benches.length > 18 ? 4 : 3;
  return (
    <div className="flex h-full flex-col gap-3 p-4">
      <header className="flex items-end justify-between gap-4">
        <h1 className="text-4xl font-semibold">{cohort?.name}</h1>
        <p className="text-2xl" role="status">
          {nobodyYet
            ? 'There is nobody here yet'
            : calls.length === 0
              ? 'Nobody is waiting'
              : calls.map((bench) => callText(bench, wall)).join(' · ')}
        </p>
        <p className="figures text-5xl">
          {new Date(now).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}
          {!connected && !nobodyYet && <span className="pl-2 text-xl">▲ no signal</span>}
        </p>
      </header>
      <ol
        className="grid min-h-0 flex-1 gap-2"
        style={
          {
            gridTemplateColumns: `repeat(${String(columns)}, minmax(0, 1fr))`,
            gridAutoRows: 'minmax(0, 1fr)',
          } as CSSProperties
        }
      >
        {benches.map((bench) => (
          <WallBench key={bench.traineeId} bench={bench} now={now} wall={wall} />
        ))}
      </ol>
      <footer className="flex flex-wrap items-center gap-x-4 text-lg">
        {IN_ORDER.map((state) => (
          <span key={state}>
            <span aria-hidden="true">{STATES[state].sign}</span> {STATES[state].name}
          </span>
        ))}
        <span className="ml-auto flex gap-4">{me.role === 'LEAD' && <Choices wall={wall} />}</span>
        <Link to="/floor" className=" min-h-11 content-center underline underline-offset-4">
          Back to the floor
        </Link>
      </footer>
    </div>
  );
}

/** Until the school's choice is known. */
const CAREFUL = { scores: false, initials: true };

type OnTheWall = typeof CAREFUL;

/** A name as the school wants it read in the room; the bench tells people of the same initials apart. */
export function nameOnWall(fullName: string, { initials }: OnTheWall): string {
  return initials
    ? fullName
        .split(/\s+/)
        .map((part) => `${part.slice(0, 1)}.`)
        .join(' ')
    : fullName;
}

function callText(bench: Bench, wall: OnTheWall): string {
  return `${STATES[bench.state].sign} ${String(bench.bench)} ${nameOnWall(bench.fullName, wall)}`;
}

/** What everybody in the room may read, for the lead to choose. */
function Choices({ wall }: { wall: OnTheWall }) {
  const client = useQueryClient();
  const choose = useMutation<unknown, Problem, OnTheWall>({
    mutationFn: (choice) => body(api.PUT('/api/wall', { body: choice })),
    onSuccess: () => client.invalidateQueries({ queryKey: ['floor'] }),
  });
  const box = (name: string, checked: boolean, choice: OnTheWall) => (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        className="checkbox"
        checked={checked}
        disabled={choose.isPending}
        onChange={() => {
          choose.mutate(choice);
        }}
      />
      {name}
    </label>
  );
  return (
    <>
      {box('Scores', wall.scores, { ...wall, scores: !wall.scores })}
      {box('Whole names', !wall.initials, { ...wall, initials: !wall.initials })}
      {choose.error !== null && (
        <p role="alert" className="text-error">
          ✕ {choose.error.message}
        </p>
      )}
    </>
  );
}

function WallBench({ bench, now, wall }: { bench: Bench; now: number; wall: OnTheWall }) {
  const { name, sign, tone } = STATES[bench.state];
  const urgent = bench.state === 'called' || bench.state === 'help';
  return (
    <li
      className={`flex min-h-0 items-center gap-3 overflow-hidden rounded-field px-3 ${tone} ${urgent ? 'border-[5px]' : 'border-2'}`}
      data-state={bench.state}
    >
      <span className="figures w-14 shrink-0 text-center text-[3.2rem] leading-none">{bench.bench}</span>
      <span className="min-w-0 flex-1 text-base-content">
        <span className="block truncate text-[1.7rem] leading-tight font-semibold">
          {nameOnWall(bench.fullName, wall)}
        </span>
        <span className="flex items-baseline gap-2 text-xl leading-tight">
          <span className="min-w-0 truncate">
            <span aria-hidden="true">{sign}</span> {name}
          </span>
          <span className="figures shrink-0">{lasting(bench.since, now)}</span>
          {bench.others.length > 0 && <span className="shrink-0">and {bench.others.length} more</span>}
          {wall.scores && bench.attempt?.points != null && (
            <span className="figures ml-auto shrink-0 text-[2rem] leading-none">
              <span className="text-xl">{bench.attempt.passed === true ? '●' : '✕'}</span>{' '}
              {Math.round(bench.attempt.points)}
            </span>
          )}
        </span>
      </span>
    </li>
  );
}

/** Keeps the monitor from going to sleep, where the browser can. */
function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const hold = () => {
      if (document.visibilityState === 'visible' && 'wakeLock' in navigator) {
        navigator.wakeLock.request('screen').then(
          (held) => {
            lock = held;
          },
          () => undefined,
        );
      }
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
}
