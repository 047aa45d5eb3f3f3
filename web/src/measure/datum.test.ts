import * as core from 'bench-core';
import { expect, test } from 'vitest';
import type { Attempt } from '../api/queries';
import { asMeant, asTaken, expectedAt } from './datum';

/** A back-to-back of 20 in: its second mark is at 28 7/8 from the end, and 20 from the back of the first bend. */
const attempt = {
  plan: {
    marks: [
      { number: 1, positionIn: 6, back: null },
      { number: 2, positionIn: 28.875, back: { bend: 1, figureIn: 20 } },
    ],
  },
  features: [
    { id: 'mark1', unit: 'in', asked: 6, target: 6, reading: null, rivals: [] },
    {
      id: 'mark2',
      unit: 'in',
      asked: 28.875,
      target: 28.875,
      tolerance: 0.125,
      under: 0.125,
      reading: null,
      rivals: [],
    },
    { id: 'leg', unit: 'in', asked: 12, target: 12, reading: null, rivals: [] },
  ],
} as unknown as Attempt;

const read = (from: 'end' | 'back' | null) =>
  ({
    ...attempt,
    features: attempt.features.map((feature) =>
      feature.id === 'mark2' ? { ...feature, reading: { value: 28.75, from } } : feature,
    ),
  }) as Attempt;

test('a mark that is taught from the back of a bend counts from there until somebody chooses the end', () => {
  expect(asTaken(attempt, {}).features.map(({ target }) => target)).toEqual([6, 20, 12]);
  expect(asTaken(attempt, { mark2: 'end' }).features.map(({ target }) => target)).toEqual([6, 28.875, 12]);
});

test('what was read is shown as it was read', () => {
  expect(asTaken(read('back'), {}).features[1]).toMatchObject({ target: 20, reading: { value: 19.875 } });
  expect(asTaken(read('end'), {}).features[1]).toMatchObject({ target: 28.875, reading: { value: 28.75 } });
  expect(asTaken(read(null), { mark2: 'back' }).features[1]).toMatchObject({ target: 28.875 });
});

test('where every mark is measured from the end, nothing changes', () => {
  const offset = { ...attempt, plan: { marks: [{ number: 1, positionIn: 6, back: null }] } } as unknown as Attempt;
  expect(asTaken(offset, {})).toBe(offset);
});

test('a right figure is never called wrong for being measured the other way', () => {
  const second = (chosen: 'end' | 'back') => asTaken(attempt, { mark2: chosen }).features[1] as never;
  expect(asMeant(core, second('back'), 28.875)).toMatchObject({ target: 28.875, taken: { from: 'end' } });
  expect(asMeant(core, second('end'), 20.0625)).toMatchObject({ target: 20, taken: { from: 'back' } });
  expect(asMeant(core, second('back'), 20)).toMatchObject({ target: 20, taken: { from: 'back' } });
  // What is wrong both ways stays as it was chosen.
  expect(asMeant(core, second('back'), 24)).toMatchObject({ target: 20, taken: { from: 'back' } });
});

test('two readings of one mark are told from one datum, whichever each was taken from', () => {
  const disputed = {
    ...attempt,
    features: attempt.features.map((feature) =>
      feature.id === 'mark2'
        ? {
            ...feature,
            rivals: [
              { value: 28.875, from: 'end' },
              { value: 28.75, from: 'back' },
            ],
          }
        : feature,
    ),
  } as Attempt;
  expect(asTaken(disputed, {}).features[1]?.rivals.map(({ value }) => value)).toEqual([20, 19.875]);
});

test('a ring is expected where it is right, and where the own figure of the trainee says, from the same datum', () => {
  const worked = {
    ...attempt,
    bench: {
      own: {
        marks: [
          { mark: 1, from: null, deviationIn: 1 },
          { mark: 2, from: 'end', deviationIn: 0 },
        ],
      },
    },
  } as unknown as Attempt;
  const mark = (number: number, from?: 'end' | 'back') =>
    ({
      id: `mark${String(number)}`,
      target: 6,
      tolerance: 0.125,
      under: 0.125,
      taken: from === undefined ? undefined : { bend: 1, offset: 2, from },
    }) as unknown as Attempt['features'][number];
  expect(expectedAt(worked, mark(1))).toEqual([6, 7]);
  expect(expectedAt(worked, mark(2, 'end'))).toEqual([6, 6]);
  expect(expectedAt(worked, mark(2, 'back'))).toEqual([6]);
  expect(expectedAt({ ...worked, bench: {} } as Attempt, mark(1))).toEqual([6]);
});
