import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type SyntheticEvent, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Header } from '../frame/Header';

/** What an empty floor says and offers: a first cohort, typed or pasted as names. */
export function StartCohort() {
  return (
    <>
      <Header title="Floor" about="Nobody is here yet. Start your first cohort." />
      <div className="max-w-xl p-4">
        <CohortForm />
      </div>
    </>
  );
}

/** A cohort with its trainees, typed or pasted as names. */
export function CohortForm({ onDone }: { onDone?: () => void }) {
  const client = useQueryClient();
  const [id] = useState(() => newId());
  const [name, setName] = useState('');
  const [names, setNames] = useState('');
  const trainees = names
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const start = useMutation<Schemas['CohortView'], Problem>({
    mutationFn: () => body(api.PUT('/api/cohorts/{id}', { params: { path: { id } }, body: { name, trainees } })),
    onSuccess: async () => {
      await Promise.all(
        ['cohorts', 'keptCohorts', 'trainees', 'firstSteps'].map((key) =>
          client.invalidateQueries({ queryKey: [key] }),
        ),
      );
      onDone?.();
    },
  });
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    start.mutate();
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      <label className="grid gap-1">
        Name of the cohort
        <input
          value={name}
          onChange={(event) => {
            setName(event.target.value);
          }}
          className="h-12 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-lg"
          required
          maxLength={100}
        />
      </label>
      <label className="grid gap-1">
        Trainees, one name a line; the first gets bench 1
        <textarea
          value={names}
          onChange={(event) => {
            setNames(event.target.value);
          }}
          rows={9}
          className="rounded-field border-2 border-base-content/60 bg-base-100 p-3 text-lg"
          required
        />
      </label>
      {start.error !== null && (
        <p role="alert" className="text-error">
          ✕ {start.error.message}
        </p>
      )}
      <button className="btn h-12 btn-neutral text-lg" disabled={start.isPending}>
        Start with {trainees.length} {trainees.length === 1 ? 'trainee' : 'trainees'}
      </button>
    </form>
  );
}
