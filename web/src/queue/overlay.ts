import type { Schemas } from '../api/client';
import type { BenchCore } from '../benchcore/useBenchCore';
import { backOf } from '../measure/datum';
import type { Entry } from './entries';

type Attempt = Schemas['AttemptView'];
type Feature = Schemas['FeatureView'];

/** An attempt as it will be once everything that waits has arrived: what was written down is seen at once. */
export function withWaiting(attempt: Attempt, entries: readonly Entry[], core: BenchCore | undefined): Attempt {
  return entries
    .filter(({ attemptId, refused }) => attemptId === attempt.id && refused === undefined)
    .reduce((seen, entry) => withEntry(seen, entry, core), attempt);
}

function withEntry(attempt: Attempt, entry: Entry, core: BenchCore | undefined): Attempt {
  const { task } = entry;
  switch (task.kind) {
    case 'reading':
      return {
        ...attempt,
        // What a reading changes of the score is for the server to say.
        score: null,
        features: attempt.features.map((feature) =>
          feature.id === task.body.feature
            ? withReading(feature, entry, task.body, core, backOf(attempt, feature.id)?.offset ?? 0)
            : feature,
        ),
      };
    case 'fact':
      return { ...attempt, bench: withFact(attempt.bench, entry, task.body) };
    case 'setAside':
      return {
        ...attempt,
        bench: {
          ...attempt.bench,
          rework: attempt.bench.rework.filter(({ id }) => id !== task.recordId),
          points: attempt.bench.points.map((point) => withoutRival(point, task.recordId)),
        },
      };
    case 'open':
    case 'photo':
      return attempt;
  }
}

/** The finding that is left counts. */
function withoutRival(point: Schemas['PointView'], recordId: string): Schemas['PointView'] {
  const rivals = point.rivals.filter(({ id }) => id !== recordId);
  return rivals.length === 1 && point.rivals.length > 1
    ? { ...point, finding: rivals[0] ?? null, rivals: [] }
    : { ...point, rivals };
}

function withReading(
  feature: Feature,
  entry: Entry,
  body: Schemas['NewReading'],
  core: BenchCore | undefined,
  back: number,
): Feature {
  const read = body.omitted != null ? undefined : valueOf(feature, body, core, back);
  const reading: Schemas['ReadingView'] = {
    id: entry.key,
    value: read ?? null,
    typed: body.asAsked === true ? 'as asked' : (body.text ?? ''),
    from: body.from ?? null,
    takenBy: entry.accountName,
    takenAt: entry.at,
    receivedAt: entry.at,
    takenWith: body.takenWith ?? 'keys',
    instrument: body.instrument ?? null,
    omitted: body.omitted ?? null,
    reason: body.reason ?? null,
    setAside: null,
  };
  if (feature.history.some(({ id }) => id === entry.key)) {
    return feature;
  }
  const judged =
    read === undefined ? undefined : core?.judge(feature.id, read, feature.target, feature.tolerance, feature.under);
  return {
    ...feature,
    state: body.omitted != null ? 'omitted' : 'read',
    reading,
    deviation: judged?.deviation ?? null,
    credit: judged?.credit ?? null,
    band: judged?.band ?? null,
    rivals: [],
    history: [...feature.history, reading],
  };
}

function valueOf(
  feature: Feature,
  body: Schemas['NewReading'],
  core: BenchCore | undefined,
  back: number,
): number | undefined {
  if (body.asAsked === true) {
    return feature.target;
  }
  const read = core?.read(feature.id, body.text ?? '', body.bare ?? 'in');
  return read !== undefined && 'value' in read ? read.value + (body.from === 'back' ? back : 0) : undefined;
}

function withFact(bench: Schemas['BenchNotes'], entry: Entry, { fact }: Schemas['NewFact']): Schemas['BenchNotes'] {
  const written = { id: entry.key, takenBy: entry.accountName, takenAt: entry.at };
  switch (fact?.kind) {
    case 'finding':
      return {
        ...bench,
        points: bench.points.map((point) =>
          point.point === fact.point
            ? {
                ...point,
                rivals: [],
                finding: { ...written, result: fact.result ?? 'notLookedAt', note: fact.note ?? null, reason: null },
              }
            : point,
        ),
      };
    case 'rework':
      return {
        ...bench,
        rework: [...bench.rework, { ...written, bend: fact.bend ?? 1, change: fact.change ?? 'added' }],
      };
    case 'time':
      return { ...bench, minutes: fact.minutes ?? null };
    case 'note':
      return { ...bench, notes: [...bench.notes, { ...written, text: fact.text ?? '' }] };
    default:
      return bench;
  }
}
