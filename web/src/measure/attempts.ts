import { featureOf } from '../entry/features';
import type { Attempt } from '../api/queries';
import type { Kind } from '../bends/kinds';

/** What kind of bend an attempt is at. */
export function kindOfAttempt(attempt: Attempt): Kind {
  return attempt.exercise.definition.bend?.kind ?? 'stub90';
}

/** Where the trainee's rings were read, in inches. */
export function ringsRead(attempt: Attempt): number[] {
  return attempt.features
    .filter(({ id }) => featureOf(id).kind === 'mark')
    .flatMap(({ reading }) => (reading?.value == null ? [] : [reading.value]));
}

/** As many figures as can stand on a drawing in full. */
const FEW = 4;

/** Whether so little is read of a piece that there is room for all of it on its drawing. */
export function hasFewFeatures(attempt: Attempt): boolean {
  return attempt.features.length <= FEW;
}
