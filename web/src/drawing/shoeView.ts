/**
 * A bend as it is seen while it is made: from where the person stands, or from the side. Points come from the core: inches over the
 * floor, x towards the person, y up, z to the person's left. Pure.
 */

import type { Space } from './pose';
import type { Gaze } from './turn';

/** From where the person stands: a little from above and beside, so that the depth is seen. */
export const FROM_THERE: Gaze = { round: -24, up: 20 };
/** From beside: the person stands to the right, and the hook's side is to the left. */
export const FROM_THE_SIDE: Gaze = { round: 90, up: 4 };

/** To the drawing's frame: right, up, and towards who looks from where the person stands. */
export function asSeen([x = 0, y = 0, z = 0]: Space): Space {
  return [-z, y, x];
}

/**
 * The piece before it was turned for this bend, or on its way.
 *
 * @param left how much of the turn is still to come, degrees clockwise as the person sees it
 * @param axis height of the conduit in the shoe over the floor, inches
 */
export function notYetTurned(points: readonly Space[], left: number, axis: number): Space[] {
  const back = (left * Math.PI) / 180;
  const [cos, sin] = [Math.cos(back), Math.sin(back)];
  return points.map(([x = 0, y = 0, z = 0]) => {
    // Clockwise for the person, up goes to the right, which is −z; back again is the other way.
    const over = y - axis;
    return [x, axis + over * cos - z * sin, z * cos + over * sin];
  });
}

/** An arrow round the conduit's axis, before the heel's end: which way it is turned. */
export function turnArrow(turn: number, axis: number, radius: number, at: number): Space[] {
  const sweep = Math.sign(turn) * Math.min(300, Math.max(40, Math.abs(turn)));
  const steps = 24;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = ((sweep * i) / steps / 180) * Math.PI;
    // It begins on top; clockwise for the person is to the right, −z.
    return [at, axis + radius * Math.cos(angle), -radius * Math.sin(angle)];
  });
}

/** The head of an arrow on a line of screen points. */
export function arrowHead(points: readonly { x: number; y: number }[], size: number): { x: number; y: number }[] {
  const [before, tip] = [points.at(-3), points.at(-1)];
  if (before === undefined || tip === undefined) {
    return [];
  }
  const length = Math.hypot(tip.x - before.x, tip.y - before.y) || 1;
  const [ux, uy] = [(tip.x - before.x) / length, (tip.y - before.y) / length];
  const wing = (side: number) => ({
    x: tip.x - size * ux + side * size * 0.6 * uy,
    y: tip.y - size * uy - side * size * 0.6 * ux,
  });
  return [wing(1), tip, wing(-1)];
}

/** How a turn is said, as seen from where the person stands. */
export function turnWords(degrees: number): string | undefined {
  if (Math.abs(degrees) < 0.01) {
    return undefined;
  }
  const way = Math.abs(degrees) > 179.99 ? '' : degrees > 0 ? ' clockwise' : ' anticlockwise';
  return `${String(Math.round(Math.abs(degrees) * 10) / 10)}°${way}`;
}
