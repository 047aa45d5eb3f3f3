import type { Schemas } from '../api/client';
import { STANDING_ORDER } from './standings';

type Row = Schemas['MatrixRow'];

/** How rows of the matrix are sorted: by bench, by name, by who has not bent for longest, or by a family of bends. */
export type Sorting = 'bench' | 'name' | 'last' | `bend:${string}`;

/** The rows in that order; of a family of bends, whoever is furthest behind comes first. */
export function sorted(rows: readonly Row[], sorting: Sorting): Row[] {
  const by: (a: Row, b: Row) => number =
    sorting === 'name'
      ? (a, b) => a.fullName.localeCompare(b.fullName)
      : sorting === 'last'
        ? (a, b) => (a.lastAt ?? '').localeCompare(b.lastAt ?? '')
        : sorting === 'bench'
          ? (a, b) => a.bench - b.bench
          : (a, b) => behind(a, sorting.slice('bend:'.length)) - behind(b, sorting.slice('bend:'.length));
  return [...rows].sort((a, b) => by(a, b) || a.bench - b.bench);
}

/** How far somebody is in a family of bends: the standing, then the last score. */
function behind(row: Row, family: string): number {
  const cell = row.cells.find((each) => each.family === family);
  if (cell === undefined) {
    return -1;
  }
  return STANDING_ORDER.indexOf(cell.standing) * 1000 + (cell.recent.at(-1)?.points ?? 0);
}
