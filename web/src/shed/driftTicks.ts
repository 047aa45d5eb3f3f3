const MOST_TICKS = 4;

/** Steps between lines of a tape, in inches, and between angles, in degrees. */
const STEPS = {
  in: [1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1],
  deg: [0.1, 0.2, 0.5, 1, 2, 5],
} as const;

/** Where a scale says its figures: on lines that can be read off, so that no two of them say the same. */
export function driftTicks(low: number, high: number, unit: string): number[] {
  const steps = unit === 'deg' ? STEPS.deg : STEPS.in;
  for (const step of steps) {
    const first = Math.ceil(low / step - 1e-9);
    const count = Math.floor(high / step + 1e-9) - first + 1;
    if (count <= MOST_TICKS) {
      return Array.from({ length: count }, (_, i) => (first + i) * step);
    }
  }
  return [low, high];
}
