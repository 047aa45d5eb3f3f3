import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { type Attempt, useFloor, useOpenAttempt } from '../api/queries';
import { expectedNext } from '../floor/expected';

/** Whoever is expected next, one key away. */
export function NextTrainee({ attempt }: { attempt: Attempt }) {
  const floor = useFloor(attempt.trainee.cohortId);
  const navigate = useNavigate();
  const { mutate, error, isPending } = useOpenAttempt();
  const next = expectedNext(floor.data?.benches ?? [], attempt.trainee.id);
  const traineeId = next?.traineeId;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey && event.key.toLowerCase() === 'n' && traineeId !== undefined) {
        event.preventDefault();
        mutate(traineeId, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
      }
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, [traineeId, mutate, navigate]);
  if (next === undefined) {
    return null;
  }
  return (
    <>
      <button
        type="button"
        className="btn h-12 border-2 border-base-content/60 text-lg"
        disabled={isPending}
        onClick={() => {
          mutate(next.traineeId, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
        }}
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
