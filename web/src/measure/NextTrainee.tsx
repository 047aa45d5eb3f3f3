import { useCallback, useEffect } from 'react';
import { useNavigate } from 'react-router';
import { type Attempt, useFloor, useOpenAttempt } from '../api/queries';
import { expectedNext } from '../floor/expected';

/** Whoever is expected next, one key away: Alt and N. */
export function useNextTrainee(attempt: Attempt) {
  const floor = useFloor(attempt.trainee.cohortId);
  const navigate = useNavigate();
  const { mutate, error, isPending } = useOpenAttempt();
  const next = expectedNext(floor.data?.benches ?? [], attempt.trainee.id);
  const traineeId = next?.traineeId;
  const assignmentId = next?.assignmentId;
  const go = useCallback(() => {
    if (traineeId !== undefined) {
      mutate({ traineeId, assignmentId }, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
    }
  }, [traineeId, assignmentId, mutate, navigate]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey && event.key.toLowerCase() === 'n') {
        event.preventDefault();
        go();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [go]);
  return { next, go, error, isPending };
}

/** The way to whoever is expected next. */
export function NextTrainee({ next, go, error, isPending }: ReturnType<typeof useNextTrainee>) {
  if (next === undefined) {
    return null;
  }
  return (
    <>
      <button
        type="button"
        className="btn h-12 border-2 border-base-content/60 text-lg"
        disabled={isPending}
        onClick={go}
      >
        Next: <span className="figures">{next.bench}</span> {next.fullName}{' '}
        <span className="text-sm max-sm:hidden">(Alt N)</span>
      </button>
      {error !== null && (
        <p role="alert" className="text-error">
          {error.message}
        </p>
      )}
    </>
  );
}
