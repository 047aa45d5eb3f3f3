import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import { useCohorts } from '../api/queries';

/** The cohort's last day, with which the keys of all its trainees end. */
export function CohortEnd({ cohortId, name }: { cohortId: string; name: string }) {
  const client = useQueryClient();
  const cohorts = useCohorts();
  const endsOn = cohorts.data?.find(({ id }) => id === cohortId)?.endsOn ?? '';
  const end = useMutation<unknown, Problem, string | null>({
    mutationFn: (day) =>
      body<Schemas['CohortEnd']>(
        api.PUT('/api/cohorts/{id}/end', { params: { path: { id: cohortId } }, body: { endsOn: day } }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ['cohorts'] }),
  });
  return (
    <>
      <label className="mt-1 flex flex-wrap items-center gap-x-2 leading-snug">
        Keys of {name} end after
        <input
          type="date"
          key={endsOn}
          defaultValue={endsOn}
          className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
          onBlur={(event) => {
            const day = event.target.value;
            // A day that is half typed is no day that is taken away.
            if (day !== endsOn && !event.target.validity.badInput) {
              end.mutate(day === '' ? null : day);
            }
          }}
        />
      </label>
      {endsOn === '' && (
        <p className="text-sm leading-snug">No last day is set: they stay until they are taken back.</p>
      )}
      {end.error !== null && (
        <p role="alert" className="text-error">
          ✕ {end.error.message}
        </p>
      )}
    </>
  );
}
