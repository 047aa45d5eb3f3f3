/**
 * A run where it goes: points of the room (inches: to the right, up, out of the wall, from where the axis of the run begins), what
 * stands there, and what is written at its legs. Pure.
 */

import type { Schemas } from '../api/client';
import type { Point, View } from './geometry';
import { type Ground, placeLabels, type Wanted } from './labels';
import type { PlaceSize } from './dimensionSpots';
import type { Shape, Space } from './pose';
import { type Gaze, seen } from './turn';

export type SolidKind = NonNullable<Schemas['SolidInput']['kind']>;

/** Something that stands in the room, with its sizes known. */
export interface Standing {
  kind: SolidKind;
  name: string;
  surface: boolean;
  sizes: Readonly<Record<string, number>>;
}

/** From a piece's own frame to the room's. */
export function toRoom({ pose }: Shape): (point: Space) => Space {
  const across = pose?.across ?? [1, 0, 0];
  const up = pose?.up ?? [0, 1, 0];
  const out = cross(across, up);
  return (point) => [dot(point, across), dot(point, up), dot(point, out)];
}

/** Corners of the legs as far as they are known: what is drawn before anything can be laid out. */
export function corners(legs: readonly { vector: readonly number[]; length: number }[]): Space[] {
  const points: Space[] = [[0, 0, 0]];
  for (const { vector, length } of legs) {
    const from = points.at(-1) ?? [0, 0, 0];
    points.push(from.map((value, axis) => value + (vector[axis] ?? 0) * length));
  }
  return points;
}

export interface Extent {
  least: readonly number[];
  most: readonly number[];
}

export function extentOf(points: readonly Space[], margin: number): Extent {
  const axes = [0, 1, 2];
  return {
    least: axes.map((axis) => Math.min(...points.map((point) => point[axis] ?? 0)) - margin),
    most: axes.map((axis) => Math.max(...points.map((point) => point[axis] ?? 0)) + margin),
  };
}

/** A plane of the room that is drawn: its corners in order, and lines a foot apart on it. */
export interface Plane {
  name: string;
  corners: Space[];
  lines: Space[][];
  /** Whether it is seen from inside of the room; else it would hide the run. */
  behind: boolean;
}

const SIDES: Readonly<Partial<Record<SolidKind, { axis: 0 | 1 | 2; sign: 1 | -1 }>>> = {
  rightWall: { axis: 0, sign: 1 },
  leftWall: { axis: 0, sign: -1 },
  ceiling: { axis: 1, sign: 1 },
  floor: { axis: 1, sign: -1 },
  wallBehind: { axis: 2, sign: 1 },
  wall: { axis: 2, sign: -1 },
};

/** Lines on a wall are this far apart, inches. */
const GRID = 12;

/**
 * The surfaces of a room, as far as the run and what stands there reach; where none is named, the wall that the run lies on.
 *
 * @param around what is drawn
 * @param half of the conduit's diameter
 */
export function planesOf(room: readonly Standing[], around: readonly Space[], half: number, gaze: Gaze): Plane[] {
  const named = room.flatMap(({ kind, name, sizes }) => {
    const side = SIDES[kind];
    return side === undefined ? [] : [{ name, ...side, at: side.sign * (sizes.awayIn ?? 0) }];
  });
  const tight = extentOf(around, half);
  const surfaces = named.some(({ axis, sign }) => axis === 2 && sign === -1)
    ? named
    : [{ name: '', axis: 2 as const, sign: -1 as const, at: tight.least[2] ?? 0 }, ...named];
  const { least, most } = extentOf(around, 6);
  const bounds = [0, 1, 2].map((axis) => {
    const on = surfaces.filter((surface) => surface.axis === axis);
    const below = on.find(({ sign }) => sign === -1)?.at;
    const above = on.find(({ sign }) => sign === 1)?.at;
    return [below ?? least[axis] ?? 0, above ?? most[axis] ?? 0] as const;
  });
  return surfaces.map(({ name, axis, sign, at }) => planeAt(name, axis, sign, at, bounds, gaze));
}

function planeAt(
  name: string,
  axis: 0 | 1 | 2,
  sign: 1 | -1,
  at: number,
  bounds: readonly (readonly [number, number])[],
  gaze: Gaze,
): Plane {
  const [one, other] = [0, 1, 2].filter((each) => each !== axis) as [number, number];
  const [fromOne, toOne] = bounds[one] ?? [0, 0];
  const [fromOther, toOther] = bounds[other] ?? [0, 0];
  const point = (a: number, b: number): Space => [0, 1, 2].map((each) => (each === axis ? at : each === one ? a : b));
  const inward = [0, 1, 2].map((each) => (each === axis ? -sign : 0));
  const steps = (from: number, to: number) =>
    Array.from({ length: Math.max(0, Math.floor(to / GRID) - Math.ceil(from / GRID) + 1) }, (_, i) => {
      return (Math.ceil(from / GRID) + i) * GRID;
    });
  return {
    name,
    corners: [point(fromOne, fromOther), point(toOne, fromOther), point(toOne, toOther), point(fromOne, toOther)],
    lines: [
      ...steps(fromOne, toOne).map((a) => [point(a, fromOther), point(a, toOther)]),
      ...steps(fromOther, toOther).map((b) => [point(fromOne, b), point(toOne, b)]),
    ],
    behind: seen(inward, gaze).near > 0.01,
  };
}

/** The faces of something that stands in the room that are seen, and how near its middle is. */
export interface Body {
  name: string;
  faces: Space[][];
  middle: Space;
}

export function bodiesOf(room: readonly Standing[], gaze: Gaze): Body[] {
  return room
    .filter(({ surface }) => !surface)
    .map(({ name, sizes }) => {
      const from = [sizes.rightIn ?? 0, sizes.upIn ?? 0, sizes.outIn ?? 0];
      return bodyOf(name, from, [sizes.widthIn ?? 0, sizes.heightIn ?? 0, sizes.depthIn ?? 0], gaze);
    });
}

/** A block with its edges along the room's, by its least corner and its size. */
export function bodyOf(name: string, from: Space, size: Space, gaze: Gaze): Body {
  const faces: Space[][] = [];
  for (const axis of [0, 1, 2]) {
    for (const sign of [-1, 1]) {
      const outward = [0, 1, 2].map((each) => (each === axis ? sign : 0));
      if (seen(outward, gaze).near > 0) {
        const [one, other] = [0, 1, 2].filter((each) => each !== axis) as [number, number];
        faces.push(
          [
            [0, 0],
            [1, 0],
            [1, 1],
            [0, 1],
          ].map(([a = 0, b = 0]) =>
            [0, 1, 2].map((each) => {
              const part = each === axis ? (sign + 1) / 2 : each === one ? a : each === other ? b : 0;
              return (from[each] ?? 0) + part * (size[each] ?? 0);
            }),
          ),
        );
      }
    }
  }
  return { name, faces, middle: from.map((value, axis) => value + (size[axis] ?? 0) / 2) };
}

/** Half of a box's side, and its depth, inches. */
const BOX_HALF = 2;
const BOX_DEPTH = 2;

/** A box that an end enters: about the axis, from its face on. */
export function boxBody(name: string, at: Space, into: Space, gaze: Gaze): Body {
  const least = at.map((value, axis) => {
    const way = Math.round(into[axis] ?? 0);
    return way === 0 ? value - BOX_HALF : way > 0 ? value : value - BOX_DEPTH;
  });
  const size = into.map((way) => (Math.round(way) === 0 ? 2 * BOX_HALF : BOX_DEPTH));
  return bodyOf(name, least, size, gaze);
}

/** A leg with where its dimension is taken, as it is seen: pixels. */
export interface LegSeen {
  id: string;
  from: Point;
  to: Point;
}

export interface LegSpot {
  id: string;
  spot: Point;
  line: { from: Point; to: Point };
  anchors: readonly [Point, Point];
  leader: { from: Point; to: Point } | undefined;
}

/**
 * Where the lengths of the legs are written: beside each leg, away from the middle of the run, and where none covers another.
 *
 * @param piece as it is seen, pixels
 * @param ground where there is room; a dimension stands `beside` its leg, pixels
 */
export function legSpots(
  legs: readonly LegSeen[],
  piece: readonly Point[],
  sizes: ReadonlyMap<string, PlaceSize>,
  usual: PlaceSize,
  ground: Omit<Ground, 'bodies' | 'blocks'> & { halfWidth: number; beside: number },
): LegSpot[] {
  const middle = {
    x: piece.reduce((sum, { x }) => sum + x, 0) / Math.max(1, piece.length),
    y: piece.reduce((sum, { y }) => sum + y, 0) / Math.max(1, piece.length),
  };
  const lines = legs.map(({ id, from, to }) => {
    const size = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    const normal = { x: -(to.y - from.y) / size, y: (to.x - from.x) / size };
    const half = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
    const away = (half.x - middle.x) * normal.x + (half.y - middle.y) * normal.y >= 0 ? 1 : -1;
    const off = { x: normal.x * away * ground.beside, y: normal.y * away * ground.beside };
    return {
      id,
      anchors: [from, to] as const,
      from: { x: from.x + off.x, y: from.y + off.y },
      to: { x: to.x + off.x, y: to.y + off.y },
      off,
    };
  });
  const wanted = lines.map(({ id, from, to, off }): Wanted => {
    const { width, height, below } = sizes.get(id) ?? usual;
    const half = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
    // So that the figure stands beside its line and not on the conduit.
    const push = { x: Math.sign(off.x) * (width / 2), y: Math.sign(off.y) * (height / 2) };
    const steep = Math.abs(off.x) / ground.beside;
    return {
      id,
      width,
      height,
      ...(below === undefined ? {} : { below }),
      at: { x: half.x + push.x * steep * 0.5, y: half.y + push.y * (1 - steep) * 0.5 },
      anchor: half,
      line: { from, to },
    };
  });
  const { middles } = placeLabels(wanted, {
    width: ground.width,
    height: ground.height,
    texts: ground.texts,
    bodies: [{ points: piece, halfWidth: ground.halfWidth }],
    blocks: [],
  });
  return lines.map(({ id, anchors, from, to }) => {
    const half = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
    const spot = middles.get(id) ?? half;
    const { width, height } = sizes.get(id) ?? usual;
    const far = Math.abs(spot.x - half.x) > width / 2 + 8 || Math.abs(spot.y - half.y) > height / 2 + 8;
    return { id, spot, line: { from, to }, anchors, leader: far ? { from: spot, to: half } : undefined };
  });
}

/** How far somebody has drawn along a leg, inches, by how far a pointer went on the screen. */
export function drawnAlong(by: Point, vector: Space, gaze: Gaze, view: View): number {
  const way = seen(vector, gaze);
  const [x, y] = [way.x * view.scale, -way.y * view.scale];
  const size = x * x + y * y;
  return size < 1e-6 ? 0 : (by.x * x + by.y * y) / size;
}

function dot(one: Space, other: Space): number {
  return one.reduce((sum, value, i) => sum + value * (other[i] ?? 0), 0);
}

function cross(one: Space, other: Space): Space {
  const [ax = 0, ay = 0, az = 0] = one;
  const [bx = 0, by = 0, bz = 0] = other;
  return [ay * bz - az * by, az * bx - ax * bz, ax * by - ay * bx];
}
