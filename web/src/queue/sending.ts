import { api, body, Problem, type Schemas } from '../api/client';
import type { Entry } from './entries';

export type Attempt = Schemas['AttemptView'];

/** Sends one entry; throws a {@link Problem} if it was turned down or nobody answered. */
export async function send(entry: Entry): Promise<Attempt> {
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
          body: task.file as unknown as never,
          bodySerializer: (file: unknown) => file as Blob,
          headers: { 'Content-Type': task.file.type === '' ? 'application/octet-stream' : task.file.type },
        }),
      );
  }
}

/** What to do about an entry that could not be sent. */
export function after(problem: Problem): 'try again' | 'sign in' | 'ask' {
  if (problem.status === 401 || problem.status === 403) {
    return 'sign in';
  }
  return problem.status === 0 || problem.status === 429 || problem.status >= 500 ? 'try again' : 'ask';
}
