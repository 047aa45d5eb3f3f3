import type { Schemas } from '../api/client';

/** A stage's bar: it begins where the stages before have come to. */
export interface Bar {
  stage: Schemas['PartView']['stage'];
  change: number;
  from: number;
  to: number;
  known: boolean;
}

/** The bars of a budget, from the first stage to the last. */
export function barsOf(budget: Pick<Schemas['BudgetView'], 'parts'>): Bar[] {
  let sum = 0;
  return budget.parts.map(({ stage, change, known }) => {
    const from = sum;
    sum += change;
    return { stage, change, from, to: sum, known };
  });
}

/** What the bars are drawn over: all of them, the tolerance on both sides, and a little air. */
export function spanOf(
  budget: Pick<Schemas['BudgetView'], 'parts' | 'deviation'>,
  { over, under }: { over: number; under: number },
): { from: number; to: number } {
  const ends = barsOf(budget).flatMap(({ from, to }) => [from, to]);
  const least = Math.min(0, -under, budget.deviation, ...ends);
  const most = Math.max(0, over, budget.deviation, ...ends);
  const air = (most - least) * 0.06;
  return { from: least - air, to: most + air };
}
