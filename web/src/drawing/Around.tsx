import type { Schemas } from '../api/client';
import { path, type Point, type View } from './geometry';
import type { Space } from './pose';

/** How large a box is drawn, inches. */
export const BOX = { half: 2, depth: 2.125 };

/** Boxes that the conduit enters and walls that it runs along. */
export function Around({
  around,
  place,
  view,
}: {
  around: readonly Schemas['SurroundAnswer'][];
  place: (point: Space) => Point;
  view: View;
}) {
  return around.map(({ kind, at, into }, i) => (
    <path
      key={i}
      d={path((kind === 'box' ? boxCorners(place, at, into) : wallCorners(place, at, into)).map(view.toScreen), true)}
      fill="url(#hatch)"
      stroke="var(--line)"
      className="line-medium"
      data-around={kind}
    />
  ));
}

/** Points that the drawing must have room for: boxes, but not walls, which go on. */
export function reach(around: readonly Schemas['SurroundAnswer'][], place: (point: Space) => Point): Point[] {
  return around.flatMap(({ kind, at, into }) => (kind === 'box' ? boxCorners(place, at, into) : []));
}

function direction(place: (point: Space) => Point, at: Space, into: Space): { from: Point; dx: number; dy: number } {
  const from = place(at);
  const to = place(at.map((value, i) => value + (into[i] ?? 0)));
  const size = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  return { from, dx: (to.x - from.x) / size, dy: (to.y - from.y) / size };
}

function boxCorners(place: (point: Space) => Point, at: Space, into: Space): Point[] {
  const { from, dx, dy } = direction(place, at, into);
  const corner = (depth: number, across: number): Point => ({
    x: from.x + dx * depth - dy * across,
    y: from.y + dy * depth + dx * across,
  });
  return [corner(0, BOX.half), corner(BOX.depth, BOX.half), corner(BOX.depth, -BOX.half), corner(0, -BOX.half)];
}

/** A wall goes further up than anybody looks. */
function wallCorners(place: (point: Space) => Point, at: Space, into: Space): Point[] {
  const { from, dx } = direction(place, at, into);
  const behind = from.x + dx * 400;
  return [
    { x: from.x, y: 0 },
    { x: behind, y: 0 },
    { x: behind, y: 400 },
    { x: from.x, y: 400 },
  ];
}
