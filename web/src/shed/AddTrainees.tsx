import { useState } from 'react';
import { api, body } from '../api/client';
import { newId } from '../api/newId';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { Select } from '../frame/Select';
import { type KeptCohort, WHO_IS_WHERE } from './queries';
import { useKept } from './useKept';

/** Adds one or more trainees to a cohort, by name; each gets the next bench. */
export function AddTrainees({
  cohorts,
  first,
  onClose,
}: {
  cohorts: KeptCohort[];
  first: string;
  onClose: () => void;
}) {
  const [cohortId, setCohortId] = useState(first);
  const [names, setNames] = useState('');
  // The same ids while a request is repeated, so that nobody is added twice.
  const [ids, setIds] = useState<Record<string, string>>({});
  const lines = names
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const add = useKept(
    async () => {
      const known = { ...ids };
      lines.forEach((line, i) => {
        known[`${String(i)} ${line}`] ??= newId();
      });
      setIds(known);
      for (const [i, fullName] of lines.entries()) {
        await body(
          api.PUT('/api/trainees/{id}', {
            params: { path: { id: known[`${String(i)} ${fullName}`] ?? '' } },
            body: { cohortId, fullName, bench: null, number: null },
          }),
        );
      }
    },
    WHO_IS_WHERE,
    onClose,
  );
  return (
    <Dialog title="Add trainees" onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate(undefined);
        }}
      >
        <Select
          label="To"
          value={cohortId}
          onChange={setCohortId}
          options={cohorts.map(({ id, name }) => ({ value: id, name }))}
        />
        <label className="grid gap-1">
          Names, one a line
          <textarea
            value={names}
            rows={6}
            required
            onChange={(event) => {
              setNames(event.target.value);
            }}
            className="rounded-field border-2 border-base-content/60 bg-base-100 p-3 text-lg"
          />
        </label>
        <p className="text-sm leading-snug">
          A list with numbers and benches is taken in under <b>Progress, Files</b>.
        </p>
        <Beside problem={add.error?.message} />
        <button className="btn h-12 btn-neutral text-lg" disabled={add.isPending || lines.length === 0}>
          Add {lines.length} {lines.length === 1 ? 'trainee' : 'trainees'}
        </button>
      </form>
    </Dialog>
  );
}
