/**
 * A run as a fitter sketches it: the plan of each wall, floor or ceiling that it runs along, each as seen facing it. Pure, in inches of
 * the room: to the right, up, out of the wall where the run begins.
 */

import type { Point } from './geometry';
import type { Space } from './pose';

export type Towards = 'right' | 'left' | 'up' | 'down' | 'out' | 'in';

/** What a bend says of the course of its conduit, as a request writes it. */
export interface Course {
  legs: readonly { towards: Towards }[];
  startOffset?: unknown;
  endOffset?: unknown;
  along?: readonly { leg: number; kind: string }[];
}

/** One wall with what of the run is on it. */
export interface WallOfRun {
  id: string;
  title: string;
  /** Numbers of the legs that are on it, from 1. */
  legs: readonly number[];
  /** Where a point of the room is on its plan. */
  place: (point: Space) => Point;
  /** Arcs that are on it, from 0: the first and the one behind the last. */
  arcs: readonly [number, number];
  /** How the run comes to it and goes on from it: towards who looks, or away; nothing at an end. */
  before: 'towards' | 'away' | undefined;
  after: 'towards' | 'away' | undefined;
}

const AXES: Readonly<Record<Towards, readonly [axis: 0 | 1 | 2, sign: 1 | -1]>> = {
  right: [0, 1],
  left: [0, -1],
  up: [1, 1],
  down: [1, -1],
  out: [2, 1],
  in: [2, -1],
};

const ARCS: Readonly<Record<string, number>> = { offset: 2, saddle3: 3, saddle4: 4 };

/** The arcs that each leg has on it, from 0; the ninety at its end comes after them. */
export function arcsOfLegs({ legs, startOffset, endOffset, along = [] }: Course): { from: number; to: number }[] {
  let next = 0;
  return legs.map((_, i) => {
    const boxes = (i === 0 && startOffset != null ? 2 : 0) + (i === legs.length - 1 && endOffset != null ? 2 : 0);
    const on = along.filter(({ leg }) => leg === i + 1).reduce((sum, { kind }) => sum + (ARCS[kind] ?? 2), 0);
    const from = next;
    const to = from + boxes + on;
    next = to + 1;
    return { from, to };
  });
}

/** The course of a bend that has legs. */
export function courseOf(bend: unknown): Course | undefined {
  const said = bend as (Partial<Course> & { kind?: string }) | null | undefined;
  return said?.kind === 'run' && said.legs !== undefined ? { ...said, legs: said.legs } : undefined;
}

/**
 * The walls of a run, from its datum end: as many legs as lie in one plane are on one, and the leg that two walls share is on both.
 *
 * @param points where the ends of the legs are in the room
 */
export function wallsOf(course: Course, points: readonly Space[]): WallOfRun[] {
  const axes = course.legs.map(({ towards }) => AXES[towards][0]);
  const onLegs = arcsOfLegs(course);
  const walls: WallOfRun[] = [];
  let first = 0;
  while (first < Math.max(1, axes.length - 1)) {
    const plane = new Set([axes[first] ?? 0, axes[first + 1] ?? (axes[first] === 1 ? 0 : 1)]);
    let last = Math.min(first + 1, axes.length - 1);
    while (last + 1 < axes.length && plane.has(axes[last + 1] ?? 0)) {
      last++;
    }
    const normal = ([0, 1, 2] as const).find((axis) => !plane.has(axis)) ?? 2;
    const depth = points[first + 1]?.[normal] ?? 0;
    const view = viewOf(normal, depth >= middleOf(points, normal));
    const ends = { before: course.legs[first - 1], after: course.legs[last + 1] };
    walls.push({
      id: `wall ${String(walls.length + 1)}`,
      title: view.title,
      legs: Array.from({ length: last - first + 1 }, (_, i) => first + i + 1),
      place: view.place,
      arcs: [onLegs[first]?.from ?? 0, onLegs[last]?.to ?? 0],
      before: ends.before === undefined ? undefined : lookedAt(ends.before.towards, view.towards, -1),
      after: ends.after === undefined ? undefined : lookedAt(ends.after.towards, view.towards, 1),
    });
    first = last;
    if (last === axes.length - 1) {
      break;
    }
  }
  return walls;
}

interface WallView {
  title: string;
  place: (point: Space) => Point;
  /** From the wall to who looks at it. */
  towards: Space;
}

function viewOf(normal: 0 | 1 | 2, isBeyond: boolean): WallView {
  switch (normal) {
    case 2:
      return { title: 'Facing the wall', place: ([x = 0, y = 0]) => ({ x, y }), towards: [0, 0, 1] };
    case 1:
      return { title: 'From above', place: ([x = 0, , z = 0]) => ({ x, y: -z }), towards: [0, 1, 0] };
    default:
      return isBeyond
        ? { title: 'Facing right', place: ([, y = 0, z = 0]) => ({ x: z, y }), towards: [-1, 0, 0] }
        : { title: 'Facing left', place: ([, y = 0, z = 0]) => ({ x: -z, y }), towards: [1, 0, 0] };
  }
}

/** Whether conduit that runs this way, onto the wall or off it, is on the side of who looks. */
function lookedAt(runs: Towards, towards: Space, sign: 1 | -1): 'towards' | 'away' {
  const [axis, way] = AXES[runs];
  return (towards[axis] ?? 0) * way * sign > 0 ? 'towards' : 'away';
}

function middleOf(points: readonly Space[], axis: number): number {
  const values = points.map((point) => point[axis] ?? 0);
  return (Math.min(...values) + Math.max(...values)) / 2;
}

/**
 * What of a centreline is on a wall.
 *
 * @param centreline two ends, and between them equally many points for every arc
 * @param arcs how many arcs it has
 */
export function partOnWall<P>(centreline: readonly P[], arcs: number, wall: WallOfRun): P[] {
  const perArc = arcs === 0 ? 0 : (centreline.length - 2) / arcs;
  const [from, to] = wall.arcs;
  const first = wall.before === undefined ? 0 : from * perArc;
  const last = wall.after === undefined ? centreline.length : 2 + to * perArc;
  return centreline.slice(first, last);
}
