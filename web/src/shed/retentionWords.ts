import type { Schemas } from '../api/client';

export type DataKind = Schemas['Keeping']['kind'];

/** What data of a kind is, and what of it is counted. */
export const KINDS: Readonly<
  Record<DataKind, { name: string; about: string; one: string; many: string; usual: number }>
> = {
  PHOTOS: {
    name: 'Photographs of pieces',
    about: 'The pictures go; readings and verdict stay.',
    one: 'photograph',
    many: 'photographs',
    usual: 24,
  },
  PRESENCE: {
    name: 'Attendance, seats and absences',
    about: 'Who was there and why not, by the day of the session.',
    one: 'note',
    many: 'notes',
    usual: 24,
  },
  PEOPLE_LEFT: {
    name: 'People who left',
    about: 'Everything that leads to them; what their pieces came to stays, by month and without a name.',
    one: 'person',
    many: 'people',
    usual: 60,
  },
  STUDIES: {
    name: 'Readings for studies',
    about: 'What everybody read to measure the measurers; what was taken from it stays.',
    one: 'reading',
    many: 'readings',
    usual: 36,
  },
};

/** So many of a kind. */
export function counted(kind: DataKind, count: number): string {
  return `${String(count)} ${count === 1 ? KINDS[kind].one : KINDS[kind].many}`;
}

/** So many months. */
export function monthsLong(months: number): string {
  return `${String(months)} ${months === 1 ? 'month' : 'months'}`;
}
