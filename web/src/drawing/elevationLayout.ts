/** A piece on its drawing: the view, with long straights folded, and the places of all that is written. Pure. */

import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import { reach } from './Around';
import { breakAt, type Folds, foldsOf, UNFOLDED } from './folds';
import { along, type Box, boxAround, exaggerated, foldedView, type Point, type View } from './geometry';
import type { Ground, Rect } from './labels';
import { poseOf, type Pose, type Shape } from './pose';
import { dimensionSpots, type Measure, type PlaceSize, roomAround, usualSize } from './dimensionSpots';

/** What is drawn. */
export interface Drawn {
  plan: LayoutAnswer;
  outsideDiameter: number;
  /** What was made, to be laid over what was asked. */
  made?: Shape | null | undefined;
  /** What the rings alone would have given. */
  marked?: Shape | null | undefined;
  /** As it was first bent, where it was bent again since. */
  first?: Shape | null | undefined;
  exaggeration?: number | undefined;
  /** What the exercise asks for exactly: then the piece is laid over it, with its difference made larger. */
  wanted?: Shape | null | undefined;
  /** Sizes that are drawn on what they are the size of, such as an obstacle's; else each is drawn on its feature. */
  dimensions?: readonly Schemas['DimensionAnswer'][] | undefined;
}

/** What is drawn of a piece in its place, in inches. Each lies on its own leg. */
function drawnPieces({ plan, outsideDiameter, made, marked, first, wanted, exaggeration = 1 }: Drawn, pose: Pose) {
  const lying = (shape: Shape) => shape.centreline.map(poseOf(shape, outsideDiameter).place);
  const predicted = plan.shape.centreline.map(pose.place);
  const wantedPiece = wanted == null ? undefined : lying(wanted);
  const asked = wantedPiece === undefined ? predicted : exaggerated(wantedPiece, predicted, exaggeration);
  const over = (shape: Shape | null | undefined) =>
    shape == null ? undefined : exaggerated(asked, lying(shape), exaggeration);
  const { fromAbove } = pose;
  const above = fromAbove === undefined ? undefined : plan.shape.centreline.map(fromAbove);
  const half = outsideDiameter / 2;
  const pieces = {
    asked,
    wanted: wantedPiece,
    made: over(made),
    marked: over(marked),
    first: over(first),
    above,
    madeAbove:
      fromAbove === undefined || made == null || above === undefined
        ? undefined
        : exaggerated(above, made.centreline.map(fromAbove), exaggeration),
  };
  const lines = [asked, pieces.made, pieces.marked, pieces.first, above, pieces.madeAbove].filter(
    (line) => line !== undefined,
  );
  const inner = boxAround([...lines.flat(), ...reach(plan.around, pose.place)]);
  const box: Box = { ...inner, top: inner.top + half, bottom: Math.min(0, inner.bottom - half) };
  return { pieces, lines, box, half };
}

/**
 * The view and the places of all that is written, with the straights folded where that makes the bends larger.
 *
 * @param ids of the places that something stands at
 * @param sizes of what stands there, as far as they are known
 * @param whole whether straights are drawn in their whole length all the same
 */
export function layOutElevation(
  drawing: Drawn,
  ids: ReadonlySet<string>,
  sizes: ReadonlyMap<string, PlaceSize>,
  width: number,
  height: number,
  whole: boolean,
) {
  const { plan, outsideDiameter, dimensions = [] } = drawing;
  const pose = poseOf(plan.shape, outsideDiameter);
  const drawn = drawnPieces(drawing, pose);
  const { pieces, lines, box, half } = drawn;
  const measures = measured(plan, dimensions, pose).filter(({ id }) => ids.has(id));
  const sizeOf = (id: string) => sizes.get(id) ?? usualSize(width);
  const kept = [
    // An end may lie anywhere on the axis that another leg is folded along.
    ...lines.flatMap((line) => [line[0], line.at(-1)]).filter((end) => end !== undefined),
    ...measures.flatMap(({ from, to }) => [from, to]),
    ...plan.marks.map(({ positionIn }) => along(pieces.asked, positionIn).point),
    ...reach(plan.around, pose.place),
    ...outline(plan.obstacle, box.right),
  ];
  const room = roomAround(measures, sizeOf, width, 0, half);
  const aspect = width / Math.max(1, height - 160);
  const roughly = foldsOf({ lines, kept }, box, aspect);
  const { scale } = foldedView(roughly, box, width, height, room);
  const foldable = foldsOf({ lines, kept }, box, aspect, breakAt(scale));
  const folds = whole ? UNFOLDED : foldable;
  const first = [...sizes].find(([, { below = 0 }]) => below > 0)?.[0];
  // No more room around the piece than what is written needs: the drawing is what people look at.
  const at = (lanes: number) => {
    const view = foldedView(folds, box, width, height, roomAround(measures, sizeOf, width, lanes, half));
    const fittings = plan.around.flatMap((each) => {
      const corners = reach([each], pose.place);
      return corners.length === 0 ? [] : [rectAround(corners.map(view.toScreen))];
    });
    const switchHalfWay = lines.flat().some((point) => isIn(view.toScreen(point), switchRect(false, width, height)));
    const datum = datumText(pose.datum, pieces.asked, half, view, fittings);
    const ground: Ground = {
      width,
      height,
      texts: [
        textRect('datum end', 14, datum.at, datum.anchor),
        ...plan.marks.map((mark) =>
          textRect(String(mark.number), 14, ringNumber(pieces.asked, mark.positionIn, half, view)),
        ),
        ...(pieces.above === undefined ? [] : [textRect('from above', 14, aboveText(pieces.above, view), 'start')]),
        ...(isFolded(foldable) ? [switchRect(switchHalfWay, width, height)] : []),
      ],
      bodies: lines.map((line) => ({ points: line.map(view.toScreen), halfWidth: half * view.scale + 2 })),
      blocks: [...obstacleBlock(plan.obstacle, view), ...fittings],
    };
    const { spots, crowded, over } = dimensionSpots(measures, sizeOf, view, box, ground, half * view.scale, first);
    return { view, datum, ground, spots, crowded, over, switchHalfWay };
  };
  let laid = at(0);
  for (const lanes of MORE_LANES) {
    if (laid.crowded === 0 && laid.over <= FEW) {
      break;
    }
    laid = at(lanes);
  }
  return { pose, ...drawn, ...laid, folds, foldable: isFolded(foldable), sizeOf };
}

/** Rows of figures that there is room for above the piece, where there is too little without. */
const MORE_LANES = [1, 2.4];

/** So few cells of the piece may be written over before more room is made for what is written. */
const FEW = 4;

/** The switch between broken and whole straights stands in the corner. */
const SWITCH = { width: 132, height: 50 };

/** In the upper corner, or half-way down where a piece reaches into that: there is the end of no dimension. */
function switchRect(halfWay: boolean, width: number, height: number): Rect {
  const top = halfWay ? (height - SWITCH.height) / 2 : 0;
  return { left: width - SWITCH.width, right: width, top, bottom: top + SWITCH.height };
}

function isIn({ x, y }: Point, { left, right, top, bottom }: Rect): boolean {
  return x >= left && x <= right && y >= top && y <= bottom;
}

function isFolded({ x, y }: Folds): boolean {
  return x.length + y.length > 0;
}

/** An obstacle is seen in its true size; of one that goes on beyond the piece only where it begins. */
function outline(obstacle: LayoutAnswer['obstacle'], end: number): Point[] {
  if (obstacle == null) {
    return [];
  }
  const { fromIn, widthIn, heightIn } = obstacle;
  const seen = fromIn + widthIn >= end - 1 ? 0 : widthIn;
  return Array.from({ length: Math.ceil(seen / 2) + 1 }, (_, i) => ({
    x: fromIn + Math.min(2 * i, seen),
    y: i % 2 === 0 ? 0 : heightIn,
  }));
}

function obstacleBlock(obstacle: LayoutAnswer['obstacle'], view: View): Rect[] {
  if (obstacle == null) {
    return [];
  }
  const foot = view.toScreen({ x: obstacle.fromIn, y: 0 });
  const corner = view.toScreen({ x: obstacle.fromIn + obstacle.widthIn, y: obstacle.heightIn });
  return [{ left: foot.x, right: corner.x, top: corner.y, bottom: foot.y }];
}

function rectAround(points: readonly Point[]): Rect {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

/** At the datum end; above the fitting where it goes into one. */
function datumText(datum: Pose['datum'], asked: readonly Point[], half: number, view: View, fittings: readonly Rect[]) {
  const start = view.toScreen(asked[0] ?? { x: 0, y: 0 });
  const fitting = fittings.find(
    ({ left, right, top, bottom }) => start.x >= left && start.x <= right && start.y >= top && start.y <= bottom,
  );
  if (fitting !== undefined) {
    return { at: { x: fitting.left + 2, y: fitting.top - 12 }, anchor: 'start' as const };
  }
  switch (datum) {
    case 'up':
      return { at: offset({ ...start, x: Math.max(start.x, 40) }, 0, -14), anchor: 'middle' as const };
    case 'down':
      return { at: offset(start, half * view.scale + 4, -8), anchor: 'start' as const };
    case 'level':
      return { at: offset(start, 2, -half * view.scale - 12), anchor: 'start' as const };
  }
}

export function aboveText(above: readonly Point[], view: View): Point {
  return offset(view.toScreen(above[0] ?? { x: 0, y: 0 }), 0, 26);
}

/** What a text in the drawing takes; figures and letters are about half as wide as they are high. */
function textRect(text: string, size: number, { x, y }: Point, anchor: 'start' | 'middle' = 'middle'): Rect {
  const width = text.length * size * 0.56 + 4;
  const left = anchor === 'start' ? x - 2 : x - width / 2;
  return { left, right: left + width, top: y - size / 2 - 2, bottom: y + size / 2 + 2 };
}

/** Everything that has a place: what the exercise gives where it gives it, all else on the piece. */
function measured(plan: LayoutAnswer, dimensions: readonly Schemas['DimensionAnswer'][], pose: Pose): Measure[] {
  const given = dimensions.map(({ at, from, to }) => ({ id: at, from, to }));
  const rest = plan.features.filter(({ id }) => !given.some((each) => each.id === id));
  return [...given, ...rest].map(({ id, from, to }) => {
    const place = id === 'roll' && pose.fromAbove !== undefined ? pose.fromAbove : pose.place;
    return { id, from: place(from), to: place(to) };
  });
}

function offset({ x, y }: Point, dx: number, dy: number): Point {
  return { x: x + dx, y: y + dy };
}

/** Where the pencil ring of a mark ends on either side. */
export function ringEnds(points: readonly Point[], markIn: number, half: number, view: View): [Point, Point] {
  const { point, direction } = along(points, markIn);
  const across = (distance: number) =>
    view.toScreen({ x: point.x - direction.y * distance, y: point.y + direction.x * distance });
  return [across(half * 1.3), across(-half * 1.3)];
}

/** Where its number stands. */
export function ringNumber(points: readonly Point[], markIn: number, half: number, view: View): Point {
  const [one, other] = ringEnds(points, markIn, half, view);
  const lower = one.y > other.y ? one : other;
  return { x: lower.x, y: lower.y + 10 };
}
