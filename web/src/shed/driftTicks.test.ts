import { expect, test } from 'vitest';
import { quantityText } from '../entry/figures';
import { driftTicks } from './driftTicks';

test.each([
  [6.19, 6.31, 'in', [6.21875, 6.25, 6.28125]],
  [5.97, 6.28, 'in', [6, 6.125, 6.25]],
  [-0.9, 0.3, 'deg', [-0.5, 0]],
  [6, 6, 'in', [6]],
])('%d to %d %s is marked at %s', (low, high, unit, ticks) => {
  const found = driftTicks(low, high, unit);
  expect(found.length).toBe(ticks.length);
  found.forEach((tick, i) => {
    expect(tick).toBeCloseTo(ticks[i] ?? Number.NaN, 9);
  });
});

test('no two ticks of any scale say the same, and all are on it', () => {
  for (let room = 0.04; room < 40; room *= 1.37) {
    const found = driftTicks(6.013, 6.013 + room, 'in');
    const words = found.map((tick) => quantityText(tick, 'in', 'in', { lines: 32 }));
    expect(new Set(words).size).toBe(found.length);
    expect(found.every((tick) => tick >= 6.013 - 1e-9 && tick <= 6.013 + room + 1e-9)).toBe(true);
    expect(found.length).toBeGreaterThan(0);
  }
});
