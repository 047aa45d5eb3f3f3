/** The walls that a run goes along, as the core finds them: what of a piece is on each, and where it is on its plan. Pure. */

import type { Schemas } from '../api/client';
import { featureOf } from '../entry/features';
import type { Point } from './geometry';
import type { Space } from './pose';

export type Wall = Schemas['WallAnswer'];

/** Where a point of a piece, in its own frame, is on the plan of a wall. */
export function onPlan({ across, up }: Wall): (point: Space) => Point {
  return (point) => ({ x: dot(point, across), y: dot(point, up) });
}

function dot(one: Space, other: Space): number {
  return one.reduce((sum, value, i) => sum + value * (other[i] ?? 0), 0);
}

/**
 * What of a centreline is on a wall.
 *
 * @param centreline two ends, and between them equally many points for every arc
 * @param arcs how many arcs it has
 */
export function partOnWall<P>(centreline: readonly P[], arcs: number, wall: Wall): P[] {
  const perArc = arcs === 0 ? 0 : (centreline.length - 2) / arcs;
  const first = wall.before == null ? 0 : wall.firstArc * perArc;
  const last = wall.after == null ? centreline.length : 2 + wall.arcsEnd * perArc;
  return centreline.slice(first, last);
}

/** How much conduit there is before what is on a wall, inches. */
export function lengthBefore(centreline: readonly Space[], arcs: number, wall: Wall): number {
  const first = wall.before == null ? 0 : wall.firstArc * (arcs === 0 ? 0 : (centreline.length - 2) / arcs);
  let sum = 0;
  for (let i = 1; i <= first; i++) {
    sum += Math.hypot(...(centreline[i] ?? []).map((value, axis) => value - (centreline[i - 1]?.[axis] ?? 0)));
  }
  return sum;
}

/**
 * On which wall a feature of a run is read, by its id: a leg, and what lies on it, on the first wall that has it; a mark and an angle
 * where their bend is; a turn where its leg meets the wall after. Nothing for what is of the run as a whole.
 */
export function wallOf(walls: readonly Wall[], id: string): number | undefined {
  const { kind, number } = featureOf(id);
  const index = (test: (wall: Wall) => boolean) => {
    const found = walls.findIndex(test);
    return found < 0 ? undefined : found;
  };
  switch (kind) {
    case 'leg':
    case 'rise':
    case 'height':
      return number === undefined ? undefined : index(({ legs }) => legs.includes(number));
    case 'mark':
    case 'angle':
    case 'flattening':
      // The ninety at which a run leaves a wall belongs to the next, where both of its legs are.
      return number === undefined
        ? undefined
        : index(({ firstArc, arcsEnd, after }) => number > firstArc && (number <= arcsEnd || after == null));
    case 'turn':
      return number === undefined
        ? undefined
        : (index(({ legs }) => legs[0] === number + 1) ?? index(({ legs }) => legs.includes(number + 1)));
    case 'startRise':
      return walls.length === 0 ? undefined : 0;
    case 'endRise':
      return walls.length === 0 ? undefined : walls.length - 1;
    default:
      return undefined;
  }
}
