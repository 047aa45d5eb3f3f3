import { api, body, Problem, sentAsItIs, type Schemas } from '../api/client';
import type { Entry } from './entries';

/** An attempt that was opened, or what may have changed of it. */
export type Answer = Schemas['AttemptView'] | Schemas['AttemptChange'];

/** Sends one entry; throws a {@link Problem} if it was turned down or nobody answered. */
export async function send(entry: Entry): Promise<Answer> {
  const { attemptId: id, key, task } = entry;
  switch (task.kind) {
    case 'open':
      return body(
        api.PUT('/api/attempts/{id}', {
          params: { path: { id } },
          body: { traineeId: task.traineeId, assignmentId: task.assignmentId },
        }),
      );
    case 'reading':
      return body(api.PUT('/api/attempts/{id}/readings/{key}', { params: { path: { id, key } }, body: task.body }));
    case 'fact':
      return body(api.PUT('/api/attempts/{id}/facts/{key}', { params: { path: { id, key } }, body: task.body }));
    case 'setAside':
      return body(
        api.PUT('/api/attempts/{id}/set-aside/{recordId}', {
          params: { path: { id, recordId: task.recordId } },
          body: { reason: task.reason },
        }),
      );
    case 'photo':
      return body(
        api.PUT('/api/attempts/{id}/photos/{key}', {
          params: { path: { id, key }, query: { about: task.about, note: task.note, takenAt: task.takenAt } },
          ...sentAsItIs(task.file, task.file.type === '' ? undefined : task.file.type),
        }),
      );
  }
}

/**
 * What to do about an entry that could not be sent: 'try again' if nobody can be reached, 'pass' if its turn has not come yet,
 * 'try others' if the server could not take this one, 'load anew' if these screens are too old for it.
 */
export function after(
  problem: Problem,
  entry: Entry,
): 'try again' | 'pass' | 'try others' | 'sign in' | 'load anew' | 'ask' {
  const { status, errors } = problem;
  if (status === LOAD_ANEW) {
    return 'load anew';
  }
  if (status === 401 || errors.some(({ code }) => code === 'another-account')) {
    return 'sign in';
  }
  // Photos wait for each other at the server, and take long: what is small need not.
  if (entry.task.kind === 'photo' && NOT_NOW.has(status)) {
    return 'pass';
  }
  if (status === 0 || NOT_NOW.has(status)) {
    return 'try again';
  }
  // A page that is out of date gets its token with the next answer.
  return status >= 500 || status === 403 ? 'try others' : 'ask';
}

/** These screens are of an earlier Lobrik than the server understands; newer ones send the same entry as it wants it. */
export const LOAD_ANEW = 426;

/** Too slowly, too often, or said by what stands before a server that does not answer. */
const NOT_NOW = new Set([408, 429, 502, 503, 504]);
