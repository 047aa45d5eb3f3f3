import { replaceEqualDeep, type QueryClient, type QueryKey } from '@tanstack/react-query';
import type { Schemas } from '../api/client';

/** What one write sets off comes at once from several sides: its answer, and the server's word that something changed. */
export const TOGETHER_MS = 120;

const waiting = new WeakMap<QueryClient, Map<string, QueryKey>>();

/** Has what begins with a key asked for anew, once for all who want that within a moment. */
export function refreshSoon(client: QueryClient, ...keys: QueryKey[]): void {
  if (keys.length === 0) {
    return;
  }
  const known = waiting.get(client);
  const due = known ?? new Map<string, QueryKey>();
  keys.forEach((key) => due.set(JSON.stringify(key), key));
  if (known === undefined) {
    waiting.set(client, due);
    setTimeout(() => {
      waiting.delete(client);
      due.forEach((queryKey) => void client.invalidateQueries({ queryKey }));
    }, TOGETHER_MS);
  }
}

/**
 * Answers about an attempt may overtake each other: a reading that is sent while somebody decides, a question that was put
 * before it. Whatever comes, the newest edition is shown.
 */
export function keepNewest(client: QueryClient): void {
  client.setQueryDefaults(['attempt'], { structuralSharing: newest });
}

function newest(known: unknown, come: unknown): unknown {
  return editionOf(known) > editionOf(come) ? known : replaceEqualDeep(known, come);
}

/** What an earlier build kept on this device names none. */
function editionOf(attempt: unknown): number {
  return (attempt as Partial<Schemas['AttemptView']> | undefined)?.edition ?? 0;
}
