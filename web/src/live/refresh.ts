import type { QueryClient, QueryKey } from '@tanstack/react-query';

/** What one write sets off comes at once from several sides: its answer, and the server's word that something changed. */
const TOGETHER_MS = 120;

const waiting = new WeakMap<QueryClient, Map<string, QueryKey>>();

/** Has what begins with a key asked for anew, once for all who want that within a moment. */
export function refreshSoon(client: QueryClient, ...keys: QueryKey[]): void {
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
