/** How a piece lies in its elevation: from its own frame (inches, x along the datum leg) to the drawing's (y up). */

import type { Point } from './geometry';
import type { Kind } from '../bends/kinds';

/** A point of a piece as the calculation interface gives it: [x, y, z] in inches. */
export type Space = readonly number[];

export interface Pose {
  /** Where a point of a piece lies on the drawing. */
  place: (point: Space) => Point;
  /** Where it lies in the view from above, for bends that leave their plane. */
  fromAbove: ((point: Space) => Point) | undefined;
  /** Height of the surface that the piece lies on. */
  surface: number;
}

/** Room between the elevation and the view from above, inches of the drawing. */
const BETWEEN_VIEWS = 2.5;

/**
 * The pose of a kind of bend.
 *
 * @param asked centreline of what was asked for: it decides where what was made lies, too
 */
export function poseOf(kind: Kind, asked: readonly Space[], outsideDiameter: number): Pose {
  const half = outsideDiameter / 2;
  if (kind === 'backToBack90') {
    // A U stands on its middle: what lies furthest along the datum leg is down.
    const deepest = Math.max(...asked.map((point) => at(point, 0)));
    return {
      place: (point) => ({ x: at(point, 1), y: deepest - at(point, 0) + half }),
      fromAbove: undefined,
      surface: 0,
    };
  }
  if (kind === 'boxOffset') {
    // Its far leg lies on the wall; the end that enters the box stands off it.
    const wall = Math.max(...asked.map((point) => at(point, 1)));
    return {
      place: (point) => ({ x: at(point, 0), y: wall - at(point, 1) + half }),
      fromAbove: undefined,
      surface: 0,
    };
  }
  const side = (point: Space): Point => ({ x: at(point, 0), y: at(point, 1) + half });
  if (kind !== 'rollingOffset') {
    return { place: side, fromAbove: undefined, surface: 0 };
  }
  const widest = Math.max(...asked.map((point) => at(point, 2)));
  return {
    place: side,
    fromAbove: (point) => ({ x: at(point, 0), y: at(point, 2) - widest - half - BETWEEN_VIEWS }),
    surface: 0,
  };
}

function at(point: Space, index: number): number {
  return point[index] ?? 0;
}
