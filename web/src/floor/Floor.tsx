import { Monitor, ScanLine } from 'lucide-react';
import { type CSSProperties, lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import { useFloor, useKit, useOpenAttempt } from '../api/queries';
import { CohortChoice } from '../frame/CohortChoice';
import { Header } from '../frame/Header';
import { useCohort } from '../frame/cohort';
import { type Found, found } from '../frame/people';
import { useLive } from '../live/useLive';
import { useOutboxState } from '../queue/outboxContext';
import { BenchRow } from './BenchRow';
import { SessionLine } from './SessionLine';
import { StartCohort } from './StartCohort';
import { type BenchState, IN_ORDER, STATES } from './states';
import { useNow } from './useNow';
import { IfMay } from '../frame/IfMay';

// Brings the reader of codes, which nobody who does not scan needs.
const Scan = lazy(() => import('./Scan'));

type Bench = Schemas['BenchView'];

/** A code as it stands on a sheet, with or without its dashes; on sheets from before it is two groups long. */
const CODE = /^(?:[0-9A-Z]{4}[- ]?){2,3}$/i;

/** The cohort at its benches, live: who is on what, and since when. One tap leads to measuring. */
export function Floor() {
  const room = useCohort();
  const { cohorts, cohort } = room;
  const floor = useFloor(cohort?.id);
  useKit(cohort?.id);
  const connected = useLive(cohort?.id);
  const now = useNow(floor.data?.now, floor.dataUpdatedAt);
  const { entries } = useOutboxState();
  const [wanted, setWanted] = useState('');
  const [only, setOnly] = useState<BenchState>();
  const [scanning, setScanning] = useState(false);
  const find = useFind();
  const navigate = useNavigate();
  const open = useOpenAttempt();
  if (cohorts?.length === 0) {
    return (
      <IfMay right="TEACH" otherwise={<NoCohortOfMine />}>
        <StartCohort />
      </IfMay>
    );
  }
  const all = floor.data?.benches ?? [];
  const sought = wanted.trim().toLowerCase();
  const benches = all.filter(
    ({ fullName, state }) => fullName.toLowerCase().includes(sought) && (only === undefined || state === only),
  );
  const submit = () => {
    if (CODE.test(wanted.trim()) && benches.length === 0) {
      void navigate(`/measure?sheet=${encodeURIComponent(wanted.trim())}`);
    } else if (benches[0] !== undefined && (benches.length === 1 || sought.length >= 3)) {
      open.mutate(benches[0], { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
    }
  };
  return (
    <div className="flex min-h-full flex-col">
      <Header
        title="Floor"
        about={
          <span className="flex flex-wrap items-center gap-x-3">
            <Counts benches={all} only={only} onOnly={setOnly} />
            <Connection connected={connected} asOf={floor.data?.now} failing={floor.error !== null} />
          </span>
        }
      >
        <form
          onSubmit={(event) => {
            event.preventDefault();
            submit();
          }}
        >
          <input
            ref={find}
            type="search"
            aria-label="Find a trainee or a sheet’s code"
            placeholder="Name or code"
            value={wanted}
            onChange={(event) => {
              setWanted(event.target.value);
            }}
            className="h-11 w-36 rounded-field border-2 border-base-content/60 bg-base-100 px-3"
          />
        </form>
        <button
          type="button"
          className="btn size-11 min-h-0 border-2 border-base-content/60 p-0"
          aria-label="Scan a sheet"
          title="Scan a sheet"
          onClick={() => {
            setScanning(true);
          }}
        >
          <ScanLine aria-hidden="true" />
        </button>
        <Link
          to={`/wall?cohort=${cohort?.id ?? ''}`}
          className="btn size-11 min-h-0 border-2 border-base-content/60 p-0 max-sm:hidden"
          aria-label="For the wall"
          title="For the wall"
        >
          <Monitor aria-hidden="true" />
        </Link>
        <CohortChoice {...room} />
      </Header>
      {floor.data?.session != null && <SessionLine session={floor.data.session} />}
      {open.error !== null && (
        <p role="alert" className="px-4 py-2 text-error">
          {open.error.message}
        </p>
      )}
      {floor.error !== null && floor.data === undefined && (
        <p role="alert" className="p-4 text-error">
          {floor.error.message}
        </p>
      )}
      <ol
        hidden={benches.length === 0}
        className="grid grid-cols-[minmax(0,1fr)] gap-x-8 [&[hidden]]:hidden px-4 lg:grid-cols-none lg:min-h-0 lg:flex-1 lg:auto-cols-fr lg:grid-flow-col lg:[grid-template-rows:var(--rows)]"
        style={
          {
            '--rows': `repeat(${String(Math.max(4, Math.ceil(benches.length / 2)))}, minmax(4.6rem, 5.6rem))`,
          } as CSSProperties
        }
      >
        {benches.map((bench) => (
          <BenchRow
            key={bench.traineeId}
            bench={bench}
            now={now}
            waiting={entries.filter(({ attemptId }) => attemptId === bench.attempt?.id).length}
          />
        ))}
      </ol>
      {floor.data !== undefined && benches.length === 0 && (
        <p className="p-4">
          {only === undefined
            ? `Nobody here has “${wanted}” in the name. A code on a sheet has eight letters and digits; press Enter after it.`
            : `Nobody is there right now.`}
        </p>
      )}
      {floor.data !== undefined && benches.length === 0 && only === undefined && (
        <Elsewhere
          people={found(cohorts ?? [], wanted)}
          onMeasure={(traineeId) => {
            open.mutate({ traineeId }, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
          }}
        />
      )}
      {scanning && (
        <Suspense fallback={null}>
          <Scan
            onClose={() => {
              setScanning(false);
            }}
          />
        </Suspense>
      )}
    </div>
  );
}

/** Who has the name that is looked for in another cohort. */
function Elsewhere({ people, onMeasure }: { people: readonly Found[]; onMeasure: (traineeId: string) => void }) {
  return (
    people.length > 0 && (
      <section aria-label="In other cohorts" className="grid justify-start gap-2 px-4 pb-4">
        <h2 className="text-lg font-semibold">In other cohorts</h2>
        {people.slice(0, 6).map(({ id, fullName, bench, cohort }) => (
          <button
            key={id}
            type="button"
            className="btn h-12 justify-start border-2 border-base-content/60 text-lg"
            onClick={() => {
              onMeasure(id);
            }}
          >
            Measure {fullName} · {cohort}, bench {bench}
          </button>
        ))}
      </section>
    )
  );
}

/** Whatever is typed on the floor is a name or a code that is looked for. */
function useFind() {
  const find = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const elsewhere = event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement;
      if (!elsewhere && /^[\p{L}\d]$/u.test(event.key) && !event.ctrlKey && !event.altKey && !event.metaKey) {
        find.current?.focus();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, []);
  return find;
}

/** How many are where; pressed, only those are shown. */
function Counts({
  benches,
  only,
  onOnly,
}: {
  benches: readonly Bench[];
  only: BenchState | undefined;
  onOnly: (state: BenchState | undefined) => void;
}) {
  return (
    <span className="flex flex-wrap gap-1" role="group" aria-label="Show only">
      {IN_ORDER.map((state) => {
        const count = benches.filter((bench) => bench.state === state).length;
        return (
          (count > 0 || only === state) && (
            <button
              key={state}
              type="button"
              aria-pressed={only === state}
              aria-label={`${STATES[state].name}: ${String(count)}`}
              title={STATES[state].name}
              className={`figures min-h-9 rounded-field border-2 px-2 ${only === state ? 'border-base-content bg-base-content text-base-100' : STATES[state].tone}`}
              onClick={() => {
                onOnly(only === state ? undefined : state);
              }}
            >
              <span aria-hidden="true">{STATES[state].sign}</span> {count}
            </button>
          )
        );
      })}
    </span>
  );
}

/** Whether what is seen is live, and if not, how old it is. */
function Connection({ connected, asOf, failing }: { connected: boolean; asOf: string | undefined; failing: boolean }) {
  if (connected && !failing) {
    return (
      <span className="text-sm" data-testid="live">
        live
      </span>
    );
  }
  return (
    <span role="status" className="text-sm" data-testid="live">
      {asOf === undefined
        ? 'connecting…'
        : `▲ no signal, as of ${new Date(asOf).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`}
    </span>
  );
}

/** Whoever starts no cohorts waits until one is theirs. */
function NoCohortOfMine() {
  return (
    <>
      <Header title="Floor" />
      <p className="max-w-2xl p-4 text-xl leading-snug">
        No cohort is yours yet. The lead of the school says in <b>Shed, People</b> which cohorts you help with.
      </p>
    </>
  );
}
