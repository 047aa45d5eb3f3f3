import { useState } from 'react';
import { api, body } from '../api/client';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { TextField } from '../frame/TextField';
import { type KeptCohort, WHO_IS_WHERE } from './queries';
import { useKept } from './useKept';

/** What a cohort is called, and its first and last day. */
export function CohortDialog({ cohort, onClose }: { cohort: KeptCohort; onClose: () => void }) {
  const [name, setName] = useState(cohort.name);
  const [beginsOn, setBeginsOn] = useState(cohort.beginsOn ?? '');
  const [endsOn, setEndsOn] = useState(cohort.endsOn ?? '');
  const keep = useKept(
    () =>
      body(
        api.PUT('/api/cohorts/{id}/year', {
          params: { path: { id: cohort.id } },
          body: {
            edition: cohort.edition,
            name,
            beginsOn: beginsOn === '' ? null : beginsOn,
            endsOn: endsOn === '' ? null : endsOn,
          },
        }),
      ),
    WHO_IS_WHERE,
    onClose,
  );
  return (
    <Dialog title={cohort.name} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(undefined);
        }}
      >
        <TextField label="Name" value={name} onChange={setName} required maxLength={100} />
        <div className="grid grid-cols-2 gap-3">
          <TextField label="First day" type="date" value={beginsOn} onChange={setBeginsOn} />
          <TextField
            label="Last day"
            type="date"
            value={endsOn}
            onChange={setEndsOn}
            problem={problemAt(keep.error, '/endsOn')}
          />
        </div>
        <p className="text-sm leading-snug">After the last day the keys to its trainees’ own pages open nothing.</p>
        <Beside problem={problemBeside(keep.error, ['/endsOn'])} />
        <button className="btn h-12 btn-neutral text-lg" disabled={keep.isPending}>
          Keep
        </button>
      </form>
    </Dialog>
  );
}
