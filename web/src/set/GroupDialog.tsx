import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Dialog } from '../frame/Dialog';
import { toldApart } from '../frame/people';

/** Makes a group of some trainees of a cohort. */
export function GroupDialog({
  cohorts,
  onMade,
  onClose,
}: {
  cohorts: readonly Schemas['CohortView'][];
  onMade: (groupId: string) => void;
  onClose: () => void;
}) {
  const client = useQueryClient();
  const [chosen, setChosen] = useState('');
  const [name, setName] = useState('');
  const [members, setMembers] = useState<ReadonlySet<string>>(new Set());
  // Until one is chosen it is the first, also when the cohorts come only after the dialog.
  const cohort = cohorts.find(({ id }) => id === chosen) ?? cohorts[0];
  const cohortId = cohort?.id ?? '';
  const make = useMutation<Schemas['GroupView'], Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/groups/{id}', {
          params: { path: { id: newId() } },
          body: { cohortId, name, traineeIds: [...members] },
        }),
      ),
    onSuccess: async (group) => {
      await client.invalidateQueries({ queryKey: ['cohorts'] });
      onMade(group.id);
    },
  });
  return (
    <Dialog title="Make a group" onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate();
        }}
      >
        {cohorts.length > 1 && (
          <label className="grid gap-0.5">
            <span className="text-sm">Cohort of the group</span>
            <select
              value={cohortId}
              onChange={(event) => {
                setChosen(event.target.value);
                setMembers(new Set());
              }}
              className={FIELD}
            >
              {cohorts.map((each) => (
                <option key={each.id} value={each.id}>
                  {each.name}
                </option>
              ))}
            </select>
          </label>
        )}
        <label className="grid gap-0.5">
          <span className="text-sm">Name of the group</span>
          <input
            value={name}
            maxLength={100}
            required
            onChange={(event) => {
              setName(event.target.value);
            }}
            className={FIELD}
          />
        </label>
        <fieldset className="grid max-h-72 grid-cols-2 overflow-y-auto">
          <legend className="text-sm">Who is in it</legend>
          {cohort?.trainees.map((trainee) => (
            <label key={trainee.id} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={members.has(trainee.id)}
                onChange={(event) => {
                  const next = new Set(members);
                  if (event.target.checked) {
                    next.add(trainee.id);
                  } else {
                    next.delete(trainee.id);
                  }
                  setMembers(next);
                }}
              />
              {toldApart(cohort.trainees)(trainee)}
            </label>
          ))}
        </fieldset>
        {make.error !== null && <p className="text-error">✕ {make.error.message}</p>}
        <button
          type="submit"
          className="btn h-12 text-lg btn-neutral"
          disabled={name.trim() === '' || members.size === 0 || make.isPending}
        >
          Make the group
        </button>
      </form>
    </Dialog>
  );
}

const FIELD = 'h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg';
