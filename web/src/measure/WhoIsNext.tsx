import { Link, useNavigate } from 'react-router';
import { useFloor, useKit, useOpenAttempt } from '../api/queries';
import { STATES } from '../floor/states';
import { Header } from '../frame/Header';
import { useCohort } from '../frame/cohort';
import { useLive } from '../live/useLive';

const AT_WORK = new Set(['called', 'help', 'measuring', 'bending', 'workingOut', 'notStarted']);

/** Measure without an attempt chosen: those who are at work, one tap away, whoever called first. */
export function WhoIsNext() {
  const { cohort, cohorts } = useCohort();
  const floor = useFloor(cohort?.id);
  useKit(cohort?.id);
  useLive(cohort?.id);
  const open = useOpenAttempt();
  const navigate = useNavigate();
  const waiting = (floor.data?.benches ?? [])
    .flatMap((bench) => [bench, ...bench.others.map((other) => ({ ...bench, ...other }))])
    .filter(({ state }) => AT_WORK.has(state))
    .sort((a, b) => Number(b.state === 'called') - Number(a.state === 'called'));
  return (
    <>
      <Header title="Measure" about="Whose piece is it?" />
      {open.error !== null && (
        <p role="alert" className="p-4 text-error">
          {open.error.message}
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-2 p-4">
        {waiting.map((bench) => (
          <li key={bench.assignmentId}>
            <button
              type="button"
              className="flex min-h-16 w-full items-center gap-3 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-left hover:bg-base-200"
              onClick={() => {
                open.mutate(bench, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
              }}
            >
              <span className="figures w-9 text-center text-3xl">{bench.bench}</span>
              <span className="min-w-0">
                <span className="block truncate text-xl leading-tight font-semibold">{bench.fullName}</span>
                <span className="block truncate leading-tight">
                  {bench.exerciseTitle} · {STATES[bench.state].sign} {STATES[bench.state].name}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {cohorts?.length === 0 && (
        <p className="px-4 text-lg">
          There is nobody here yet.{' '}
          <Link to="/floor" className="underline">
            Start a cohort on the floor
          </Link>
          : then set an exercise and give it out.
        </p>
      )}
      {floor.data !== undefined && waiting.length === 0 && (
        <p className="px-4 text-lg">
          Nobody is at work on anything.{' '}
          <Link to="/set" className="underline">
            Set an exercise
          </Link>{' '}
          and give it to the cohort.
        </p>
      )}
    </>
  );
}
