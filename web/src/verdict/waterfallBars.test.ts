import { describe, expect, it } from 'vitest';
import { barsOf, spanOf } from './waterfallBars';

const BUDGET = {
  deviation: -0.125,
  parts: [
    { stage: 'plan', change: 0.03125, known: true },
    { stage: 'rings', change: -0.25, known: true },
    { stage: 'rest', change: 0.09375, known: true },
  ],
} as const;

describe('the waterfall of a deviation', () => {
  it('begins at nothing, each stage where the last one ended, and ends at the deviation', () => {
    const bars = barsOf({ parts: [...BUDGET.parts] });
    expect(bars.map(({ from }) => from)).toEqual([0, 0.03125, -0.21875]);
    expect(bars.at(-1)?.to).toBe(BUDGET.deviation);
  });

  it('has room for every bar and for the tolerance on both sides', () => {
    const { from, to } = spanOf({ ...BUDGET, parts: [...BUDGET.parts] }, { over: 0.125, under: 0.125 });
    expect(from).toBeLessThan(-0.21875);
    expect(to).toBeGreaterThan(0.125);
  });
});
