import { expect, test } from 'vitest';
import type { Schemas } from '../api/client';
import { sorted } from './sorting';

type Row = Schemas['MatrixRow'];

function row(fullName: string, bench: number, lastAt: string | null, standing: Row['cells'][number]['standing']): Row {
  return {
    traineeId: fullName,
    fullName,
    bench,
    lastAt,
    resting: false,
    cells: [{ family: 'offset', standing, recent: [{ attemptId: 'a', measuredAt: '', points: bench, passed: true }] }],
  };
}

const ROWS = [
  row('Cy', 1, '2026-11-20T09:00:00Z', 'ready'),
  row('Ada', 2, null, 'learning'),
  row('Bo', 3, '2026-11-01T09:00:00Z', 'learning'),
];

const names = (rows: readonly Row[]) => rows.map(({ fullName }) => fullName);

test('rows are sorted by bench, by name, and by who has not bent for longest', () => {
  expect(names(sorted(ROWS, 'bench'))).toEqual(['Cy', 'Ada', 'Bo']);
  expect(names(sorted(ROWS, 'name'))).toEqual(['Ada', 'Bo', 'Cy']);
  expect(names(sorted(ROWS, 'last'))).toEqual(['Ada', 'Bo', 'Cy']);
});

test('in a kind of bend, whoever is furthest behind comes first', () => {
  expect(names(sorted(ROWS, 'bend:offset'))).toEqual(['Ada', 'Bo', 'Cy']);
  expect(names(sorted(ROWS, 'bend:unknown'))).toEqual(['Cy', 'Ada', 'Bo']);
});
