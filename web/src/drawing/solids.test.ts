import { describe, expect, it } from 'vitest';
import { boxes, larger, obstacleSolids } from './solids';

describe('what stands in space', () => {
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
