import type { Problem, Schemas } from '../api/client';
import { useQuantities } from '../benchcore/useQuantities';
import { bendInputs, type Draft } from './draft';

const ENDS = ['from', 'to', 'step'] as const;

/** How variants of a draft differ, once every range that is typed is one. */
export function useVariation(draft: Draft): {
  variation: Schemas['VariationInput'] | undefined;
  /** The first thing that is no size. */
  problem: Problem | undefined;
} {
  const ranges = bendInputs(draft).flatMap(({ name, kind }) => {
    const range = draft.variation.ranges[name];
    return range === undefined ? [] : [{ name, kind, range }];
  });
  const read = useQuantities(
    ranges.flatMap(({ kind, range }) => ENDS.map((end) => ({ kind, text: range[end], bare: draft.unit }))),
  );
  const sizes = read.map(({ value }) => value);
  const seed = Number(draft.variation.seed);
  const complete = ranges.length > 0 && Number.isSafeInteger(seed) && sizes.every((size) => size !== undefined);
  return {
    variation: complete
      ? {
          seed,
          ranges: ranges.map(({ name }, i) => ({
            input: name,
            from: sizes[3 * i] ?? null,
            to: sizes[3 * i + 1] ?? null,
            step: sizes[3 * i + 2] ?? null,
          })),
        }
      : undefined,
    problem: read.find(({ problem }) => problem !== null)?.problem ?? undefined,
  };
}
