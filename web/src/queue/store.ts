import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Entry, NewEntry } from './entries';

interface Shelf extends DBSchema {
  queue: { key: number; value: Entry };
  /** What the screens last knew, for opening without signal. */
  known: { key: string; value: unknown };
  /** Attempts that were begun here and turned out to be going on under another id. */
  moved: { key: string; value: string };
}

let opened: Promise<IDBPDatabase<Shelf>> | undefined;

function shelf(): Promise<IDBPDatabase<Shelf>> {
  opened ??= openDB<Shelf>('lobrik', 1, {
    upgrade(database) {
      database.createObjectStore('queue', { keyPath: 'seq', autoIncrement: true });
      database.createObjectStore('known');
      database.createObjectStore('moved');
    },
  });
  return opened;
}

/** Puts an entry on disk. When this is done, neither a reload nor a loss of power takes it away. */
export async function put(entry: NewEntry): Promise<Entry> {
  const transaction = (await shelf()).transaction('queue', 'readwrite', { durability: 'strict' });
  const seq = await transaction.store.add(entry as Entry);
  await transaction.done;
  return { ...entry, seq };
}

/** Everything that waits, in order. */
export async function all(): Promise<Entry[]> {
  return (await shelf()).getAll('queue');
}

/** Takes an entry off: the server has it on disk, or somebody decided that it is not to be sent. */
export async function remove(seq: number): Promise<void> {
  const transaction = (await shelf()).transaction('queue', 'readwrite', { durability: 'strict' });
  await transaction.store.delete(seq);
  await transaction.done;
}

/** Notes why the server turned an entry down or could not take it, or forgets that so that it is sent again. */
export async function note(entry: Entry, what: Pick<Entry, 'refused' | 'failed'>): Promise<void> {
  const { seq, key, accountId, accountName, attemptId, about, at, task } = entry;
  await (await shelf()).put('queue', { seq, key, accountId, accountName, attemptId, about, at, task, ...what });
}

/** Everything for one attempt is for another from now on. */
export async function move(from: string, to: string): Promise<void> {
  const transaction = (await shelf()).transaction(['queue', 'moved'], 'readwrite', { durability: 'strict' });
  await transaction.objectStore('moved').put(to, from);
  const queue = transaction.objectStore('queue');
  for (const entry of await queue.getAll()) {
    if (entry.attemptId === from) {
      await queue.put({ ...entry, attemptId: to });
    }
  }
  await transaction.done;
}

/** Where an attempt that was begun here is going on. */
export async function movedTo(attemptId: string): Promise<string | undefined> {
  return (await shelf()).get('moved', attemptId);
}

/** Changes what is known in one step, so that two windows never lose each other's knowledge. */
export async function changeKnown(name: string, change: (before: unknown) => unknown): Promise<void> {
  const transaction = (await shelf()).transaction('known', 'readwrite');
  await transaction.store.put(change(await transaction.store.get(name)), name);
  await transaction.done;
}

export async function known(name: string): Promise<unknown> {
  return (await shelf()).get('known', name);
}

/** Whoever signs out leaves nothing behind to be looked at; what was not sent yet stays. */
export async function forgetKnown(): Promise<void> {
  await (await shelf()).clear('known');
}
