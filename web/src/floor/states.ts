import type { Schemas } from '../api/client';

export type BenchState = Schemas['BenchView']['state'];

/** What a state is called, and its shape: nobody has to tell colours apart. */
export const STATES: Record<BenchState, { name: string; sign: string; tone: string }> = {
  called: { name: 'Called for checking', sign: '◆', tone: 'border-secondary text-secondary' },
  help: { name: 'Needs help', sign: '▲', tone: 'border-error text-error' },
  measuring: { name: 'Being measured', sign: '◧', tone: 'border-base-content/60' },
  bending: { name: 'Bending', sign: '◑', tone: 'border-base-content/60' },
  workingOut: { name: 'Working it out', sign: '◔', tone: 'border-base-content/60' },
  notStarted: { name: 'Not started', sign: '○', tone: 'border-base-content/40' },
  nothingGiven: { name: 'Nothing given', sign: '–', tone: 'border-base-content/40' },
  done: { name: 'Done', sign: '●', tone: 'border-success text-success' },
};

/** In the order in which somebody should look at them. */
export const IN_ORDER: readonly BenchState[] = [
  'called',
  'help',
  'measuring',
  'bending',
  'workingOut',
  'notStarted',
  'nothingGiven',
  'done',
];

/** How long something lasts: minutes, then hours and minutes. */
export function lasting(since: string | null | undefined, now: number): string {
  if (since == null) {
    return '';
  }
  const minutes = Math.max(0, Math.floor((now - Date.parse(since)) / 60_000));
  return minutes < 60
    ? `${String(minutes)} min`
    : minutes < 24 * 60
      ? `${String(Math.floor(minutes / 60))} h ${String(minutes % 60).padStart(2, '0')}`
      : `${String(Math.floor(minutes / 1440))} d`;
}
