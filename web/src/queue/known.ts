import { dehydrate, type DehydratedState, hydrate, type QueryClient } from '@tanstack/react-query';
import { Problem } from '../api/client';
import { keepKnown, known } from './store';

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

/** Brings back what the screens last knew, and keeps it up to date on disk. */
export async function rememberQueries(client: QueryClient): Promise<void> {
  try {
    const before = (await known(NAME)) as Remembered | undefined;
    if (before !== undefined && Date.now() - before.at < OLDEST_MILLIS) {
      hydrate(client, before.state);
    }
  } catch {
    // A browser that keeps nothing still works as long as there is signal.
    return;
  }
  let timer: ReturnType<typeof setTimeout> | undefined;
  client.getQueryCache().subscribe(() => {
    timer ??= setTimeout(() => {
      timer = undefined;
      const state = dehydrate(client, {
        // What could not be asked for anew is still what was last known.
        shouldDehydrateQuery: ({ queryKey, state: { data, error } }) =>
          data !== undefined && KEPT.has(String(queryKey[0])) && !isSignedOut(error),
      });
      const queries = state.queries.map((query) => ({
        ...query,
        state: { ...query.state, status: 'success' as const, error: null, fetchStatus: 'idle' as const },
      }));
      void keepKnown(NAME, { at: Date.now(), state: { ...state, queries } } satisfies Remembered);
    }, WRITE_AFTER_MILLIS);
  });
}
