import type { Schemas } from '../api/client';
import type { Attempt } from '../api/queries';
import { describedAs } from '../entry/features';
import { quantityText } from '../entry/figures';

/** A level knows only the horizontal: of an angle that is read with one, what it reads on the floor is taken off. */
export function isByLevel(feature: string): boolean {
  return describedAs(feature)?.byLevel === true;
}

/** What the level reads on the floor under this piece; a device may remember a piece from before that was asked. */
export function floorUnder(attempt: Attempt): Schemas['TiltView'] | undefined {
  return (attempt.bench as Partial<Schemas['BenchNotes']>).floor ?? undefined;
}

/** Degrees that are taken off a reading of this feature. */
export function takenOff(attempt: Attempt, feature: string): number {
  return isByLevel(feature) ? (floorUnder(attempt)?.deg ?? 0) : 0;
}

/** Both figures, and what they come to: 89.5° read, floor +0.5°, so 89°. */
export function levelWords({ readDeg, floorDeg }: Schemas['ByLevel']): string {
  const degrees = (value: number) => quantityText(value, 'deg', 'in');
  const sign = floorDeg > 0 ? '+' : '';
  return `${degrees(readDeg)} read, floor ${sign}${degrees(floorDeg)}, so ${degrees(readDeg - floorDeg)}`;
}
