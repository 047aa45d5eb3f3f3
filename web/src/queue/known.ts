import { dehydrate, type DehydratedState, hydrate, type QueryClient } from '@tanstack/react-query';
import { keepKnown, known } from './store';

const NAME = 'screens';
const WRITE_AFTER_MILLIS = 1_000;
const OLDEST_MILLIS = 7 * 24 * 3_600_000;

/** What a screen without signal needs; everything else is asked for again. */
const KEPT = new Set(['me', 'cohorts', 'floor', 'attempt', 'kit', 'shed', 'moved']);

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
        shouldDehydrateQuery: ({ queryKey, state: { status } }) =>
          status === 'success' && KEPT.has(String(queryKey[0])),
      });
      void keepKnown(NAME, { at: Date.now(), state } satisfies Remembered);
    }, WRITE_AFTER_MILLIS);
  });
}
