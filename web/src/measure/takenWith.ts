import type { Schemas } from '../api/client';

export type TakenWith = NonNullable<Schemas['NewReading']['takenWith']>;

/** In the middle no hand types this fast; a gauge that stands in for a keyboard does, even where the screen lags once. */
const FASTEST_HAND_MILLIS = 50;
const SHORTEST_BURST = 3;

/**
 * Tells how a text came in by the pace of its keys. A gauge that "types" needs no setting up: it is recognised, and the
 * reading says so.
 */
export class Pace {
  private times: number[] = [];

  /** A key was pressed in the field. */
  key(millis: number): void {
    this.times.push(millis);
  }

  /** The pad was tapped, or the field was emptied. */
  reset(): void {
    this.times = [];
  }

  /** Whether the last so many keys came in one burst. */
  isBurst(length: number): boolean {
    const last = this.times.slice(-length);
    const between = last.slice(1).map((time, i) => time - (last[i] ?? 0));
    const middle = between.sort((a, b) => a - b)[Math.floor(between.length / 2)];
    return (
      length >= SHORTEST_BURST &&
      // The first key may have found the field without the focus.
      last.length >= length - 1 &&
      middle !== undefined &&
      middle < FASTEST_HAND_MILLIS
    );
  }
}
