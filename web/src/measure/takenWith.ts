import type { Schemas } from '../api/client';

export type TakenWith = NonNullable<Schemas['NewReading']['takenWith']>;

/** No hand types this fast for so long; a gauge that stands in for a keyboard does. */
const FASTEST_HAND_MILLIS = 35;
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
    return (
      length >= SHORTEST_BURST &&
      last.length === length &&
      last.every((time, i) => i === 0 || time - (last[i - 1] ?? 0) < FASTEST_HAND_MILLIS)
    );
  }
}
