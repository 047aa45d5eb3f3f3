import type { Attempt } from '../api/queries';

export type Factor = '1' | '4' | '16';

/** A piece that is further off than this, inches, is only distorted if its difference is drawn larger. */
const FAR_OFF = 1.5;

/** How much larger the difference is drawn unless somebody chooses otherwise: what is plain to see is drawn as it is. */
export function usualFactor({ made, plan }: Pick<Attempt, 'made' | 'plan'>): Factor {
  const asked = (plan.wanted ?? plan.shape).centreline;
  const furthest = (made?.centreline ?? []).map((point, i) =>
    Math.hypot(...point.map((value, axis) => value - (asked[i]?.[axis] ?? value))),
  );
  return Math.max(0, ...furthest) > FAR_OFF ? '1' : '4';
}
