import { exactText } from '../entry/figures';
import type { Schemas } from '../api/client';
import type { Weighed } from './weighed';

type Limits = NonNullable<Schemas['ToleranceFigures']['limits']>;
type Side = 'over' | 'under';

/** What is typed into the limits of a dimension; empty where it has none of its own. */
export type LimitTexts = Record<string, Record<Side, string>>;

export const SIDES: readonly Side[] = ['over', 'under'];

/** The limits of a set as they are typed, by the name of the row. */
export function limitTexts(rows: readonly Weighed[], limits: Limits, unit: 'in' | 'mm'): LimitTexts {
  const text = (kind: Weighed['kind'], figure: number) =>
    kind === 'length' ? exactText(figure, unit) : String(figure);
  return Object.fromEntries(
    rows.map(({ name, id, kind }) => {
      const own = limits[id];
      return [
        name,
        own === undefined ? { over: '', under: '' } : { over: text(kind, own.over), under: text(kind, own.under) },
      ];
    }),
  );
}

/** Limits by feature; of a row with only one side typed, the other side has the set's own limit. */
export function limitsOf(
  rows: readonly Weighed[],
  texts: LimitTexts,
  value: (row: Weighed, side: Side) => number | undefined,
  usual: (row: Weighed) => number,
): Limits {
  const limits: Limits = {};
  for (const row of rows) {
    const typed = SIDES.filter((side) => (texts[row.name]?.[side] ?? '').trim() !== '');
    if (typed.length > 0) {
      const side = (each: Side) => (typed.includes(each) ? value(row, each) : undefined) ?? usual(row);
      limits[row.id] = { over: side('over'), under: side('under') };
    }
  }
  return limits;
}
