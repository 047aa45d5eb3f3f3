import { expect, test } from 'vitest';
import { choices, isSame, moved, stepsOf, without, withStep } from './order';

const ORDER = [
  { family: 'stub90', after: [] },
  { family: 'offset', after: ['stub90'] },
  { family: 'kick', after: ['stub90', 'offset'] },
];

test('a step moves past its neighbour, and at the ends it stays', () => {
  expect(moved(ORDER, 1, 1).map(({ family }) => family)).toEqual(['stub90', 'kick', 'offset']);
  expect(moved(ORDER, 2, -1).map(({ family }) => family)).toEqual(['stub90', 'kick', 'offset']);
  expect(moved(ORDER, 0, -1)).toBe(ORDER);
  expect(moved(ORDER, 2, 1)).toBe(ORDER);
});

test('nothing waits for a step that is taken out', () => {
  expect(without(ORDER, 'stub90')).toEqual([
    { family: 'offset', after: [] },
    { family: 'kick', after: ['offset'] },
  ]);
});

test('a step is added at the end, or changed where it stands', () => {
  expect(withStep(ORDER, { family: 'saddle3', after: [] }).at(-1)?.family).toBe('saddle3');
  expect(withStep(ORDER, { family: 'offset', after: [] })[1]).toEqual({ family: 'offset', after: [] });
});

test('a step can wait for what stands before it, once', () => {
  expect(choices(ORDER, 0)).toEqual([]);
  expect(choices(ORDER, 1)).toEqual([]);
  expect(choices([...ORDER.slice(0, 2), { family: 'kick', after: [] }], 2)).toEqual(['stub90', 'offset']);
});

test('what the server leaves out is nothing', () => {
  expect(stepsOf([{ family: 'stub90', after: null }, { family: null }])).toEqual([{ family: 'stub90', after: [] }]);
  expect(isSame(ORDER, stepsOf(ORDER))).toBe(true);
  expect(isSame(ORDER, moved(ORDER, 0, 1))).toBe(false);
});
