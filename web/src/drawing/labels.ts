/**
 * Finds places for what is written on a drawing, so that no two texts overlap and nothing is written over the piece while there is
 * room elsewhere. Pure, in pixels, y down.
 */

import type { Point } from './geometry';

export interface Rect {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export interface Wanted {
  id: string;
  /** How large it is. */
  width: number;
  height: number;
  /** More room below its own, for what is said of it while it is written. */
  below?: number;
  /** Where its middle would best be. */
  at: Point;
  /** What a line leads to from it: not across another text where that can be helped. */
  anchor?: Point;
  /** The line that it is the dimension of: whatever else stood on it would be taken for its figure. */
  line?: { from: Point; to: Point };
  /** How much worse it is to move it up or down than to a side; 1 where that is alike. */
  upright?: number;
}

export interface Ground {
  width: number;
  height: number;
  /** What is written there already: never written over. */
  texts: readonly Rect[];
  /** What is drawn as wide lines: written over only where there is no other place. */
  bodies: readonly { points: readonly Point[]; halfWidth: number }[];
  /** What is drawn as areas, likewise. */
  blocks: readonly Rect[];
}

/** Least distance of two texts. */
export const APART = 3;

/** A cell of the piece. */
const STEP = 6;
/** How closely places are looked at. */
const SEARCH = 9;
/** What it costs to write over a cell of the piece, in pixels of distance. */
const OVER_PIECE = 9;
/** What it costs to write on the dimension line of another. */
const ON_LINE = 90;
/** What it costs to lead across another text. */
const ACROSS_TEXT = 160;

/** Middles of what is wanted, by id, and how many had to be written over another. */
export interface Placed {
  middles: ReadonlyMap<string, Point>;
  crowded: number;
  /** How much of the piece is written over, in cells. */
  over: number;
}

/** Places one after the other, each as near to where it would best be as the others leave it; who finds none goes first next time. */
export function placeLabels(wanted: readonly Wanted[], ground: Ground): Placed {
  const covered = new Covered(ground);
  let order = [...wanted];
  let best: Placed | undefined;
  for (let round = 0; round < 5; round++) {
    const { placed, without } = inOrder(order, ground, covered);
    if (best === undefined || placed.crowded < best.crowded) {
      best = placed;
    }
    if (without.length === 0) {
      break;
    }
    order = [...without, ...order.filter((each) => !without.includes(each))];
  }
  return best ?? { middles: new Map(), crowded: 0, over: 0 };
}

function inOrder(order: readonly Wanted[], ground: Ground, covered: Covered): { placed: Placed; without: Wanted[] } {
  const taken = [...ground.texts];
  const middles = new Map<string, Point>();
  const without: Wanted[] = [];
  let over = 0;
  for (const each of order) {
    const lines = order.flatMap(({ id, line }) => (id === each.id || line === undefined ? [] : [line]));
    const spot = nearest(each, ground, covered, taken, lines);
    const middle = spot?.middle ?? clamped(each, each.at, ground);
    if (spot === undefined) {
      without.push(each);
    }
    over += spot?.over ?? 0;
    middles.set(each.id, middle);
    taken.push(rectOf(each, middle));
  }
  return { placed: { middles, crowded: without.length, over }, without };
}

/** What a text takes with its middle there. */
export function rectOf(
  { width, height, below = 0 }: Pick<Wanted, 'width' | 'height' | 'below'>,
  { x, y }: Point,
): Rect {
  return { left: x - width / 2, right: x + width / 2, top: y - height / 2, bottom: y + height / 2 + below };
}

export function overlap(a: Rect, b: Rect, apart = 0): boolean {
  return a.left < b.right + apart && b.left < a.right + apart && a.top < b.bottom + apart && b.top < a.bottom + apart;
}

function clamped({ width, height, below = 0 }: Wanted, { x, y }: Point, ground: Ground): Point {
  return {
    x: Math.min(Math.max(x, width / 2 + 2), Math.max(width / 2 + 2, ground.width - width / 2 - 2)),
    y: Math.min(Math.max(y, height / 2 + 2), Math.max(height / 2 + 2, ground.height - height / 2 - below - 2)),
  };
}

function nearest(
  wanted: Wanted,
  ground: Ground,
  covered: Covered,
  taken: readonly Rect[],
  lines: readonly { from: Point; to: Point }[],
): { middle: Point; over: number } | undefined {
  const upright = wanted.upright ?? 1;
  const { width, height, below = 0, at } = wanted;
  const start = clamped(wanted, at, ground);
  const [left, right] = [width / 2 + 2, ground.width - width / 2 - 2];
  const [top, bottom] = [height / 2 + 2, ground.height - height / 2 - below - 2];
  // A ring's number may be led past; figures may not.
  const written = taken.slice(ground.texts.length);
  let best: { middle: Point; over: number } | undefined;
  let least = Infinity;
  /** Goes along a row to one side until it can only get worse, and past what is written there in one step. */
  const along = (y: number, from: number, side: 1 | -1) => {
    const rise = upright * (y - at.y);
    let x = from;
    while (x >= left && x <= right) {
      const away = Math.hypot(x - at.x, rise);
      if (away >= least) {
        return;
      }
      const rect = rectOf(wanted, { x, y });
      const other = inTheWay(rect, taken);
      if (other !== undefined) {
        x = side > 0 ? other.right + width / 2 + APART + 0.01 : other.left - width / 2 - APART - 0.01;
        continue;
      }
      const over = covered.cells(rect);
      const onLines = lines.filter(({ from: start, to }) => crosses(start, to, rect)).length;
      const cost = away + OVER_PIECE * over + ON_LINE * onLines;
      if (cost < least && cost + across(rect, wanted.anchor, written) < least) {
        least = cost + across(rect, wanted.anchor, written);
        best = { middle: { x, y }, over };
      }
      x += side * SEARCH;
    }
  };
  // From where it would best be outwards, so that most of the rest is not even looked at.
  for (const y of outwards(start.y, top, bottom)) {
    if (upright * Math.abs(y - at.y) < least) {
      along(y, start.x, 1);
      along(y, start.x - SEARCH, -1);
    }
  }
  return best;
}

/** The point of a rectangle that is nearest to another. */
export function edge({ left, right, top, bottom }: Rect, { x, y }: Point): Point {
  return { x: Math.min(Math.max(x, left), right), y: Math.min(Math.max(y, top), bottom) };
}

/** What it costs that the line from a text to its anchor would cross other texts. */
function across(rect: Rect, anchor: Point | undefined, taken: readonly Rect[]): number {
  if (anchor === undefined) {
    return 0;
  }
  const from = edge(rect, anchor);
  return taken.some((other) => crosses(from, anchor, other)) ? ACROSS_TEXT : 0;
}

/** Whether a line from one point to another runs through a rectangle; clipped against its sides one by one. */
function crosses(from: Point, to: Point, { left, right, top, bottom }: Rect): boolean {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  let [enters, leaves] = [0, 1];
  for (const [step, room] of [
    [-dx, from.x - left],
    [dx, right - from.x],
    [-dy, from.y - top],
    [dy, bottom - from.y],
  ] as const) {
    if (step === 0) {
      if (room < 0) {
        return false;
      }
    } else if (step < 0) {
      enters = Math.max(enters, room / step);
    } else {
      leaves = Math.min(leaves, room / step);
    }
  }
  return enters < leaves;
}

function inTheWay(rect: Rect, taken: readonly Rect[]): Rect | undefined {
  for (const each of taken) {
    if (overlap(rect, each, APART)) {
      return each;
    }
  }
  return undefined;
}

function* outwards(from: number, least: number, most: number): Generator<number> {
  for (let step = 0; from - step >= least || from + step <= most; step += SEARCH) {
    if (from - step >= least && from - step <= most) {
      yield from - step;
    }
    if (step > 0 && from + step <= most && from + step >= least) {
      yield from + step;
    }
  }
}

/** Cells that the piece covers, summed up so that a rectangle of them is counted at once. */
class Covered {
  private readonly columns: number;
  private readonly rows: number;
  private readonly sums: Int32Array;

  constructor({ width, height, bodies, blocks }: Ground) {
    this.columns = Math.ceil(width / STEP);
    this.rows = Math.ceil(height / STEP);
    const cells = new Uint8Array(this.columns * this.rows);
    for (const { points, halfWidth } of bodies) {
      for (let i = 0; i + 1 < points.length; i++) {
        this.cover(cells, points[i] as Point, points[i + 1] as Point, halfWidth);
      }
    }
    for (const { left, top, right, bottom } of blocks) {
      for (let row = this.row(top); row <= this.row(bottom); row++) {
        cells.fill(1, row * this.columns + this.column(left), row * this.columns + this.column(right) + 1);
      }
    }
    this.sums = new Int32Array((this.columns + 1) * (this.rows + 1));
    const stride = this.columns + 1;
    for (let row = 0; row < this.rows; row++) {
      let inRow = 0;
      for (let column = 0; column < this.columns; column++) {
        inRow += cells[row * this.columns + column] ?? 0;
        this.sums[(row + 1) * stride + column + 1] = (this.sums[row * stride + column + 1] ?? 0) + inRow;
      }
    }
  }

  private sum(row: number, column: number): number {
    return this.sums[row * (this.columns + 1) + column] ?? 0;
  }

  private cover(cells: Uint8Array, from: Point, to: Point, halfWidth: number): void {
    const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / STEP));
    const reach = Math.ceil(halfWidth / STEP);
    for (let i = 0; i <= steps; i++) {
      const column = Math.floor((from.x + ((to.x - from.x) * i) / steps) / STEP);
      const row = Math.floor((from.y + ((to.y - from.y) * i) / steps) / STEP);
      for (let r = Math.max(0, row - reach); r <= Math.min(this.rows - 1, row + reach); r++) {
        for (let c = Math.max(0, column - reach); c <= Math.min(this.columns - 1, column + reach); c++) {
          cells[r * this.columns + c] = 1;
        }
      }
    }
  }

  cells({ left, top, right, bottom }: Rect): number {
    const [c0, c1] = [this.column(left), this.column(right) + 1];
    const [r0, r1] = [this.row(top), this.row(bottom) + 1];
    return this.sum(r1, c1) - this.sum(r0, c1) - this.sum(r1, c0) + this.sum(r0, c0);
  }

  private column(x: number): number {
    return Math.min(this.columns - 1, Math.max(0, Math.floor(x / STEP)));
  }

  private row(y: number): number {
    return Math.min(this.rows - 1, Math.max(0, Math.floor(y / STEP)));
  }
}
