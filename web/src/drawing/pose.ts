/** How a piece lies in its elevation: from its own frame (inches, x along the datum leg) to the drawing's (y up). Pure. */

import type { Schemas } from '../api/client';
import type { Point } from './geometry';

/** A point of a piece as the calculation interface gives it: [x, y, z] in inches. */
export type Space = readonly number[];

/** What is drawn of a piece: its centreline, and how the core says that it lies. */
export interface Shape {
  centreline: readonly Space[];
  /** A device may remember pieces from an earlier build, which did not say: those lie on their datum leg until they are asked for anew. */
  pose?: Schemas['PoseAnswer'] | undefined;
}

export interface Pose {
  /** Where a point of a piece lies on the drawing; the surface that it lies on is y = 0. */
  place: (point: Space) => Point;
  /** Where it lies in the view from above, for pieces that leave their plane. */
  fromAbove: ((point: Space) => Point) | undefined;
  /** Where the datum end points: what is written at it has its place accordingly. */
  datum: 'up' | 'down' | 'level';
  /** Where the surface begins, inches of the drawing; everywhere where it is not said. */
  surfaceFrom: number | undefined;
}

/** Room between the elevation and the view from above, inches of the drawing. */
const BETWEEN_VIEWS = 2.5;

/** What leaves its plane by less than this, inches, is as well seen from the side alone. */
const FLAT = 1 / 32;

const LYING: Schemas['PoseAnswer'] = { across: [1, 0, 0], up: [0, 1, 0], origin: [0, 0, 0], onDatumLeg: true };

/** How a piece lies in space: to the right, up, and towards who looks at it. */
export function stood({ pose = LYING }: Shape, outsideDiameter: number): (point: Space) => Space {
  const { across, up, origin } = pose;
  const towards = cross(across, up);
  return (point) => {
    const from = point.map((value, i) => value - at(origin, i));
    return [dot(from, across), dot(from, up) + outsideDiameter / 2, dot(from, towards)];
  };
}

/** Whether its datum leg stands up, so that its drawing is about as high as it is wide. */
export function isUpright({ pose = LYING }: Shape): boolean {
  return Math.abs(at(pose.across, 0)) < 0.5;
}

/** How a piece lies on a drawing. */
export function poseOf(shape: Shape, outsideDiameter: number): Pose {
  const inSpace = stood(shape, outsideDiameter);
  const depths = shape.centreline.map((point) => at(inSpace(point), 2));
  const widest = Math.max(...depths);
  return {
    place: (point) => flat(inSpace(point), 1),
    fromAbove:
      widest - Math.min(...depths) < FLAT
        ? undefined
        : (point) => {
            const { x, y } = flat(inSpace(point), 2);
            return { x, y: y - widest - outsideDiameter / 2 - BETWEEN_VIEWS };
          },
    surfaceFrom: shape.pose?.surfaceFromIn ?? undefined,
    datum: datumOf(at((shape.pose ?? LYING).up, 0)),
  };
}

/** @param upright how far up the datum leg's own direction is */
function datumOf(upright: number): Pose['datum'] {
  return upright < -0.5 ? 'up' : upright > 0.5 ? 'down' : 'level';
}

function flat(point: Space, axis: 1 | 2): Point {
  return { x: at(point, 0), y: at(point, axis) };
}

function at(point: Space, index: number): number {
  return point[index] ?? 0;
}

function dot(one: Space, other: Space): number {
  return one.reduce((sum, value, i) => sum + value * at(other, i), 0);
}

function cross(one: Space, other: Space): Space {
  return [1, 2, 0].map((i, k) => {
    const j = [2, 0, 1][k] ?? 0;
    return at(one, i) * at(other, j) - at(one, j) * at(other, i);
  });
}
