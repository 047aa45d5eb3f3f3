import { createContext, useCallback, useContext, useSyncExternalStore } from 'react';
import { newId } from '../api/newId';
import { useSignedIn } from '../frame/signedIn';
import type { NewEntry, Task } from './entries';
import type { Outbox } from './outbox';

export const OutboxContext = createContext<Outbox | undefined>(undefined);

export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext);
  if (outbox === undefined) {
    throw new Error('only where the application keeps an outbox');
  }
  return outbox;
}

/** What waits, and whether anybody answers. */
export function useOutboxState() {
  const outbox = useOutbox();
  return useSyncExternalStore(outbox.subscribe, outbox.current);
}

/** Writes something of an attempt down on this device; when it is done, it is kept. Returns the key that it has. */
export function useKeep(attemptId: string, about: string): (task: Task) => Promise<string> {
  const outbox = useOutbox();
  const me = useSignedIn();
  return useCallback(
    async (task: Task) => {
      const entry: NewEntry = {
        key: newId(),
        accountId: me.accountId,
        accountName: me.fullName,
        attemptId,
        about,
        at: new Date().toISOString(),
        task,
      };
      await outbox.keep(entry);
      return entry.key;
    },
    [outbox, me.accountId, me.fullName, attemptId, about],
  );
}
