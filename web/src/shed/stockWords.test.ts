import { expect, it } from 'vitest';
import { drawnOf, rackLines, total } from './stockWords';

it('draws the rack from the longest, whole sticks first', () => {
  const lines = rackLines(120, 3, [
    { lengthIn: 30, pieces: 1 },
    { lengthIn: 90.5, pieces: 2 },
  ]);
  expect(lines.map(({ lengthIn, pieces }) => [lengthIn, pieces])).toEqual([
    [120, 3],
    [90.5, 2],
    [30, 1],
  ]);
});

it('draws no stick where more were cut than there were', () => {
  expect(rackLines(120, -2, [])).toEqual([]);
});

it('draws a few dozen at most', () => {
  expect(drawnOf({ lengthIn: 120, pieces: 500, isStick: true })).toBe(24);
});

it('tells much conduit in feet or metres', () => {
  expect(total(120, 'in')).toBe('10.0 ft');
  expect(total(120, 'mm')).toBe('3.0 m');
});
