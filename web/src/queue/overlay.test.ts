import { describe, expect, it } from 'vitest';
import * as core from 'bench-core';
import type { Attempt } from '../api/queries';
import type { Entry, Task } from './entries';
import { withWaiting } from './overlay';

const attempt = {
  id: 'attempt-1',
  score: { points: 100 },
  plan: { marks: [] },
  features: [
    { id: 'leg', unit: 'in', target: 14.375, tolerance: 0.125, under: 0.125, state: 'open', rivals: [], history: [] },
    { id: 'angle1', unit: 'deg', target: 90, tolerance: 2, under: 2, state: 'open', rivals: [], history: [] },
  ],
  bench: {
    points: [{ point: 'kink', good: 'No kink', deduction: 20, critical: true, finding: null, rivals: [] }],
    rework: [],
    notes: [],
    photos: [],
  },
} as unknown as Attempt;

const waiting = (task: Task, attemptId = 'attempt-1'): Entry => ({
  seq: 1,
  key: 'key-1',
  accountId: 'a',
  accountName: 'Runa Tolvane',
  attemptId,
  about: 'Ada Finch',
  at: '2026-01-02T03:04:05Z',
  task,
});

const reading = (body: object): Task => ({ kind: 'reading', body });

describe('what waits on this device', () => {
  it('is seen at once, judged by the core', () => {
    const seen = withWaiting(attempt, [waiting(reading({ feature: 'leg', text: '14 1/2', bare: 'in' }))], core);
    expect(seen.features[0]).toMatchObject({
      state: 'read',
      deviation: 0.125,
      credit: 0.7,
      band: 'within',
      reading: { value: 14.5, typed: '14 1/2', takenBy: 'Runa Tolvane' },
    });
    expect(seen.score).toBeNull();
    expect(seen.features[1]?.state).toBe('open');
  });

  it('is the target exactly when it is as asked, and nothing when it was not measured', () => {
    const asAsked = withWaiting(attempt, [waiting(reading({ feature: 'leg', asAsked: true }))], core);
    expect(asAsked.features[0]).toMatchObject({ deviation: 0, band: 'close' });
    const omitted = withWaiting(attempt, [waiting(reading({ feature: 'leg', omitted: 'no level' }))], core);
    expect(omitted.features[0]).toMatchObject({ state: 'omitted', deviation: null });
  });

  it('of another piece, or turned down, is not shown here', () => {
    const task = reading({ feature: 'leg', text: '14 1/2', bare: 'in' });
    expect(withWaiting(attempt, [waiting(task, 'attempt-2')], core)).toBe(attempt);
    const refused = { ...waiting(task), refused: { status: 409, message: 'locked' } };
    expect(withWaiting(attempt, [refused], core)).toBe(attempt);
  });

  it('is not counted twice once it has arrived', () => {
    const task = reading({ feature: 'leg', text: '14 1/2', bare: 'in' });
    const arrived = withWaiting(attempt, [waiting(task)], core);
    expect(withWaiting(arrived, [waiting(task)], core).features[0]?.history).toHaveLength(1);
  });

  it('may be a finding or a re-bend', () => {
    const finding: Task = { kind: 'fact', body: { fact: { kind: 'finding', point: 'kink', result: 'fault' } } };
    expect(withWaiting(attempt, [waiting(finding)], core).bench.points[0]?.finding?.result).toBe('fault');
    const rework: Task = { kind: 'fact', body: { fact: { kind: 'rework', bend: 1, change: 'eased' } } };
    expect(withWaiting(attempt, [waiting(rework)], core).bench.rework).toMatchObject([{ bend: 1, change: 'eased' }]);
  });
});

describe('a piece that was bent again', () => {
  const stage: Task = {
    kind: 'fact',
    body: { fact: { kind: 'stage', number: 2, bends: [{ bend: 1, change: 'added' }] } },
  };
  const leg = reading({ feature: 'leg', text: '14 1/2', bare: 'in' });

  it('is read anew, and what was read stays', () => {
    const read = withWaiting(attempt, [waiting(leg), { ...waiting(stage), key: 'key-2' }], core);
    expect(read.features[0]).toMatchObject({ state: 'open', reading: null, history: [{ typed: '14 1/2', stage: 1 }] });
    expect(read.bench.stages).toMatchObject([{ number: 2, bends: [{ bend: 1, change: 'added' }] }]);
    const anew = { ...waiting(reading({ feature: 'leg', text: '14 3/8', bare: 'in', stage: 2 })), key: 'key-3' };
    expect(withWaiting(read, [anew], core).features[0]).toMatchObject({ state: 'read', reading: { stage: 2 } });
  });

  it('was not, once that is taken back', () => {
    const back: Task = { kind: 'setAside', recordId: 'key-2', reason: 'pressed by mistake' };
    const seen = withWaiting(attempt, [{ ...waiting(stage), key: 'key-2' }, waiting(back)], core);
    expect(seen.bench.stages).toEqual([]);
  });
});

describe('a floor that waits', () => {
  const floor: Task = { kind: 'fact', body: { fact: { kind: 'floor', text: '+1/2', bench: true } } };
  const angle = (more: object): Task => reading({ feature: 'angle1', text: '90 1/2', ...more });

  it('is taken off what is read by level after it, and both figures stay', () => {
    const seen = withWaiting(attempt, [waiting(floor), { ...waiting(angle({})), key: 'key-2' }], core);
    expect(seen.bench.floor).toMatchObject({ deg: 0.5, text: '+1/2', bench: true });
    expect(seen.features[1]).toMatchObject({
      deviation: 0,
      reading: { value: 90, typed: '90 1/2', level: { readDeg: 90.5, floorDeg: 0.5 } },
    });
  });

  it('leaves a protractor as it is', () => {
    const seen = withWaiting(attempt, [waiting(floor), { ...waiting(angle({ byLevel: false })), key: 'key-2' }], core);
    expect(seen.features[1]).toMatchObject({ deviation: 0.5, reading: { value: 90.5, level: null } });
  });
});

describe('the core in the browser', () => {
  it('reads, judges and asks as the core in the server does', () => {
    expect(core.read('leg', '14 3/8', 'in')).toEqual({ value: 14.375 });
    expect(['+½', '+1/2', '- 1/2', '−0.3', '0'].map((text) => core.floor(text))).toEqual(
      [0.5, 0.5, -0.5, -0.3, 0].map((value) => ({ value })),
    );
    expect(core.floor('12')).toMatchObject({ code: 'out-of-range' });
    expect(core.read('leg', '14 9/8', 'in')).toMatchObject({ suggestion: '15 1/8' });
    expect(core.judge('leg', 14.5, 14.375, 0.125, 0.25)).toMatchObject({ credit: 0.7, band: 'within' });
    expect(core.judge('leg', 14.125, 14.375, 0.125, 0.25)).toMatchObject({ credit: 0.7, band: 'within' });
    expect(core.slip('leg', '41 3/8', 'in', 14.375, 0.125)).toEqual({ off: 27, meant: '14 3/8' });
    expect(core.slip('leg', '14', 'in', 14.375, 0.125)).toBeNull();
    expect(core.nudge('leg', '', 'in', 14.375, 0.0625, 1)).toBe('14 7/16');
  });
});
