import type { Attempt, Feature } from '../api/queries';

/** Where the tape is hooked for a mark: on the end of the straight conduit, or on the back of the bend before. */
export type Datum = 'end' | 'back';

/** How far the back of the bend before lies from the end, for the marks that are taught from there. */
function backsOf(attempt: Attempt): Map<string, { bend: number; offset: number }> {
  return new Map(
    attempt.plan.marks.flatMap(({ number, positionIn, back }) =>
      back == null ? [] : [[`mark${String(number)}`, { bend: back.bend, offset: positionIn - back.figureIn }] as const],
    ),
  );
}

/**
 * An attempt with the figures of its marks as they stand on the tape: a mark that is taught from the back of a bend counts from
 * there, unless it was read from the end or somebody chose that.
 *
 * @param chosen by feature, for what is not read yet
 */
export function asTaken(attempt: Attempt, chosen: Readonly<Record<string, Datum>>): Attempt {
  const backs = backsOf(attempt);
  return backs.size === 0
    ? attempt
    : {
        ...attempt,
        features: attempt.features.map((feature) => {
          const back = backs.get(feature.id);
          return back === undefined ? feature : shifted(feature, back, chosen[feature.id] ?? 'back');
        }),
      };
}

function shifted(feature: Feature, back: { bend: number; offset: number }, chosen: Datum): Feature {
  const from = feature.reading?.value == null ? chosen : (feature.reading.from ?? 'end');
  const by = from === 'back' ? back.offset : 0;
  return {
    ...feature,
    asked: feature.asked - by,
    target: feature.target - by,
    reading:
      feature.reading?.value == null ? feature.reading : { ...feature.reading, value: feature.reading.value - by },
    taken: { ...back, from },
  };
}

/**
 * A feature as a figure of it is meant: one that is right from the other datum, and wrong from the one that was chosen, was
 * measured from the other.
 */
export function asMeant(feature: Feature, value: number): Feature {
  const { taken } = feature;
  if (taken === undefined) {
    return feature;
  }
  const by = taken.from === 'back' ? taken.offset : -taken.offset;
  const near = Math.max(feature.tolerance, feature.under);
  const fits = (target: number) => Math.abs(value - target) <= near;
  return fits(feature.target) || !fits(feature.target + by)
    ? feature
    : {
        ...feature,
        asked: feature.asked + by,
        target: feature.target + by,
        taken: { ...taken, from: taken.from === 'back' ? 'end' : 'back' },
      };
}

/** Where a figure is measured from, in words; nothing where there is only one way. */
export function takenWords(taken: Feature['taken']): string | undefined {
  return taken === undefined ? undefined : datumWords(taken.from, taken.bend);
}

export function datumWords(from: Datum, bend: number): string {
  return from === 'back' ? `from the back of bend ${String(bend)}` : 'from the end of the straight conduit';
}
