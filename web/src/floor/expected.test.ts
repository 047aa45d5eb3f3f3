import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { expectedNext } from './expected';
import { lasting } from './states';

type Bench = Schemas['BenchView'];

const at = (bench: number, state: Bench['state'], since = '2026-01-02T08:00:00Z') =>
  ({ bench, state, since, traineeId: `t${String(bench)}`, fullName: `T ${String(bench)}` }) as Bench;

describe('who is expected next', () => {
  it('is whoever called first', () => {
    const benches = [
      at(1, 'called', '2026-01-02T08:09:00Z'),
      at(2, 'bending'),
      at(3, 'called', '2026-01-02T08:04:00Z'),
    ];
    expect(expectedNext(benches, 't2')?.bench).toBe(3);
  });

  it('is at the next bench of those at work, and goes round', () => {
    const benches = [at(1, 'bending'), at(2, 'bending'), at(3, 'done'), at(4, 'bending')];
    expect(expectedNext(benches, 't2')?.bench).toBe(4);
    expect(expectedNext(benches, 't4')?.bench).toBe(1);
  });

  it('is nobody where nobody is at work, and not the one who was just measured', () => {
    expect(expectedNext([at(1, 'done'), at(2, 'nothingGiven'), at(3, 'notStarted')])).toBeUndefined();
    expect(expectedNext([at(1, 'measuring')], 't1')).toBeUndefined();
  });
});

describe('how long something lasts', () => {
  it('is said in minutes, hours or days', () => {
    const now = Date.parse('2026-01-02T10:05:00Z');
    expect(lasting('2026-01-02T10:01:30Z', now)).toBe('3 min');
    expect(lasting('2026-01-02T08:00:00Z', now)).toBe('2 h 05');
    expect(lasting('2025-12-30T08:00:00Z', now)).toBe('3 d');
    expect(lasting('2026-01-02T10:09:00Z', now)).toBe('0 min');
    expect(lasting(null, now)).toBe('');
  });
});
