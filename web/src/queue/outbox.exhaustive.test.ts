import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import type { NewEntry } from './entries';
import { Outbox } from './outbox';
import * as sending from './sending';
import * as store from './store';

/** What becomes of something that is sent, as in the model (protocol.ts). */
type Fate = 'taken' | 'taken, answer lost' | 'lost';

const FATES: readonly Fate[] = ['taken', 'taken, answer lost', 'lost'];

/** Of the first that are sent; later ones arrive. */
const SENDINGS = 5;

const PIECES = ['one', 'other', 'one'];

const open: Outbox[] = [];

beforeEach(async () => {
  for (const { seq } of await store.all()) {
    await store.remove(seq);
  }
});

afterEach(() => {
  open.splice(0).forEach((window) => {
    window.close();
  });
  vi.restoreAllMocks();
});

function everyCourse(): Fate[][] {
  let courses: Fate[][] = [[]];
  for (let i = 0; i < SENDINGS; i++) {
    courses = courses.flatMap((course) => FATES.map((fate) => [...course, fate]));
  }
  return courses;
}

function entry(number: number): NewEntry {
  return {
    key: String(number),
    accountId: 'me',
    accountName: 'Runa Tolvane',
    attemptId: PIECES[number] ?? '',
    about: 'Ada Finch',
    at: '2026-01-02T03:04:05Z',
    task: { kind: 'reading', body: { feature: 'leg', text: '14 3/8' } },
  };
}

/** A record that takes each key once, whatever becomes of what is sent to it. */
function record(course: readonly Fate[]): string[] {
  const taken: string[] = [];
  let sent = 0;
  vi.spyOn(sending, 'send').mockImplementation(({ key, attemptId }) => {
    const fate = course[sent++] ?? 'taken';
    if (fate !== 'lost' && !taken.includes(key)) {
      taken.push(key);
    }
    return fate === 'taken'
      ? Promise.resolve({ id: attemptId } as sending.Answer)
      : Promise.reject(new Problem(0, 'no signal'));
  });
  return taken;
}

it.each([1, 2])(
  'whatever becomes of each that is sent, from %i windows each arrives once, in its order',
  async (windows) => {
    for (const course of everyCourse()) {
      const taken = record(course);
      const all = Array.from({ length: windows }, () => new Outbox({ onAttempt: vi.fn(), onMoved: vi.fn() }));
      open.push(...all);
      await Promise.all(all.map((window) => window.signedIn('me')));
      for (let number = 0; number < PIECES.length; number++) {
        await all[number % windows]?.keep(entry(number));
      }
      for (let tries = 0; tries <= SENDINGS * PIECES.length && (await store.all()).length > 0; tries++) {
        await Promise.all(
          all.map((window) => {
            window.hurry();
            return window.tried();
          }),
        );
      }
      expect([...taken].sort(), course.join(', ')).toEqual(['0', '1', '2']);
      expect(taken.indexOf('0'), course.join(', ')).toBeLessThan(taken.indexOf('2'));
      all.forEach((window) => {
        window.close();
      });
    }
  },
);
