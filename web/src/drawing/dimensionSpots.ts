/** Where the dimensions of a piece stand on its drawing, so that none covers another. Pure, in pixels. */

import { featureOf } from '../entry/features';
import type { Box, Point, View } from './geometry';
import { edge, type Ground, placeLabels, type Rect, rectOf, type Wanted } from './labels';

/** A dimension with the drawing's points (inches) that it runs between; the same point twice for a mark or an angle. */
export interface Measure {
  id: string;
  from: Point;
  to: Point;
}

/** How large what is written at a place is, with what is said below it while it is written. */
export interface PlaceSize {
  width: number;
  height: number;
  below?: number;
}

export interface DimensionSpot {
  id: string;
  /** Middle of what is written there. */
  spot: Point;
  /** The dimension line, for lengths. */
  line?: { from: Point; to: Point };
  /** Screen points on the piece that the line measures. */
  anchors: readonly Point[];
  /** From what is written to what it is about, where that is not plain without. */
  leader?: { from: Point; to: Point };
}

/** Below this width a drawing has only room for figures, and fields stand elsewhere. */
export const NARROW_PX = 480;

/** What stands at a place before it is known how large it is. */
export function usualSize(width: number): PlaceSize {
  return width < NARROW_PX ? { width: 84, height: 44 } : { width: 138, height: 66 };
}

type Lane = 'marks' | 'angles' | 'beside' | 'below';

function laneOf({ id, from, to }: Measure): Lane {
  if (featureOf(id).kind === 'mark') {
    return 'marks';
  }
  // How flat a bend is, too, is read at its middle.
  if (featureOf(id).kind === 'angle' || featureOf(id).kind === 'flattening') {
    return 'angles';
  }
  return Math.abs(to.y - from.y) > Math.abs(to.x - from.x) || id === 'tailLift' || id === 'dogLeg' ? 'beside' : 'below';
}

const ROW_GAP = 7;

/**
 * Room that the dimensions take around the piece.
 *
 * @param lanes how many rows of figures there is room for above the piece
 * @param half of the conduit's diameter, inches: dimensions run along its axis or along its surface
 */
export function roomAround(
  measures: readonly Measure[],
  sizeOf: (id: string) => PlaceSize,
  width: number,
  lanes: number,
  half = 0,
): Box {
  const end = 1 + half;
  const below = measures.filter((measure) => laneOf(measure) === 'below').map(({ id }) => sizeOf(id).height + ROW_GAP);
  const others = measures.filter((measure) => laneOf(measure) !== 'below').map(({ id }) => sizeOf(id).height + ROW_GAP);
  const usual = width < NARROW_PX ? 26 : 74;
  const [left, right] = [Math.min(...measures.map(leftOf)), Math.max(...measures.map(rightOf))];
  /** Figures of what stands at an end of the piece have their place beside it. */
  const side = (stands: (measure: Measure) => boolean) =>
    Math.max(
      usual,
      ...measures
        .filter((measure) => laneOf(measure) === 'beside' && isLeg(measure) && stands(measure))
        .map(({ id }) => sizeOf(id).width + 26),
    );
  return {
    left: side((measure) => leftOf(measure) < left + end),
    right: side((measure) => rightOf(measure) > right - end),
    top: (others.length === 0 ? 0 : lanes * Math.max(...others)) + 14,
    bottom: below.reduce((sum, each) => sum + each, 0) + 26,
  };
}

const leftOf = ({ from, to }: Measure) => Math.min(from.x, to.x);
const rightOf = ({ from, to }: Measure) => Math.max(from.x, to.x);

/** A leg that stands up, which its dimension runs beside. */
function isLeg({ from, to }: Measure): boolean {
  return Math.abs(to.x - from.x) < 1 && Math.abs(to.y - from.y) > 6;
}

interface Spotted {
  spots: DimensionSpot[];
  /** How many had to be written over another. */
  crowded: number;
  /** How much of the piece is written over. */
  over: number;
}

/**
 * Finds the spots: angles at their bends, marks above their rings, heights where they are taken, lengths along the run in rows
 * beneath it, the shortest nearest.
 *
 * @param ground what is on the drawing already
 * @param halfWidth half of the conduit's width as drawn
 * @param first what somebody is writing in, which finds its place before all others
 */
export function dimensionSpots(
  measures: readonly Measure[],
  sizeOf: (id: string) => PlaceSize,
  view: View,
  box: Box,
  ground: Ground,
  halfWidth: number,
  first?: string,
): Spotted {
  const drafts = [
    ...rows(measures, sizeOf, view, view.toScreen({ x: 0, y: box.bottom }).y),
    ...measures
      .filter((measure) => laneOf(measure) !== 'below')
      .sort((a, b) => PRIORITY.indexOf(laneOf(a)) - PRIORITY.indexOf(laneOf(b)))
      .map((measure) => draft(measure, sizeOf(measure.id), view, ground, halfWidth)),
  ].sort((a, b) => Number(b.wanted.id === first) - Number(a.wanted.id === first));
  const { middles, crowded, over } = placeLabels(
    drafts.map(({ wanted }) => wanted),
    ground,
  );
  const spots = drafts.map((each) => spotOf(each, middles.get(each.wanted.id) ?? each.wanted.at, halfWidth));
  return { spots, crowded, over };
}

const PRIORITY: readonly Lane[] = ['below', 'beside', 'angles', 'marks'];

/** A dimension before its text has its place. */
interface Draft {
  wanted: Wanted;
  lane: Lane;
  anchors: readonly Point[];
  line?: { from: Point; to: Point };
}

function rows(measures: readonly Measure[], sizeOf: (id: string) => PlaceSize, view: View, surface: number): Draft[] {
  let y = surface + 14;
  return measures
    .filter((measure) => laneOf(measure) === 'below')
    .map((measure) => {
      const [one, other] = [view.toScreen(measure.from), view.toScreen(measure.to)];
      return { measure, start: one.x <= other.x ? one : other, end: one.x <= other.x ? other : one };
    })
    .sort((a, b) => a.end.x - a.start.x - (b.end.x - b.start.x))
    .map(({ measure: { id }, start, end }) => {
      const size = sizeOf(id);
      const at = { x: (start.x + end.x) / 2, y: y + size.height / 2 };
      y += size.height + ROW_GAP;
      const line = { from: { x: start.x, y: at.y }, to: { x: end.x, y: at.y } };
      return { wanted: { id, ...size, at, line, upright: 3 }, lane: 'below', anchors: [start, end] };
    });
}

function draft(measure: Measure, size: PlaceSize, view: View, ground: Ground, halfWidth: number): Draft {
  const { id } = measure;
  const lane = laneOf(measure);
  const [from, to] = [view.toScreen(measure.from), view.toScreen(measure.to)];
  const clear = halfWidth + size.height / 2 + 6;
  if (lane === 'marks') {
    // Beside a leg that stands up, on the inner side; above it, the figure would be led to along the conduit.
    const inner = (from.x < ground.width / 2 ? 1 : -1) * (halfWidth + size.width / 2 + 14);
    const at = standsAt(ground, from) ? { x: from.x + inner, y: from.y } : { x: from.x, y: from.y - clear };
    return {
      wanted: { id, ...size, at, anchor: from, upright: 0.6 },
      lane,
      anchors: [from],
    };
  }
  if (lane === 'angles' || id === 'dogLeg' || id === 'tailLift') {
    return { wanted: { id, ...size, at: { x: to.x, y: to.y - clear }, anchor: to }, lane, anchors: [to] };
  }
  // A line that would run inside the conduit stands beside it: on the side that it is nearer to, else on the outer one.
  const axis = ground.bodies
    .map(({ points, halfWidth: reach }) => axisAlong(points, from, to, reach))
    .find((x) => x !== undefined);
  const inside = axis !== undefined;
  const long = Math.abs(from.y - to.y) > size.height + 14;
  const outer = halfWidth + (long ? size.width / 2 + 16 : 18);
  const left = inside && Math.abs(to.x - axis) > 1 ? to.x < axis : to.x < ground.width / 2;
  const aside = inside ? (left ? -1 : 1) * outer : 0;
  const line = { from: { x: to.x + aside, y: from.y }, to: { x: to.x + aside, y: to.y } };
  const at = {
    x: line.to.x,
    y: long ? (from.y + to.y) / 2 : Math.min(from.y, to.y) - size.height / 2 - 10,
  };
  return {
    wanted: { id, ...size, at, anchor: long ? { x: line.to.x, y: at.y } : line.to, line, upright: long ? 0.5 : 1 },
    lane,
    line,
    anchors: inside ? [from, to] : [],
  };
}

/** Whether the conduit stands up where something is marked on it. */
function standsAt({ bodies }: Ground, at: Point): boolean {
  const parts = bodies.flatMap(({ points }) =>
    points.slice(1).map((to, i) => {
      const from = points[i] ?? to;
      const size = Math.hypot(to.x - from.x, to.y - from.y) || 1;
      const along = ((at.x - from.x) * (to.x - from.x) + (at.y - from.y) * (to.y - from.y)) / size;
      const part = Math.min(Math.max(along / size, 0), 1);
      const off = Math.hypot(from.x + part * (to.x - from.x) - at.x, from.y + part * (to.y - from.y) - at.y);
      return { off, steep: Math.abs(to.y - from.y) > Math.abs(to.x - from.x) };
    }),
  );
  return parts.reduce((nearest, part) => (part.off < nearest.off ? part : nearest), { off: Infinity, steep: false })
    .steep;
}

/** Where along its length it is looked whether a line runs inside the conduit. */
const PARTS = [0.15, 0.5, 0.85];

/** Where the axis of a body is that an upright line lies within for some of its length. */
function axisAlong(points: readonly Point[], from: Point, to: Point, reach: number): number | undefined {
  for (const part of PARTS) {
    const height = from.y + part * (to.y - from.y);
    for (const [i, point] of points.entries()) {
      const next = points[i + 1];
      const axis = next === undefined ? undefined : (point.x + next.x) / 2;
      if (
        next !== undefined &&
        axis !== undefined &&
        Math.min(point.y, next.y) <= height &&
        Math.max(point.y, next.y) >= height &&
        Math.abs(point.x - next.x) < Math.abs(point.y - next.y) &&
        Math.abs(axis - to.x) < reach + 4
      ) {
        return axis;
      }
    }
  }
  return undefined;
}

function spotOf({ wanted, lane, anchors, line }: Draft, spot: Point, halfWidth: number): DimensionSpot {
  const { id } = wanted;
  const rect = rectOf({ ...wanted, below: 0 }, spot);
  if (lane === 'below') {
    const [start, end] = [anchors[0] ?? spot, anchors[1] ?? spot];
    // Where the text is as long as the line, the line runs above it.
    const y = rect.left < start.x + 12 || rect.right > end.x - 12 ? rect.top - 1 : spot.y;
    return { id, spot, line: { from: { x: start.x, y }, to: { x: end.x, y } }, anchors };
  }
  if (line !== undefined) {
    const middle = { x: line.to.x, y: (line.from.y + line.to.y) / 2 };
    const near =
      Math.min(line.from.y, line.to.y) < rect.top ? middle : { x: line.to.x, y: Math.min(line.from.y, line.to.y) };
    return { id, spot, line, anchors, ...leader(rect, near, 14) };
  }
  const [anchor = spot] = anchors;
  return { id, spot, anchors: [], ...leader(rect, anchor, halfWidth + 18) };
}

/** A line from the edge of a text to what it is about, unless it stands right beside it. */
function leader(rect: Rect, to: Point, near: number): Pick<DimensionSpot, 'leader'> {
  const from = edge(rect, to);
  return Math.hypot(from.x - to.x, from.y - to.y) <= near ? {} : { leader: { from, to } };
}

/**
 * Moves points on a line apart until each has its room, as little as possible, within bounds and in their order.
 *
 * @param gap least distance of two neighbours; less only where the bounds leave no room for it
 */
export function spread(wanted: readonly number[], gap: number, least: number, most: number): number[] {
  const order = wanted.map((_, i) => i).sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0));
  const fits = Math.min(gap, wanted.length > 1 ? (most - least) / (wanted.length - 1) : gap);
  const placed = order.map((i) => Math.min(Math.max(wanted[i] ?? 0, least), most));
  // Neighbours that are too close share the shift; some rounds settle groups.
  for (let round = 0; round < 60; round++) {
    for (let i = 1; i < placed.length; i++) {
      const lacking = fits - ((placed[i] ?? 0) - (placed[i - 1] ?? 0));
      if (lacking > 0) {
        placed[i - 1] = (placed[i - 1] ?? 0) - lacking / 2;
        placed[i] = (placed[i] ?? 0) + lacking / 2;
      }
    }
    clamp(placed, fits, least, most);
  }
  const result = new Array<number>(wanted.length).fill(0);
  order.forEach((i, place) => {
    result[i] = placed[place] ?? 0;
  });
  return result;
}

function clamp(placed: number[], gap: number, least: number, most: number): void {
  placed.forEach((value, i) => {
    placed[i] = Math.min(Math.max(value, least + i * gap), most - (placed.length - 1 - i) * gap);
  });
}
