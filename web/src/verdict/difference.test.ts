import { describe, expect, it } from 'vitest';
import type { Attempt } from '../api/queries';
import { usualFactor } from './difference';

const shape = (...centreline: number[][]) => ({ lengthIn: 20, centreline, arcs: [] });
const piece = (made: number[][] | undefined) =>
  ({
    plan: { shape: shape([0, 0, 0], [20, 0, 0]), wanted: null },
    made: made === undefined ? null : shape(...made),
  }) as unknown as Attempt;

describe('how much larger a difference is drawn', () => {
  it('is four times for what the eye would not see', () => {
    expect(
      usualFactor(
        piece([
          [0, 0, 0],
          [20, 0.25, 0],
        ]),
      ),
    ).toBe('4');
    expect(usualFactor(piece(undefined))).toBe('4');
  });

  it('is once for what is plain to see, in any direction', () => {
    expect(
      usualFactor(
        piece([
          [0, 0, 0],
          [20, 0, -2],
        ]),
      ),
    ).toBe('1');
  });
});
