import { expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { type Alternative, drawnTogether, fits, nameOf, takenInto } from './compared';
import type { Draft } from './draft';

const shape = (startIn: number, riseIn: number): Schemas['PieceShape'] =>
  ({
    lengthIn: 40,
    centreline: [
      [0, 0, 0],
      [startIn, 0, 0],
      [startIn + 5, riseIn, 0],
      [40, riseIn, 0],
    ],
    arcs: [
      { startIn, endIn: startIn },
      { startIn: startIn + Math.hypot(5, riseIn), endIn: startIn + Math.hypot(5, riseIn) },
    ],
  }) as unknown as Schemas['PieceShape'];

const takes = { alongIn: 5 } as NonNullable<Alternative['takes']>;
const flat: Alternative = { input: 'angleDeg', angleDeg: 22.5, isCurrent: true, takes, shape: shape(10, 3) };
const steep: Alternative = { input: 'angleDeg', angleDeg: 45, isCurrent: false, takes, shape: shape(20, 3) };
const never: Alternative = { input: 'angleDeg', angleDeg: 60, isCurrent: false, impossible: 'too steep' };

test('what cannot be laid out is not drawn, and the others are cut to where they differ', () => {
  expect([flat, steep, never].map(fits)).toEqual([true, true, false]);
  const { pieces, box } = drawnTogether([flat, steep, never], 1);
  expect(pieces.map(({ begins }) => begins.x)).toEqual([10, 20]);
  expect(box.left).toBe(7);
  expect(box.right).toBeCloseTo(28);
});

test('each is called by what differs', () => {
  expect(nameOf(flat, undefined)).toBe('22.5°');
  expect(nameOf({ isCurrent: false, choice: 'order', option: 'pushThrough', title: 'Push through' }, undefined)).toBe(
    'Push through',
  );
  expect(nameOf({ isCurrent: false, bender: 0 }, 'Machine 1')).toBe('Machine 1');
});

test('what is taken goes to its place in the draft', () => {
  const draft = { texts: { angleDeg: '30' }, choices: {}, conduitId: 'a', benderId: 'b' } as unknown as Draft;
  expect(takenInto(draft, steep, []).texts).toEqual({ angleDeg: '45' });
  expect(takenInto(draft, { isCurrent: false, choice: 'order', option: 'pushThrough' }, []).choices).toEqual({
    order: 'pushThrough',
  });
  const other = { id: 'm', conduitId: 'c' } as Schemas['BenderView'];
  expect(takenInto(draft, { isCurrent: false, bender: 0 }, [other])).toMatchObject({ conduitId: 'c', benderId: 'm' });
  expect(takenInto(draft, { isCurrent: false, bender: 3 }, [other])).toBe(draft);
});
