import { describe, expect, it } from 'vitest';
import { ISOMETRIC, seen, turned } from './turn';

describe('a piece seen from anywhere', () => {
  it('is its elevation from the side and its plan from above', () => {
    expect(seen([3, 4, 5], { round: 0, up: 0 })).toMatchObject({ x: 3, y: 4 });
    const above = seen([3, 4, 5], { round: 0, up: 90 });
    expect(above.x).toBeCloseTo(3);
    expect(above.y).toBeCloseTo(-5);
  });

  it('keeps lengths that lie across the line of sight, whatever the gaze', () => {
    for (const gaze of [ISOMETRIC, { round: -70, up: 12 }, { round: 155, up: 61 }]) {
      const length = ([x, y, z]: [number, number, number]) => {
        const at = seen([x, y, z], gaze);
        return Math.hypot(at.x, at.y, at.near);
      };
      // A turn is a turn: distances in space stay.
      expect(length([3, 4, 12])).toBeCloseTo(13);
      expect(length([1, 0, 0])).toBeCloseTo(1);
    }
  });

  it('goes all the way round, but not under the floor', () => {
    expect(turned({ round: 170, up: 80 }, 30, 40)).toEqual({ round: -160, up: 90 });
    expect(turned({ round: -170, up: 0 }, -30, -40)).toEqual({ round: 160, up: -10 });
  });
});
