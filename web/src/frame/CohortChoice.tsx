import { Choice } from './Header';
import type { useCohort } from './cohort';

/** Chooses the cohort, where there is more than one to choose from. */
export function CohortChoice({ cohorts, cohort, choose }: ReturnType<typeof useCohort>) {
  if (cohorts === undefined || cohorts.length < 2) {
    return null;
  }
  return (
    <Choice
      label="Cohort"
      options={cohorts.map(({ id, name }) => ({ value: id, name }))}
      value={cohort?.id}
      onChange={choose}
    />
  );
}
