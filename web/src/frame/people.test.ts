import { expect, test } from 'vitest';
import { found, toldApart } from './people';

test('only those who share a name are told apart by their bench', () => {
  const people = [
    { fullName: 'Ada Finch', bench: 1 },
    { fullName: 'Bo Rill', bench: 2 },
    { fullName: 'ada finch', bench: 3 },
  ];
  expect(people.map(toldApart(people))).toEqual(['Ada Finch, bench 1', 'Bo Rill', 'ada finch, bench 3']);
});

const COHORTS = [
  {
    name: 'First year',
    trainees: [
      { id: '1', fullName: 'Kezia Mallow', bench: 1 },
      { id: '2', fullName: 'José Kezner', bench: 2 },
    ],
  },
  { name: 'Second year', trainees: [{ id: '3', fullName: 'Ulf Brackenby', bench: 7 }] },
];

test('people of every cohort are found by any part of their name, with case and accents left out', () => {
  expect(found(COHORTS, 'brack')).toEqual([{ id: '3', fullName: 'Ulf Brackenby', bench: 7, cohort: 'Second year' }]);
  expect(found(COHORTS, 'jose').map(({ id }) => id)).toEqual(['2']);
  expect(found(COHORTS, 'bracken ulf').map(({ id }) => id)).toEqual(['3']);
  // Whose name begins so comes first.
  expect(found(COHORTS, 'kez').map(({ id }) => id)).toEqual(['1', '2']);
  expect(found(COHORTS, ' ')).toEqual([]);
  expect(found(COHORTS, 'nobody')).toEqual([]);
});
