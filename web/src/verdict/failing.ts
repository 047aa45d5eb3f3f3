import type { Attempt } from '../api/queries';
import { featureName } from '../entry/features';

/** What fails a piece whatever its points, in words; which that is, the core says. */
export function failingWords({ score, features, bench, plan }: Attempt): string {
  return (score?.failing ?? [])
    .map((id) => {
      const fault = bench.points.find(({ point }) => point === id)?.fault;
      const omitted = features.some((feature) => feature.id === id && feature.state === 'omitted');
      return fault ?? `${featureName(id, plan.marks.length)} ${omitted ? 'not measured' : 'outside'}`;
    })
    .join(', ');
}
