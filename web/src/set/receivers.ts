import type { Schemas } from '../api/client';

export type Receivers = NonNullable<Schemas['NewGiving']['giveTo']>;

/** What stands in the list of receivers: a whole cohort, a group of it, or one trainee, by a value of a select. */
export function receiversOf(value: string): Receivers | undefined {
  const [kind, id = ''] = value.split(':');
  switch (kind) {
    case 'cohort':
      return { cohortId: id };
    case 'group':
      return { groupId: id };
    case 'trainee':
      return { traineeIds: [id] };
    default:
      return undefined;
  }
}
