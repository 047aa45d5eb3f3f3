import type { Schemas } from '../api/client';

type Bench = Schemas['BenchView'];

/** Whoever called waits longest; then those whose measuring was broken off, then those at work, going round the benches. */
const FIRST: Partial<Record<Bench['state'], number>> = { called: 0, help: 1, measuring: 2, bending: 3, workingOut: 4 };

/**
 * Who is to be measured next.
 *
 * @param after the trainee who was measured last
 */
export function expectedNext(benches: readonly Bench[], after?: string): Bench | undefined {
  const from = benches.find(({ traineeId }) => traineeId === after)?.bench ?? 0;
  const round = ({ bench }: Bench) => (bench > from ? bench : bench + 1_000);
  return benches
    .filter(({ state, traineeId }) => FIRST[state] !== undefined && traineeId !== after)
    .sort(
      (a, b) =>
        (FIRST[a.state] ?? 9) - (FIRST[b.state] ?? 9) ||
        (a.state === 'called' ? (a.since ?? '').localeCompare(b.since ?? '') : 0) ||
        round(a) - round(b),
    )[0];
}
