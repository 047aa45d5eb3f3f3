/** What stands round a piece in space, as edges, and how the piece stands. Pure, in inches. */

import type { Schemas } from '../api/client';
import { BOX } from './Around';
import type { Space } from './pose';

/** How far an obstacle reaches to both sides, inches. */
const HALF_WIDTH = 6;

export type Place = (point: Space) => Space;

export function larger(asked: Space | undefined, made: Space, factor: number): Space {
  return asked === undefined ? made : made.map((value, i) => (asked[i] ?? 0) + factor * (value - (asked[i] ?? 0)));
}

/** Edges of something solid, each a line through points. */
export interface Solid {
  name: string;
  edges: Space[][];
}

export function obstacleSolids(obstacle: Schemas['ObstacleAnswer'] | null | undefined): Solid[] {
  if (obstacle == null) {
    return [];
  }
  const { shape, fromIn, widthIn, heightIn } = obstacle;
  const width = Math.min(widthIn, 40);
  const outline: [number, number][] =
    shape === 'round'
      ? Array.from({ length: 33 }, (_, i) => {
          const angle = (i / 32) * 2 * Math.PI;
          return [fromIn + (width / 2) * (1 + Math.cos(angle)), (heightIn / 2) * (1 + Math.sin(angle))];
        })
      : [
          [fromIn, 0],
          [fromIn, heightIn],
          [fromIn + width, heightIn],
          [fromIn + width, 0],
          [fromIn, 0],
        ];
  const side = (z: number) => outline.map(([x, y]): Space => [x, y, z]);
  const step = shape === 'round' ? 8 : 1;
  const across = outline
    .filter((_, i) => i % step === 0)
    .map(([x, y]): Space[] => [
      [x, y, -HALF_WIDTH],
      [x, y, HALF_WIDTH],
    ]);
  return [{ name: 'obstacle', edges: [side(-HALF_WIDTH), side(HALF_WIDTH), ...across] }];
}

/** A junction box round the axis of the conduit that enters it. */
export function boxes(around: readonly Schemas['SurroundAnswer'][], stand: Place): Solid[] {
  return around
    .filter(({ kind }) => kind === 'box')
    .map(({ at, into }, i) => {
      const from = stand(at);
      const to = stand(at.map((value, axis) => value + (into[axis] ?? 0)));
      const along = to.map((value, axis) => value - (from[axis] ?? 0));
      const [ax = 0, ay = 0] = along;
      const side: Space = [0, 0, 1];
      const up: Space = [-ay, ax, 0];
      const corner = (a: number, b: number, depth: number): Space =>
        from.map(
          (value, axis) =>
            value + (along[axis] ?? 0) * depth + (up[axis] ?? 0) * a * BOX.half + (side[axis] ?? 0) * b * BOX.half,
        );
      const face = (depth: number) =>
        [
          [1, 1],
          [1, -1],
          [-1, -1],
          [-1, 1],
          [1, 1],
        ].map(([a = 0, b = 0]) => corner(a, b, depth));
      const between = [
        [1, 1],
        [1, -1],
        [-1, -1],
        [-1, 1],
      ].map(([a = 0, b = 0]) => [corner(a, b, 0), corner(a, b, BOX.depth)]);
      return { name: `box ${String(i)}`, edges: [face(0), face(BOX.depth), ...between] };
    });
}
