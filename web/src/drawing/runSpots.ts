/** Where the dimensions of a run stand around its drawing, so that none covers another. Pure, in pixels. */

import { type Box, type Point, type View } from './geometry';

/** A dimension with the drawing's points (inches) that it runs between; the same point twice for a mark or an angle. */
export interface Measure {
  id: string;
  from: Point;
  to: Point;
}

export interface RunSpot {
  id: string;
  /** Middle of what is written there. */
  spot: Point;
  /** The dimension line, for lengths. */
  line?: { from: Point; to: Point };
  /** Screen points on the piece that it measures or, for a mark or an angle, the one it points to. */
  anchors: readonly Point[];
}

interface Sizes {
  width: number;
  lane: number;
}

const NARROW_PX = 600;

/** What stands at a place takes at most this much. */
function sizes(width: number): Sizes {
  return width < NARROW_PX ? { width: 88, lane: 48 } : { width: 142, lane: 76 };
}

type Lane = 'marks' | 'angles' | 'beside' | 'below';

function laneOf({ id, from, to }: Measure): Lane {
  if (id.startsWith('mark')) {
    return 'marks';
  }
  if (id.startsWith('angle')) {
    return 'angles';
  }
  return Math.abs(to.y - from.y) > Math.abs(to.x - from.x) || id === 'tailLift' || id === 'dogLeg' ? 'beside' : 'below';
}

/** Room that the dimensions take around the piece. */
export function roomForRun(measures: readonly Measure[], width: number): Box {
  const { lane } = sizes(width);
  const lanes = new Set(measures.map(laneOf));
  const above = [lanes.has('marks'), lanes.has('angles'), lanes.has('beside')].filter(Boolean).length;
  const below = measures.filter((measure) => laneOf(measure) === 'below').length;
  const side = width < NARROW_PX ? 26 : 74;
  return { left: side, right: side, top: above * lane + 14, bottom: below * lane + 26 };
}

/**
 * Finds the spots: marks above all, angles below them, heights and the dog leg above the piece where they are taken, lengths along the
 * run in rows beneath it, the shortest nearest.
 */
export function runSpots(measures: readonly Measure[], view: View, box: Box, width: number, height: number): RunSpot[] {
  const size = sizes(width);
  const lanes: Record<Lane, Measure[]> = { marks: [], angles: [], beside: [], below: [] };
  for (const measure of measures) {
    lanes[laneOf(measure)].push(measure);
  }
  const spots: RunSpot[] = [];
  let top = 6 + size.lane / 2;
  for (const lane of ['marks', 'angles'] as const) {
    spots.push(...pointing(lanes[lane], view, top, size, width));
    top += lanes[lane].length > 0 ? size.lane : 0;
  }
  const pieceTop = view.toScreen({ x: 0, y: box.top }).y;
  spots.push(...standing(lanes.beside, view, Math.max(top, pieceTop - size.lane * 0.62), size, width));
  const surface = view.toScreen({ x: 0, y: box.bottom }).y;
  const rows = [...lanes.below].sort((a, b) => Math.abs(a.to.x - a.from.x) - Math.abs(b.to.x - b.from.x));
  const pitch = rows.length === 0 ? 0 : Math.min(size.lane, (height - surface - 16) / rows.length);
  rows.forEach((measure, i) => {
    spots.push(lying(measure, view, surface + 14 + pitch * (i + 0.5), size, width));
  });
  return spots;
}

/** In a row, each as near above what it points to as its neighbours let it. */
function pointing(measures: readonly Measure[], view: View, y: number, size: Sizes, width: number): RunSpot[] {
  const anchors = measures.map(({ from }) => view.toScreen(from));
  const xs = spread(
    anchors.map(({ x }) => x),
    size.width + 4,
    size.width / 2 + 4,
    width - size.width / 2 - 4,
  );
  return measures.map(({ id }, i) => {
    const anchor = anchors[i] ?? { x: 0, y: 0 };
    return { id, spot: { x: xs[i] ?? anchor.x, y }, anchors: [anchor] };
  });
}

/** Heights: the line stands where the height is taken, its figure above. */
function standing(measures: readonly Measure[], view: View, y: number, size: Sizes, width: number): RunSpot[] {
  const ends = measures.map(({ from, to }) => ({ from: view.toScreen(from), to: view.toScreen(to) }));
  const xs = spread(
    ends.map(({ to }) => to.x),
    size.width + 4,
    size.width / 2 + 4,
    width - size.width / 2 - 4,
  );
  return measures.map(({ id }, i) => {
    const line = ends[i] ?? { from: { x: 0, y: 0 }, to: { x: 0, y: 0 } };
    const spot = { x: xs[i] ?? line.to.x, y };
    return id === 'dogLeg' ? { id, spot, anchors: [line.to] } : { id, spot, line, anchors: [line.to] };
  });
}

/** A length along the run: its line beneath, with its figure on it. */
function lying({ id, from, to }: Measure, view: View, y: number, size: Sizes, width: number): RunSpot {
  const [start, end] = [view.toScreen(from), view.toScreen(to)];
  const middle = (start.x + end.x) / 2;
  return {
    id,
    spot: { x: Math.min(Math.max(middle, size.width / 2 + 4), width - size.width / 2 - 4), y },
    line: { from: { x: start.x, y }, to: { x: end.x, y } },
    anchors: [start, end],
  };
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
