import { dehydrate, type DehydratedState, hydrate, type QueryClient } from '@tanstack/react-query';
import { Problem } from '../api/client';
import { changeKnown, forgetKnown, known } from './store';

const NAME = 'screens';
const WRITE_AFTER_MILLIS = 1_000;
const OLDEST_MILLIS = 7 * 24 * 3_600_000;

/** What a screen without signal needs; everything else is asked for again. */
const KEPT = new Set(['me', 'cohorts', 'floor', 'attempt', 'kit', 'shed', 'moved']);

function isSignedOut(error: unknown): boolean {
  return error instanceof Problem && error.status === 401;
}

interface Remembered {
  at: number;
  state: DehydratedState;
}

/** What is known now over what was known before: a window that knows less takes nothing away. */
function merged(before: Remembered | undefined, queries: DehydratedState['queries']): Remembered {
  const now = Date.now();
  const fresh = new Set(queries.map(({ queryHash }) => queryHash));
  const kept = (before?.state.queries ?? []).filter(
    ({ queryHash, state }) => !fresh.has(queryHash) && now - state.dataUpdatedAt < OLDEST_MILLIS,
  );
  return { at: now, state: { mutations: [], queries: [...kept, ...queries] } };
}

/** Brings back what the screens last knew, and keeps it up to date on disk. */
export async function rememberQueries(client: QueryClient): Promise<void> {
  try {
    const before = (await known(NAME)) as Remembered | undefined;
    if (before !== undefined && Date.now() - before.at < OLDEST_MILLIS) {
      hydrate(client, before.state, { defaultOptions: { queries: { gcTime: OLDEST_MILLIS } } });
    }
  } catch {
    // A browser that keeps nothing still works as long as there is signal.
    return;
  }
  let timer: ReturnType<typeof setTimeout> | undefined;
  client.getQueryCache().subscribe(() => {
    timer ??= setTimeout(() => {
      timer = undefined;
      if (isSignedOut(client.getQueryState(['me'])?.error)) {
        // Whoever is signed out has nothing to look at here.
        void forgetKnown();
        return;
      }
      const state = dehydrate(client, {
        // What could not be asked for anew is still what was last known.
        shouldDehydrateQuery: ({ queryKey, state: { data } }) => data !== undefined && KEPT.has(String(queryKey[0])),
      });
      const queries = state.queries.map((query) => ({
        ...query,
        state: { ...query.state, status: 'success' as const, error: null, fetchStatus: 'idle' as const },
      }));
      void changeKnown(NAME, (before) => merged(before as Remembered | undefined, queries));
    }, WRITE_AFTER_MILLIS);
  });
}
