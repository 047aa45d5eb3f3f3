import type { Schemas } from '../api/client';
import type { BenchCore } from '../benchcore/useBenchCore';
import { backOf } from '../measure/datum';
import { takenOff } from '../measure/level';
import { isReadAnew, stageOf, stagesOf } from '../measure/stages';
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
            ? withReading(
                feature,
                entry,
                task.body,
                core,
                backOf(attempt, feature.id)?.offset ?? 0,
                task.body.byLevel === false ? 0 : takenOff(attempt, feature.id),
              )
            : feature,
        ),
      };
    case 'fact':
      return withStage({ ...attempt, bench: withFact(attempt.bench, entry, task.body, core) }, entry, task.body);
    case 'setAside':
      return {
        ...attempt,
        bench: {
          ...attempt.bench,
          stages: stagesOf(attempt).filter(({ id }) => id !== task.recordId),
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
  floor: number,
): Feature {
  const off = body.asAsked === true ? 0 : floor;
  const raw = body.omitted != null ? undefined : valueOf(feature, body, core, back);
  const read = raw === undefined ? undefined : raw - off;
  const reading: Schemas['ReadingView'] = {
    id: entry.key,
    value: read ?? null,
    level: raw === undefined || off === 0 ? null : { readDeg: raw, floorDeg: off },
    stage: body.stage ?? 1,
    asFound: body.asFound === true,
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
    read === undefined || body.asFound === true
      ? undefined
      : core?.judge(feature.id, read, feature.target, feature.tolerance, feature.under);
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

/** The piece was bent again: all but its rings is to be read anew. What each time came to is for the server to say. */
function withStage(attempt: Attempt, entry: Entry, { fact }: Schemas['NewFact']): Attempt {
  if (fact?.kind !== 'stage' || stagesOf(attempt).some(({ id }) => id === entry.key)) {
    return attempt;
  }
  const unknown = { points: null, passed: null, off: [] };
  const stage: Schemas['StageView'] = {
    id: entry.key,
    number: stageOf(attempt) + 1,
    bends: (fact.bends ?? []).map(({ bend, change }) => ({ bend: bend ?? 1, change: change ?? 'added' })),
    takenBy: entry.accountName,
    takenAt: entry.at,
    minutes: null,
    pointsOff: 0,
    before: unknown,
    after: unknown,
  };
  return {
    ...attempt,
    score: null,
    features: attempt.features.map((feature) =>
      isReadAnew(feature)
        ? { ...feature, state: 'open', reading: null, deviation: null, credit: null, band: null, rivals: [] }
        : feature,
    ),
    bench: { ...attempt.bench, stages: [...stagesOf(attempt), stage] },
  };
}

function withFact(
  bench: Schemas['BenchNotes'],
  entry: Entry,
  { fact }: Schemas['NewFact'],
  core: BenchCore | undefined,
): Schemas['BenchNotes'] {
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
    case 'floor':
      return {
        ...bench,
        floor: {
          ...written,
          deg: floorDegrees(core, fact.text ?? ''),
          text: fact.text ?? '',
          bench: fact.bench === true,
        },
      };
    case 'time':
      return { ...bench, minutes: fact.minutes ?? null };
    case 'note':
      return { ...bench, notes: [...bench.notes, { ...written, text: fact.text ?? '' }] };
    default:
      return bench;
  }
}

function floorDegrees(core: BenchCore | undefined, text: string): number {
  const read = core?.floor(text);
  return read !== undefined && 'value' in read ? read.value : 0;
}
