import { describe, expect, it } from 'vitest';
import { dayHere, dayNumber, daysAfter, mondayOf, ranges, readRanges, shortDay, weeksFrom } from './weeks';

describe('days of the calendar', () => {
  it('count over months, years and the change of clocks', () => {
    expect(daysAfter('2026-12-31', 1)).toBe('2027-01-01');
    expect(daysAfter('2028-02-28', 1)).toBe('2028-02-29');
    expect(daysAfter('2026-03-30', -2)).toBe('2026-03-28');
  });

  it('begin and end by the clock of the device, late in the evening as well', () => {
    expect(dayHere(new Date(2026, 0, 9, 23, 59))).toBe('2026-01-09');
    expect(dayHere(new Date(2026, 11, 31, 0, 1))).toBe('2026-12-31');
  });

  it('have weeks from Monday', () => {
    expect(mondayOf('2026-12-01')).toBe('2026-11-30');
    expect(mondayOf('2026-11-30')).toBe('2026-11-30');
    expect(mondayOf('2026-12-06')).toBe('2026-11-30');
    const weeks = weeksFrom('2026-12-01', 2);
    expect(weeks.map((week) => week.length)).toEqual([7, 7]);
    expect(weeks[1]?.[6]).toBe('2026-12-13');
  });

  it('are told in words', () => {
    expect(shortDay('2026-12-01')).toBe('Tue 1 Dec');
    expect(dayNumber('2026-12-01')).toBe('1 Dec');
    expect(dayNumber('2026-12-02')).toBe('2');
  });
});

describe('numbers of benches', () => {
  it('are told as ranges', () => {
    expect(ranges([1, 2, 3, 4, 6, 8, 9])).toBe('1–4, 6, 8, 9');
    expect(ranges([])).toBe('');
    expect(ranges([5, 4, 4, 3])).toBe('3–5');
  });

  it('are read as they are told', () => {
    for (const numbers of [[], [3], [1, 2, 3, 4, 6, 8, 9], [20, 21]]) {
      expect(readRanges(ranges(numbers))).toEqual(numbers);
    }
    expect(readRanges('1-3; 7')).toEqual([1, 2, 3, 7]);
    expect(readRanges('4-2')).toBeUndefined();
    expect(readRanges('all')).toBeUndefined();
  });
});
