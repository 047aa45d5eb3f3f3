import { describe, expect, it } from 'vitest';
import { spread } from './dimensionSpots';

describe('spreading places along a line', () => {
  it('leaves alone what has room', () => {
    expect(spread([100, 300, 500], 80, 0, 600)).toEqual([100, 300, 500]);
  });

  it('moves what is too close apart evenly, keeping the order', () => {
    const [a = 0, b = 0] = spread([200, 210], 80, 0, 600);
    expect(b - a).toBeCloseTo(80, 6);
    expect((a + b) / 2).toBeCloseTo(205, 6);
  });

  it('stays within its bounds, closer together if there is no other way', () => {
    for (const wanted of [
      [0, 0, 0, 0],
      [590, 600, 600, 610],
      [300, 10, 300, 590],
    ]) {
      const placed = [...spread(wanted, 250, 20, 580)].sort((x, y) => x - y);
      expect(placed[0]).toBeGreaterThanOrEqual(20 - 1e-6);
      expect(placed.at(-1)).toBeLessThanOrEqual(580 + 1e-6);
      placed.slice(1).forEach((x, i) => {
        expect(x - (placed[i] ?? 0)).toBeCloseTo(560 / 3, 3);
      });
    }
  });
});
