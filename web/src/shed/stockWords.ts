import type { StockEntry } from './stockQueries';

/** What happened to conduit, in words. */
export const MOVEMENTS: Record<StockEntry['what'], string> = {
  DELIVERED: 'delivered',
  BROUGHT_BACK: 'brought back',
  CUT: 'taken to be cut',
  LEFT: 'left over from that',
  THROWN_AWAY: 'thrown away',
  COUNTED: 'counted',
  UNDONE: 'not cut after all',
};

/** Much conduit at once: in feet or metres, which nobody cuts by. */
export function total(inches: number, unit: 'in' | 'mm'): string {
  return unit === 'mm' ? `${(inches * 0.0254).toFixed(1)} m` : `${(inches / 12).toFixed(1)} ft`;
}

/** Sticks that are drawn one by one; of more, their number says enough. */
const MOST_DRAWN = 24;

/** A line of the rack: a length, how many, and how many of them are drawn. */
export interface RackLine {
  lengthIn: number;
  pieces: number;
  isStick: boolean;
}

/** The rack from the longest: whole sticks, then what is left over. */
export function rackLines(
  stickIn: number,
  sticks: number,
  leftOvers: readonly { lengthIn: number; pieces: number }[],
): RackLine[] {
  return [
    ...(sticks > 0 ? [{ lengthIn: stickIn, pieces: sticks, isStick: true }] : []),
    ...[...leftOvers]
      .sort((one, other) => other.lengthIn - one.lengthIn)
      .map(({ lengthIn, pieces }) => ({ lengthIn, pieces, isStick: false })),
  ];
}

/** How many of a line are drawn, one above the other. */
export function drawnOf(line: RackLine): number {
  return Math.min(line.pieces, MOST_DRAWN);
}
