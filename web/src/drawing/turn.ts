/**
 * A piece seen from anywhere: parallel projection of its own frame (x along the datum leg, y up from its surface, z to the
 * side). Pure.
 */

import type { Point } from './geometry';
import type { Space } from './pose';

/** Where somebody stands: degrees round the upright, and degrees up from the side. */
export interface Gaze {
  round: number;
  up: number;
}

/** The usual look from the front, a little from the side and from above: both sides equally short. */
export const ISOMETRIC: Gaze = { round: 30, up: 28 };
export const LEAST_UP = -10;
export const MOST_UP = 90;

export interface Seen extends Point {
  /** How near it is to who looks: more is nearer. */
  near: number;
}

/** A point of space on the drawing, inches, y up. */
export function seen([x = 0, y = 0, z = 0]: Space, { round, up }: Gaze): Seen {
  const [turn, tilt] = [(round * Math.PI) / 180, (up * Math.PI) / 180];
  const right = x * Math.cos(turn) + z * Math.sin(turn);
  const away = z * Math.cos(turn) - x * Math.sin(turn);
  return {
    x: right,
    y: y * Math.cos(tilt) - away * Math.sin(tilt),
    near: away * Math.cos(tilt) + y * Math.sin(tilt),
  };
}

/** The gaze after a drag or a key; it goes all the way round, but not under the floor. */
export function turned({ round, up }: Gaze, byRound: number, byUp: number): Gaze {
  return {
    round: ((((round + byRound + 180) % 360) + 360) % 360) - 180,
    up: Math.min(MOST_UP, Math.max(LEAST_UP, up + byUp)),
  };
}
