/** What was done, as the record has it and as it is said. */
export const WHATS = [
  { value: 'signedIn', name: 'Signed in' },
  { value: 'signInFailed', name: 'Wrong password or name' },
  { value: 'signInHeldUp', name: 'Held up after wrong tries' },
  { value: 'signedOut', name: 'Signed out' },
  { value: 'export', name: 'File taken out' },
  { value: 'added', name: 'Added' },
  { value: 'changed', name: 'Changed' },
  { value: 'ended', name: 'Ended' },
  { value: 'erased', name: 'Erased' },
] as const;

/** What it was done to. */
export const SUBJECTS = [
  { value: 'account', name: 'Account' },
  { value: 'school', name: 'School' },
  { value: 'cohort', name: 'Cohort' },
  { value: 'trainee', name: 'Trainee' },
  { value: 'bender', name: 'Bender' },
  { value: 'conduit', name: 'Conduit' },
  { value: 'tolerances', name: 'Tolerances' },
  { value: 'rule', name: 'Sign-off rule' },
  { value: 'curriculum', name: 'Order of learning' },
  { value: 'runRules', name: 'Rules for runs' },
  { value: 'signature', name: 'Signature' },
  { value: 'reading', name: 'Reading' },
  { value: 'giving', name: 'Giving out' },
  { value: 'session', name: 'Sessions' },
  { value: 'rota', name: 'Who sits where' },
  { value: 'room', name: 'Rooms' },
  { value: 'holiday', name: 'Holidays' },
  { value: 'study', name: 'Studies' },
] as const;

/** What is looked for; what is empty does not matter. */
export interface Wanted {
  text: string;
  what: string;
  subject: string;
  since: string;
  until: string;
}

/** The same as the server is asked. */
export function wantedQuery(wanted: Wanted): Partial<Record<keyof Wanted, string>> {
  return Object.fromEntries(Object.entries(wanted).filter(([, value]) => String(value).trim() !== ''));
}
