import { describe, expect, it } from 'vitest';
import { boxes, larger, obstacleSolids, standing } from './solids';

describe('what stands in space', () => {
  const stub = [
    [0, 0, 0],
    [12, 0, 0],
    [17, 5, 0],
    [17, 22, 0],
  ];

  it('puts a stub on its far leg and everything else on its datum leg', () => {
    expect(standing('stub90', stub, 1)([17, 22, 0])).toEqual([22, 0.5, 0]);
    expect(standing('stub90', stub, 1)([0, 0, 0])).toEqual([0, 17.5, 0]);
    expect(standing('offset', stub, 1)([3, 0, 2])).toEqual([3, 0.5, 2]);
  });

  it('puts the far leg of a box offset on the wall', () => {
    const offset = [
      [0, 0, 0],
      [20, 0.5, 0],
    ];
    expect(standing('boxOffset', offset, 1)([20, 0.5, 0])[1]).toBe(0.5);
    expect(standing('boxOffset', offset, 1)([0, 0, 0])[1]).toBe(1);
  });

  it('gives an obstacle both its sides and the edges between them', () => {
    const [block] = obstacleSolids({ shape: 'rectangular', fromIn: 30, widthIn: 10, heightIn: 4 });
    expect(block?.edges).toHaveLength(2 + 5);
    expect(Math.max(...(block?.edges.flat().map(([x = 0]) => x) ?? []))).toBe(40);
    const [pipe] = obstacleSolids({ shape: 'round', fromIn: 28, widthIn: 4, heightIn: 4 });
    expect(Math.max(...(pipe?.edges.flat().map(([, y = 0]) => y) ?? []))).toBeCloseTo(4);
    expect(obstacleSolids(null)).toEqual([]);
  });

  it('draws a box round the conduit that enters it, square to it', () => {
    const [box] = boxes([{ kind: 'box', at: [30, 0, 0], into: [1, 0, 0] }], (point) => point);
    const xs = box?.edges.flat().map(([x = 0]) => x) ?? [];
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([30, 32.125]);
    expect(boxes([{ kind: 'wall', at: [0, 0, 0], into: [1, 0, 0] }], (point) => point)).toEqual([]);
  });

  it('makes a difference larger, and leaves what agrees', () => {
    expect(larger([1, 2, 3], [1, 2.5, 3], 4)).toEqual([1, 4, 3]);
    expect(larger(undefined, [1, 2, 3], 4)).toEqual([1, 2, 3]);
  });
});
