import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import type { LayoutRequest } from '../api/queries';
import { useCohort } from '../frame/cohort';
import type { Draft } from './draft';

interface GiveOutProps {
  shed: Schemas['Shed'];
  draft: Draft;
  /** What to give; undefined while it cannot be laid out. */
  request: LayoutRequest | undefined;
  preferredTrainee: string | undefined;
}

/** Gives the exercise to a whole cohort or to one trainee. */
export function GiveOut({ shed, draft, request, preferredTrainee }: GiveOutProps) {
  const client = useQueryClient();
  const { cohorts, cohort } = useCohort();
  const [chosen, setChosen] = useState(preferredTrainee);
  // A new id for each thing given; the same one while a request is repeated.
  const [id, setId] = useState(() => crypto.randomUUID());
  const receiver = chosen ?? cohort?.id ?? '';
  const give = useMutation<Schemas['Given'], Problem, LayoutRequest>({
    mutationFn: (definition) =>
      body(
        api.PUT('/api/exercises/{id}', {
          params: { path: { id } },
          body: {
            title: draft.title,
            conduitLabel: shed.conduits.find((conduit) => conduit.id === draft.conduitId)?.label ?? '',
            benderLabel: shed.benders.find((bender) => bender.id === draft.benderId)?.label ?? '',
            definition,
            tolerances: shed.tolerances.find(({ preset }) => preset === draft.preset) ?? null,
            giveTo:
              cohorts?.some((each) => each.id === receiver) === true ? { cohortId: receiver } : { traineeId: receiver },
          },
        }),
      ),
    onSuccess: () => {
      setId(crypto.randomUUID());
      void client.invalidateQueries({ queryKey: ['floor'] });
    },
  });
  return (
    <>
      <p role="status" className="text-base leading-tight">
        {give.isSuccess && (
          <>
            <span className="text-success">● </span>
            Given to {give.data.trainees === 1 ? 'one trainee' : `${String(give.data.trainees)} trainees`}.{' '}
            <Link to="/floor" className="underline">
              To the floor
            </Link>
          </>
        )}
        {give.error !== null && <span className="text-error">✕ {give.error.message}</span>}
      </p>
      <select
        aria-label="Give to"
        value={receiver}
        onChange={(event) => {
          setChosen(event.target.value);
        }}
        className="h-11 max-w-52 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
      >
        {cohorts?.map((each) => (
          <optgroup key={each.id} label={each.name}>
            <option value={each.id}>All of {each.name.toLowerCase()}</option>
            {each.trainees.map((trainee) => (
              <option key={trainee.id} value={trainee.id}>
                {trainee.fullName}
              </option>
            ))}
          </optgroup>
        ))}
      </select>
      <button
        type="button"
        className="btn h-11 btn-neutral px-6 text-lg"
        disabled={request === undefined || receiver === '' || give.isPending || draft.title.trim() === ''}
        onClick={() => {
          if (request !== undefined) {
            give.mutate(request);
          }
        }}
      >
        Give
      </button>
    </>
  );
}
