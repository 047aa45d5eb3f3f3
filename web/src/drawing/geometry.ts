/**
 * Drawing geometry in world units: inches, x to the right, y up. Pure functions; React and pixels come later, through one
 * {@link View}. A piece arrives as its centreline in its own frame (x along the datum leg, y where the first bend turns).
 */

import { type Folds, folded, foldedBox } from './folds';

export interface Point {
  x: number;
  y: number;
}

const subtract = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
const length = (a: Point): number => Math.hypot(a.x, a.y);
const unit = (a: Point): Point => {
  const size = length(a) || 1;
  return { x: a.x / size, y: a.y / size };
};

/** A point of a list, counted from its end if negative; the list must have it. */
export function at(points: readonly Point[], index: number): Point {
  const point = points.at(index);
  if (point === undefined) {
    throw new RangeError(`a line of ${String(points.length)} points has none at ${String(index)}`);
  }
  return point;
}

/** The line beside a line, at a distance to its left. Corners of small turns are mitred. */
export function beside(points: readonly Point[], distance: number): Point[] {
  return points.map((point, i) => {
    const before = i === 0 ? undefined : unit(subtract(point, at(points, i - 1)));
    const after = i === points.length - 1 ? undefined : unit(subtract(at(points, i + 1), point));
    const [one, other] = [before ?? after ?? { x: 1, y: 0 }, after ?? before ?? { x: 1, y: 0 }];
    const along = unit({ x: one.x + other.x, y: one.y + other.y });
    const stretch = 1 / Math.max(0.5, along.x * one.x + along.y * one.y);
    return { x: point.x - along.y * distance * stretch, y: point.y + along.x * distance * stretch };
  });
}

/** A point along a line with the direction there. */
export function along(points: readonly Point[], distance: number): { point: Point; direction: Point } {
  let left = Math.max(0, distance);
  for (let i = 0; i + 1 < points.length; i++) {
    const step = subtract(at(points, i + 1), at(points, i));
    const size = length(step);
    if (left <= size || i + 2 === points.length) {
      const direction = unit(step);
      const from = at(points, i);
      return { point: { x: from.x + direction.x * left, y: from.y + direction.y * left }, direction };
    }
    left -= size;
  }
  return { point: at(points, 0), direction: { x: 1, y: 0 } };
}

/** What was made with its difference from what was asked made larger. Both lines have corresponding points. */
export function exaggerated(asked: readonly Point[], made: readonly Point[], factor: number): Point[] {
  return made.map((point, i) => {
    const wanted = asked[i] ?? point;
    return { x: wanted.x + factor * (point.x - wanted.x), y: wanted.y + factor * (point.y - wanted.y) };
  });
}

export interface Box {
  left: number;
  right: number;
  bottom: number;
  top: number;
}

export function boxAround(points: readonly Point[]): Box {
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) };
}

/** The one transform from world to screen: inches, y up, to pixels, y down. */
export interface View {
  scale: number;
  toScreen: (point: Point) => Point;
}

/** Fits a box into a screen area, whole and centred, with room on each side for what is written around it. */
export function fit(box: Box, width: number, height: number, room: Box): View {
  const inner = {
    width: Math.max(40, width - room.left - room.right),
    height: Math.max(40, height - room.top - room.bottom),
  };
  const size = { width: Math.max(1e-6, box.right - box.left), height: Math.max(1e-6, box.top - box.bottom) };
  const scale = Math.min(inner.width / size.width, inner.height / size.height);
  const x0 = room.left + (inner.width - size.width * scale) / 2;
  const y0 = room.top + (inner.height - size.height * scale) / 2;
  return {
    scale,
    toScreen: ({ x, y }) => ({ x: x0 + (x - box.left) * scale, y: y0 + (box.top - y) * scale }),
  };
}

/** Fits a box with some of its straights folded: lengths across a fold are drawn short, all else is to scale. */
export function foldedView(folds: Folds, box: Box, width: number, height: number, room: Box): View {
  const { scale, toScreen } = fit(foldedBox(folds, box), width, height, room);
  return { scale, toScreen: ({ x, y }) => toScreen({ x: folded(folds.x, x), y: folded(folds.y, y) }) };
}

/** An SVG path through screen points. */
export function path(points: readonly Point[], closed = false): string {
  const line = points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');
  return closed ? `${line}Z` : line;
}
