import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { type KeptCohort, WHO_IS_WHERE } from './queries';
import { useKept } from './useKept';
import { nextYearOf } from './years';

interface Step {
  what: 'up' | 'leave' | 'stay';
  name: string;
  beginsOn: string;
  endsOn: string;
  /** Of the cohort that they go on in; the same while the request is repeated. */
  id: string;
}

/** The end of a year: each cohort is archived as it is, and its people move up or leave, all in one step. */
export function YearChange({ cohorts, onClose }: { cohorts: KeptCohort[]; onClose: () => void }) {
  const [steps, setSteps] = useState<Record<string, Step>>(() =>
    Object.fromEntries(
      cohorts.map((cohort) => {
        const next = nextYearOf(cohort);
        // What has no year in its name goes on, as an evening class does, unless somebody says otherwise.
        const what: Step['what'] = next.name === cohort.name ? 'stay' : 'up';
        return [cohort.id, { what, id: newId(), ...next }];
      }),
    ),
  );
  const change = useKept(
    () => body(api.PUT('/api/year-changes', { body: { steps: cohorts.flatMap((cohort) => stepOf(cohort, steps)) } })),
    WHO_IS_WHERE,
    onClose,
  );
  const moving = cohorts.filter(({ id }) => steps[id]?.what !== 'stay');
  const people = moving.reduce((sum, { trainees }) => sum + trainees, 0);
  return (
    <Dialog title="End the year" wide onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate(undefined);
        }}
      >
        <p className="leading-snug">
          What a cohort did this year stays as it is, under <b>Earlier years</b>. Its people take their own record
          along.
        </p>
        <ul className="grid gap-3">
          {cohorts.map((cohort) => {
            const step = steps[cohort.id];
            return (
              step !== undefined && (
                <StepRow
                  key={cohort.id}
                  cohort={cohort}
                  step={step}
                  onChange={(part) => {
                    setSteps({ ...steps, [cohort.id]: { ...step, ...part } });
                  }}
                />
              )
            );
          })}
        </ul>
        <Beside problem={change.error?.message} />
        <button className="btn h-12 btn-neutral text-lg" disabled={change.isPending || moving.length === 0}>
          End the year of {moving.length} {moving.length === 1 ? 'cohort' : 'cohorts'}, {people}{' '}
          {people === 1 ? 'trainee' : 'trainees'}
        </button>
      </form>
    </Dialog>
  );
}

function StepRow({
  cohort,
  step,
  onChange,
}: {
  cohort: KeptCohort;
  step: Step;
  onChange: (part: Partial<Step>) => void;
}) {
  return (
    <li className="grid gap-2 border-t border-base-300 pt-2">
      <div className="grid items-center gap-x-3 gap-y-2 sm:grid-cols-[11rem_10.5rem_minmax(0,1fr)_9.5rem_9.5rem]">
        <b className="text-lg leading-tight">{cohort.name}</b>
        <select
          aria-label={`What becomes of ${cohort.name}`}
          value={step.what}
          onChange={(event) => {
            onChange({ what: event.target.value as Step['what'] });
          }}
          className={FIELD}
        >
          <option value="up">moves up, to</option>
          <option value="leave">leaves the school</option>
          <option value="stay">goes on as it is</option>
        </select>
        {step.what === 'up' && (
          <>
            <input
              aria-label={`Next year ${cohort.name} is called`}
              value={step.name}
              required
              maxLength={100}
              onChange={(event) => {
                onChange({ name: event.target.value });
              }}
              className={`${FIELD} w-full min-w-0`}
            />
            <input
              type="date"
              aria-label={`First day of ${step.name}`}
              value={step.beginsOn}
              onChange={(event) => {
                onChange({ beginsOn: event.target.value });
              }}
              className={FIELD}
            />
            <input
              type="date"
              aria-label={`Last day of ${step.name}`}
              value={step.endsOn}
              onChange={(event) => {
                onChange({ endsOn: event.target.value });
              }}
              className={FIELD}
            />
          </>
        )}
      </div>
    </li>
  );
}

const FIELD = 'h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-base';

function stepOf(cohort: KeptCohort, steps: Record<string, Step>): Schemas['YearStep'][] {
  const step = steps[cohort.id];
  if (step === undefined || step.what === 'stay') {
    return [];
  }
  if (step.what === 'leave') {
    return [{ from: cohort.id, to: null, name: null, beginsOn: null, endsOn: null }];
  }
  return [
    {
      from: cohort.id,
      to: step.id,
      name: step.name,
      beginsOn: step.beginsOn === '' ? null : step.beginsOn,
      endsOn: step.endsOn === '' ? null : step.endsOn,
    },
  ];
}
