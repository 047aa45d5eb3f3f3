import { describe, expect, it } from 'vitest';
import type { Attempt } from '../api/queries';
import { failingWords } from './failing';

const attempt = (failing: string[] | undefined, marks: number) =>
  ({
    score: failing === undefined ? null : { failing },
    plan: { marks: Array.from({ length: marks }) },
    features: [
      { id: 'angle2', state: 'read' },
      { id: 'height', state: 'omitted' },
    ],
    bench: { points: [{ point: 'kink', fault: 'a kink' }] },
  }) as unknown as Attempt;

describe('what fails a piece', () => {
  it('is said by name, also what was not measured and what was found when it was looked over', () => {
    expect(failingWords(attempt(['angle2', 'height', 'kink'], 4))).toBe('Angle 2 outside, Height not measured, a kink');
  });

  it('is nothing without a score', () => {
    expect(failingWords(attempt(undefined, 1))).toBe('');
  });
});
