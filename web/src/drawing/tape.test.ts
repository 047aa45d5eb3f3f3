import { describe, expect, it } from 'vitest';
import { divisionFor, isMetric, tapeLines } from './tape';

describe('the tape', () => {
  it('shows every sixteenth where there is room', () => {
    const lines = tapeLines(2, 1 / 16, 100);
    expect(lines).toHaveLength(33);
    expect(lines.filter(({ level }) => level === 0).map(({ inches }) => inches)).toEqual([0, 1, 2]);
    expect(lines[8]?.level).toBe(1);
    expect(lines[1]?.level).toBe(4);
  });

  it('never puts lines closer than a few pixels, nor finer than its division', () => {
    for (const scale of [3, 9, 33, 80, 200]) {
      const [first, second] = tapeLines(24, 1 / 8, scale);
      const gap = (second?.inches ?? 0) - (first?.inches ?? 0);
      expect(gap * scale >= 4 || gap === 1).toBe(true);
      expect(gap).toBeGreaterThanOrEqual(1 / 8);
    }
  });

  it('writes whole inches and marks the feet', () => {
    const labelled = tapeLines(30, 1 / 16, 40).filter(({ label }) => label !== undefined);
    expect(labelled.map(({ label }) => label).slice(0, 3)).toEqual(['1', '2', '3']);
    expect(labelled.filter(({ foot }) => foot).map(({ label }) => label)).toEqual(['12', '24']);
  });

  it('counts millimetres on a metric tape', () => {
    expect(isMetric(1 / 25.4)).toBe(true);
    expect(isMetric(1 / 16)).toBe(false);
    const lines = tapeLines(2, 1 / 25.4, 130);
    expect(lines.filter(({ label }) => label !== undefined).map(({ label }) => label)).toEqual([
      '10',
      '20',
      '30',
      '40',
      '50',
    ]);
  });
});

describe('the tape that somebody holds', () => {
  it('is in their own unit, and as fine as the exercise has it in that', () => {
    expect(divisionFor(1 / 8, 'in')).toBe(1 / 8);
    expect(divisionFor(1 / 16, 'mm')).toBe(1 / 25.4);
    expect(divisionFor(1 / 25.4, 'mm')).toBe(1 / 25.4);
    expect(divisionFor(1 / 25.4, 'in')).toBe(1 / 16);
  });
});
