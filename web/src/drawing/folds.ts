/**
 * Long straights drawn broken, as on any shop drawing, so that the bends fill the picture. A fold is a stretch of one axis (inches)
 * in which nothing happens: no bend, no slope, no end of a dimension. It is drawn short. Pure.
 */

import type { Box, Point } from './geometry';

/** A stretch of an axis, from and to in inches, drawn as long as `drawn` inches. */
export interface Fold {
  from: number;
  to: number;
  drawn: number;
}

export interface Folds {
  x: readonly Fold[];
  y: readonly Fold[];
}

export const UNFOLDED: Folds = { x: [], y: [] };

/** What must be seen whole. */
export interface Drawn {
  /** Centrelines and whatever else is drawn as lines. */
  lines: readonly (readonly Point[])[];
  /** Ends of dimensions, rings, corners: kept, with some straight on both sides. */
  kept: readonly Point[];
}

/** What runs within so much of an axis counts as straight along it, as a part of its length: a hand bends no better. */
const STRAIGHT = 0.1;
/** How a straight is broken, in inches as they are drawn. */
export interface Break {
  /** Straight that is left on either side of a fold. */
  margin: number;
  /** How long a fold is drawn. */
  gap: number;
}

export const USUAL_BREAK: Break = { margin: 1.25, gap: 1 };

/** The sign of a break is as large on every screen: on a small one it takes more of the straight. Pixels. */
const SIGN = { margin: 16, gap: 14 };
/** Folding less than this part of the size is not worth a break. */
const WORTH = 0.12;

/**
 * The folds of a drawing: as much of its straights as makes it larger, in proportion to their lengths.
 *
 * @param box what is drawn, inches
 * @param aspect width of the room for it over its height, in pixels
 * @param shape how a straight is broken at the scale of the drawing
 */
export function foldsOf({ lines, kept }: Drawn, box: Box, aspect: number, shape: Break = USUAL_BREAK): Folds {
  const width = box.right - box.left;
  const height = box.top - box.bottom;
  const x = free('x', lines, kept, box.left, box.right, shape);
  const y = free('y', lines, kept, box.bottom, box.top, shape);
  // Only the side that the scale hangs on is folded; both where both can be.
  const narrow = width - spare(x);
  const low = height - spare(y);
  const wantedWidth = Math.max(narrow, low * aspect);
  const wantedHeight = Math.max(low, narrow / aspect);
  return { x: taken(x, width - wantedWidth, width), y: taken(y, height - wantedHeight, height) };
}

/** How straights are broken on a drawing at a scale, in pixels an inch. */
export function breakAt(scale: number): Break {
  return {
    margin: Math.max(USUAL_BREAK.margin, SIGN.margin / scale),
    gap: Math.max(USUAL_BREAK.gap, SIGN.gap / scale),
  };
}

/** Where a value of an axis is drawn, inches. */
export function folded(folds: readonly Fold[], value: number): number {
  let moved = value;
  for (const { from, to, drawn } of folds) {
    if (value > from) {
      moved -= (Math.min(value, to) - from) * (1 - drawn / (to - from));
    }
  }
  return moved;
}

export function foldedBox({ x, y }: Folds, { left, right, bottom, top }: Box): Box {
  return { left: folded(x, left), right: folded(x, right), bottom: folded(y, bottom), top: folded(y, top) };
}

function spare(stretches: readonly Fold[]): number {
  return stretches.reduce((sum, { from, to, drawn }) => sum + (to - from - drawn), 0);
}

/** So much of the stretches is folded away, of each in proportion. */
function taken(stretches: readonly Fold[], wanted: number, size: number): Fold[] {
  const all = spare(stretches);
  if (wanted < WORTH * size || all <= 0) {
    return [];
  }
  const part = Math.min(1, wanted / all);
  return stretches.map(({ from, to, drawn }) => {
    const middle = (from + to) / 2;
    const away = (to - from - drawn) * part;
    return { from: middle - (away + drawn) / 2, to: middle + (away + drawn) / 2, drawn };
  });
}

/** Stretches of an axis in which every line runs along it. */
function free(
  along: 'x' | 'y',
  lines: readonly (readonly Point[])[],
  kept: readonly Point[],
  least: number,
  most: number,
  { margin, gap }: Break,
): Fold[] {
  const across = along === 'x' ? 'y' : 'x';
  const blocked = kept.map((point) => [point[along] - margin, point[along] + margin] as const);
  for (const line of lines) {
    for (let i = 0; i + 1 < line.length; i++) {
      const [one, other] = [line[i] as Point, line[i + 1] as Point];
      const run = Math.abs(other[along] - one[along]);
      if (Math.abs(other[across] - one[across]) > STRAIGHT * run) {
        blocked.push([Math.min(one[along], other[along]) - margin, Math.max(one[along], other[along]) + margin]);
      }
    }
  }
  const stretches: Fold[] = [];
  let reached = least + margin;
  for (const [from, to] of [...blocked, [most - margin, most] as const].sort(([a], [b]) => a - b)) {
    // What gains less than its own gap is left as it is.
    if (from - reached > 2 * gap) {
      stretches.push({ from: reached, to: from, drawn: gap });
    }
    reached = Math.max(reached, to);
  }
  return stretches;
}
