/** Why something is held to another place than its own right one: one slip counts once. */

import type { Schemas } from '../api/client';
import { featureName } from '../entry/features';

type Carried = NonNullable<Schemas['FeatureView']['carried']>;

/** A feature that follows from a slip; what a device remembers from an earlier build does not say from which. */
interface Following {
  carried: Carried;
  carriedFrom?: readonly string[] | undefined;
}

/** For the instructor: where it was charged instead. */
export function carriedWords({ carried, carriedFrom = [] }: Following, bends: number): string {
  switch (carried) {
    case 'ownFigure':
      return 'ringed on the trainee’s own figure: right as a ring, and charged as arithmetic';
    case 'earlierMark':
      return 'stands rightly to the mark before it: charged there';
    case 'sameSlip':
      return 'the same slip as at an earlier mark: charged there';
    case 'earlierPlace':
      return `follows from ${placesOf(carriedFrom, bends)}: charged there`;
  }
}

/** For the trainee, in fewer words. */
export function carriedShortly({ carried, carriedFrom = [] }: Following, bends: number): string {
  switch (carried) {
    case 'ownFigure':
      return 'to where you worked it out';
    case 'earlierMark':
      return 'carried on from an earlier mark';
    case 'sameSlip':
      return 'the same slip again: counted once';
    case 'earlierPlace':
      return `follows from ${placesOf(carriedFrom, bends)}`;
  }
}

function placesOf(from: readonly string[], bends: number): string {
  const names = from.map((id) => featureName(id, bends).toLowerCase());
  return names.length === 0 ? 'an earlier slip' : names.join(' and ');
}
