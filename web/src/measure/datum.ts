import type { Attempt, Feature } from '../api/queries';
import type { BenchCore } from '../benchcore/useBenchCore';

/** Where the tape is hooked for a mark: on the end of the straight conduit, or on the back of the bend before. */
export type Datum = 'end' | 'back';

/** The back that a mark may be measured from, and how far it lies from the end of the straight conduit. */
export function backOf(attempt: Attempt, feature: string): { bend: number; offset: number } | undefined {
  const mark = attempt.plan.marks.find(({ number }) => feature === `mark${String(number)}`);
  return mark?.back == null ? undefined : { bend: mark.back.bend, offset: mark.positionIn - mark.back.figureIn };
}

/**
 * An attempt with the figures of its marks as they stand on the tape: a mark that is taught from the back of a bend counts from
 * there, unless it was read from the end or somebody chose that.
 *
 * @param chosen by feature, for what is not read yet
 */
export function asTaken(attempt: Attempt, chosen: Readonly<Record<string, Datum>>): Attempt {
  return attempt.plan.marks.every(({ back }) => back == null)
    ? attempt
    : {
        ...attempt,
        features: attempt.features.map((feature) => {
          const back = backOf(attempt, feature.id);
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
    // Those that somebody has to decide between are told in one way.
    rivals: feature.rivals.map((rival) => (rival.value == null ? rival : { ...rival, value: rival.value - by })),
    taken: { ...back, from },
  };
}

/** A feature as a figure of it is meant: the core says which datum it was measured from, whichever was chosen. */
export function asMeant(core: BenchCore, feature: Feature, value: number): Feature {
  const { taken } = feature;
  if (taken === undefined) {
    return feature;
  }
  const fromEnd = feature.target + (taken.from === 'back' ? taken.offset : 0);
  const near = Math.max(feature.tolerance, feature.under);
  const from = core.datum(value, fromEnd, fromEnd - taken.offset, near, taken.from);
  const by = from === taken.from ? 0 : from === 'end' ? taken.offset : -taken.offset;
  return { ...feature, asked: feature.asked + by, target: feature.target + by, taken: { ...taken, from } };
}

/** Where a feature may be expected: in its right place, and a ring where the trainee's own figure for it says. */
export function expectedAt(attempt: Attempt, read: Feature): number[] {
  const own = attempt.bench.own?.marks.find(
    ({ mark, from }) => read.id === `mark${String(mark)}` && (from ?? 'end') === (read.taken?.from ?? 'end'),
  );
  return own === undefined ? [read.target] : [read.target, read.target + own.deviationIn];
}

/** Where a figure is measured from, in words; nothing where there is only one way. */
export function takenWords(taken: Feature['taken']): string | undefined {
  return taken === undefined ? undefined : datumWords(taken.from, taken.bend);
}

export function datumWords(from: Datum, bend: number): string {
  return from === 'back' ? `from the back of bend ${String(bend)}` : 'from the end';
}
