import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { toldApart } from '../frame/people';

const FIELD = 'h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2';

/** Erases a person. It cannot be undone, so what only that one has must be typed: the name, or name and bench. */
export function Erase({ cohort }: { cohort: Schemas['CohortView'] }) {
  const client = useQueryClient();
  const [traineeId, setTraineeId] = useState('');
  const [fullName, setFullName] = useState('');
  const [bench, setBench] = useState('');
  const [reason, setReason] = useState('');
  const called = toldApart(cohort.trainees);
  const person = cohort.trainees.find(({ id }) => id === traineeId);
  const shared = person !== undefined && called(person) !== person.fullName;
  const erase = useMutation<Schemas['Erased'], Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/trainees/{id}/erasures/{key}', {
          params: { path: { id: traineeId, key: newId() } },
          body: { fullName, bench: bench === '' ? null : Number(bench), reason },
        }),
      ),
    onSuccess: () => {
      setTraineeId('');
      setFullName('');
      setBench('');
      setReason('');
      void client.invalidateQueries();
    },
  });
  return (
    <section aria-label="Erase a person">
      <h2 className="text-2xl font-semibold">Erase a person</h2>
      <p className="leading-snug">
        Readings, photos, signatures and the name go for good. What the pieces came to stays without a name, by month.
        Write the person’s own file first.
      </p>
      <form
        className="mt-1 grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          erase.mutate();
        }}
      >
        <select
          aria-label="Person"
          value={traineeId}
          onChange={(event) => {
            setTraineeId(event.target.value);
          }}
          className={FIELD}
        >
          <option value="">Who?</option>
          {cohort.trainees.map((trainee) => (
            <option key={trainee.id} value={trainee.id}>
              {called(trainee)}
            </option>
          ))}
        </select>
        {traineeId !== '' && (
          <>
            <label className="grid text-sm">
              Full name, typed
              <input
                value={fullName}
                autoComplete="off"
                onChange={(event) => {
                  setFullName(event.target.value);
                }}
                className={FIELD}
              />
            </label>
            {shared && (
              <label className="grid text-sm">
                Bench, typed: somebody else has this name
                <input
                  value={bench}
                  inputMode="numeric"
                  autoComplete="off"
                  onChange={(event) => {
                    setBench(event.target.value.replace(/\D/g, ''));
                  }}
                  className={FIELD}
                />
              </label>
            )}
            <label className="grid text-sm">
              Why, without the name: it stays
              <input
                value={reason}
                maxLength={300}
                onChange={(event) => {
                  setReason(event.target.value);
                }}
                className={FIELD}
              />
            </label>
            <button
              className="btn h-11 btn-error"
              disabled={fullName.trim() === '' || (shared && bench === '') || reason.trim() === '' || erase.isPending}
            >
              Erase for good
            </button>
          </>
        )}
        <span role="status">
          {erase.isSuccess && `● Erased; ${String(erase.data.pieces)} pieces stay without a name.`}
        </span>
        {erase.error !== null && (
          <p role="alert" className="text-error">
            ✕ {erase.error.message}
          </p>
        )}
      </form>
    </section>
  );
}
