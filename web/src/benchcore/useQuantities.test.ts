import { beforeAll, describe, expect, it } from 'vitest';
import { type BenchCore, loadBenchCore } from './useBenchCore';
import { readQuantity } from './useQuantities';

let core: BenchCore;
beforeAll(async () => {
  core = await loadBenchCore();
});

describe('what is typed into a field', () => {
  it.each([
    ['length', '14 3/8', 'in', 14.375],
    ['length', '365', 'mm', 365 / 25.4],
    ['distance', '38 1/2 - 2', 'in', 36.5],
    ['angle', '22.5', 'in', 22.5],
  ] as const)('%s %s in %s is a size', (kind, text, bare, value) => {
    const read = readQuantity(core, { kind, text, bare });
    expect(read.problem).toBeNull();
    expect(read.value).toBeCloseTo(value, 9);
  });

  it('is refused with what was probably meant, as the server refuses it', () => {
    const { value, problem } = readQuantity(core, { kind: 'length', text: '14 9/8', bare: 'in' });
    expect(value).toBeUndefined();
    expect(problem?.errors).toEqual([
      {
        pointer: '/text',
        code: 'improper-fraction',
        message: expect.stringContaining('15 1/8') as string,
        suggestion: '15 1/8',
      },
    ]);
    expect(readQuantity(core, { kind: 'angle', text: 'steep', bare: 'in' }).problem?.errors[0]).not.toHaveProperty(
      'suggestion',
    );
  });

  it('asks nothing while it is empty', () => {
    expect(readQuantity(core, { kind: 'length', text: '  ', bare: 'in' })).toEqual({ value: undefined, problem: null });
  });
});
