import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useCohort } from '../frame/cohort';
import { toldApart } from '../frame/people';

interface GivePiecesProps {
  division: Schemas['DivideAnswer'];
  /** The whole run as an exercise. */
  exercise: () => Schemas['ExerciseInput'];
  /** The entry of the library that it is saved as, with the version that was opened. */
  entry: { id: string; version?: number | undefined };
  /** What it is cut from, and how it is fastened. */
  rules: Schemas['JobRules'];
  onGiven: (job: Schemas['JobView']) => void;
}

/** Gives a run of several pieces to several trainees, a piece each. */
export function GivePieces({ division, exercise, entry, rules, onGiven }: GivePiecesProps) {
  const client = useQueryClient();
  const { cohort } = useCohort();
  const [chosen, setChosen] = useState<Readonly<Record<number, string>>>({});
  const [id, setId] = useState(() => newId());
  const give = useMutation<Schemas['JobView'], Problem, Schemas['NewJob']>({
    mutationFn: (job) => body(api.PUT('/api/jobs/{id}', { params: { path: { id } }, body: job })),
    onSuccess: (job) => {
      onGiven(job);
      setId(newId());
      for (const queryKey of [['floor'], ['givings'], ['library'], ['jobs']]) {
        void client.invalidateQueries({ queryKey });
      }
    },
  });
  const trainees = cohort?.trainees ?? [];
  const name = toldApart(trainees);
  const bent = division.pieces.filter(({ bends }) => bends.length > 0);
  // One after the other along the benches, until somebody chooses.
  const whose = (number: number, i: number) => chosen[number] ?? trainees[i % Math.max(1, trainees.length)]?.id ?? '';
  return (
    <section aria-label="A piece each" className="grid gap-1 border-t-2 border-base-300 pt-2">
      <h2 className="text-lg leading-none font-semibold">A piece each</h2>
      {bent.map(({ number }, i) => (
        <label key={number} className="grid grid-cols-[4.5rem_1fr] items-center gap-2">
          Piece {number}
          <select
            value={whose(number, i)}
            onChange={(event) => {
              setChosen((before) => ({ ...before, [number]: event.target.value }));
            }}
            className="h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
          >
            {trainees.map((trainee) => (
              <option key={trainee.id} value={trainee.id}>
                {name(trainee)}
              </option>
            ))}
          </select>
        </label>
      ))}
      <button
        type="button"
        className="btn h-12 text-lg btn-neutral"
        disabled={give.isPending || give.isSuccess || trainees.length === 0}
        onClick={() => {
          give.mutate({
            libraryId: entry.id,
            basedOn: entry.version ?? null,
            exercise: exercise(),
            rules,
            pieces: bent.map(({ number }, i) => ({ number, traineeId: whose(number, i) })),
          });
        }}
      >
        Give the pieces
      </button>
      <p role="status" className="text-lg leading-tight">
        {give.isSuccess && (
          <>
            <span className="text-success">● </span>
            Given.{' '}
            <Link to={`/jobs/${give.data.id}`} className="underline">
              To the job
            </Link>
          </>
        )}
      </p>
      {give.error !== null && <p className="text-lg leading-tight text-error">✕ {give.error.message}</p>}
    </section>
  );
}
