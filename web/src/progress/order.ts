import type { Schemas } from '../api/client';

/** A step of the order in which bends are learnt: a family, and what has to be steady before it. */
export interface Step {
  family: string;
  after: readonly string[];
}

/** As the server tells them. */
export function stepsOf(told: readonly Schemas['CurriculumStep'][]): Step[] {
  return told.flatMap(({ family, after }) => (family == null ? [] : [{ family, after: after ?? [] }]));
}

/** The order with a step further up or down; at its ends it stays as it is. */
export function moved(steps: readonly Step[], at: number, by: -1 | 1): readonly Step[] {
  const step = steps[at];
  const other = steps[at + by];
  if (step === undefined || other === undefined) {
    return steps;
  }
  const next = [...steps];
  next[at] = other;
  next[at + by] = step;
  return next;
}

/** The order without a step; nothing waits for it any more. */
export function without(steps: readonly Step[], family: string): Step[] {
  return steps
    .filter((step) => step.family !== family)
    .map((step) => ({ ...step, after: step.after.filter((each) => each !== family) }));
}

/** The order with a step at its end, or with one that waits for others than before. */
export function withStep(steps: readonly Step[], step: Step): Step[] {
  return steps.some(({ family }) => family === step.family)
    ? steps.map((each) => (each.family === step.family ? step : each))
    : [...steps, step];
}

/** What a step can be made to wait for: what stands before it and is not waited for yet. */
export function choices(steps: readonly Step[], at: number): string[] {
  return steps
    .slice(0, at)
    .map(({ family }) => family)
    .filter((family) => steps[at]?.after.includes(family) === false);
}

/** Whether two orders are the same. */
export function isSame(one: readonly Step[], other: readonly Step[]): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
