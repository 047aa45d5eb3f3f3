import { Link, useNavigate, useParams } from 'react-router';
import { type Attempt, useAttempt, useJudgement, useOpenAttempt } from '../api/queries';
import { useBenchCore } from '../benchcore/useBenchCore';
import { Strip } from '../drawing/Strip';
import { Header } from '../frame/Header';
import { useLive } from '../live/useLive';
import { ringsRead } from '../measure/attempts';
import { asTaken } from '../measure/datum';
import { useOutboxState } from '../queue/outboxContext';
import { withWaiting } from '../queue/overlay';
import { VerdictDrawing } from './VerdictDrawing';
import { VerdictPanel } from './VerdictPanel';
import { IfMay } from '../frame/IfMay';

/** How good the piece is, why, where it was lost, and what to do about it. */
export default function Verdict() {
  const { attemptId } = useParams();
  const attempt = useAttempt(attemptId);
  const { entries } = useOutboxState();
  const core = useBenchCore();
  useLive(attempt.data?.trainee.cohortId);
  if (attempt.data === undefined) {
    return (
      <p className="p-8 text-xl" role="status">
        {attempt.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return <Judged attempt={withWaiting(attempt.data, entries, core)} known={attempt.data} />;
}

/** @param known as the server has it; the other has what waits here, too */
function Judged({ attempt, known }: { attempt: Attempt; known: Attempt }) {
  const judgement = useJudgement(known);
  const shown = asTaken(attempt, {});
  return (
    <div className="flex h-full min-h-[38rem] flex-col">
      <Header
        title={attempt.trainee.fullName}
        about={`Bench ${String(attempt.trainee.bench)} · ${attempt.exercise.title} · ${attempt.exercise.conduitLabel} · ${attempt.exercise.benderLabel}`}
      >
        <Next attempt={attempt} />
      </Header>
      <div className="flex min-h-0 flex-1 max-lg:min-h-fit max-lg:flex-col">
        <div className="relative min-h-[22rem] min-w-0 flex-1">
          <VerdictDrawing attempt={shown} marked={judgement.data?.marked} />
        </div>
        <VerdictPanel attempt={shown} judgement={judgement.data} problem={judgement.error} />
      </div>
      <div className="h-[8.6rem] shrink-0 border-t border-base-300 max-sm:hidden">
        <Strip
          plan={attempt.plan}
          outsideDiameter={attempt.exercise.definition.conduit?.outsideDiameterIn ?? 1}
          divisionIn={attempt.exercise.definition.tapeDivisionIn ?? 1 / 16}
          madeMarks={ringsRead(attempt)}
        />
      </div>
    </div>
  );
}

function Next({ attempt }: { attempt: Attempt }) {
  const navigate = useNavigate();
  const open = useOpenAttempt();
  return (
    <>
      {open.error !== null && (
        <p role="alert" className="text-error">
          {open.error.message}
        </p>
      )}
      {attempt.score == null ? (
        <IfMay right="MEASURE">
          <Link to={`/measure/${attempt.id}`} className="btn h-11 px-3 btn-neutral text-base">
            Go on measuring
          </Link>
        </IfMay>
      ) : (
        <>
          <Link to={`/verdict/${attempt.id}/show`} className="btn h-11 px-3 btn-neutral text-base">
            Show the trainee
          </Link>
          <IfMay right="MEASURE">
            <button
              type="button"
              className="btn h-11 border-2 border-base-content/60 px-3 text-base"
              onClick={() => {
                // Of the same exercise, whatever else is in hand.
                open.mutate(
                  { traineeId: attempt.trainee.id, assignmentId: attempt.assignmentId, again: true },
                  { onSuccess: ({ id }) => void navigate(`/measure/${id}`) },
                );
              }}
            >
              Another try
            </button>
          </IfMay>
        </>
      )}
      <Link
        to={`/progress/${attempt.trainee.id}`}
        className="btn h-11 border-2 border-base-content/60 px-3 text-base max-xl:hidden"
      >
        Progress
      </Link>
      <Link
        to={`/floor?cohort=${attempt.trainee.cohortId}`}
        className="btn h-11 border-2 border-base-content/60 px-3 text-base"
      >
        Next trainee
      </Link>
    </>
  );
}
