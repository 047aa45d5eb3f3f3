import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { soon } from '../testing/soon';
import { type Entry, type NewEntry, waitsForHelp } from './entries';
import { Outbox } from './outbox';
import * as sending from './sending';
import * as store from './store';

const ME = 'account-1';

function entry(key: string, attemptId: string, accountId = ME): NewEntry {
  return {
    key,
    accountId,
    accountName: 'Runa Tolvane',
    attemptId,
    about: 'Ada Finch',
    at: '2026-01-02T03:04:05Z',
    task: { kind: 'reading', body: { feature: 'leg', text: '14 3/8' } },
  };
}

const listeners = { onAttempt: vi.fn(), onMoved: vi.fn() };

/** A server that answers as it is told, and remembers what it was sent. */
function server(answer: (sent: Entry) => Promise<string>) {
  const sent: string[] = [];
  vi.spyOn(sending, 'send').mockImplementation(async (each) => {
    const id = await answer(each);
    sent.push(each.key);
    return { id } as sending.Answer;
  });
  return sent;
}

const untilEmpty = () => soon(async () => expect(await store.all()).toHaveLength(0));

const windows: Outbox[] = [];

function opened(): Outbox {
  const window = new Outbox(listeners);
  windows.push(window);
  return window;
}

describe('the outbox', () => {
  // One that waits for its next try would send what another test keeps.
  afterEach(() => {
    windows.splice(0).forEach((window) => {
      window.close();
    });
  });

  beforeEach(async () => {
    vi.restoreAllMocks();
    listeners.onAttempt.mockClear();
    listeners.onMoved.mockClear();
    for (const { seq } of await store.all()) {
      await store.remove(seq);
    }
  });

  it('asks again soon while somebody stands there, and less often after a minute', async () => {
    let now = Date.parse('2026-01-02T03:04:05Z');
    vi.spyOn(Date, 'now').mockImplementation(() => now);
    const waits: number[] = [];
    const later = globalThis.setTimeout;
    // Whoever waits gets there at once; the clock says that the time went by.
    vi.spyOn(globalThis, 'setTimeout').mockImplementation(((act: () => void, millis = 0) => {
      if (millis >= 500) {
        waits.push(millis);
        now += millis;
      }
      return later(act, 0);
    }) as typeof setTimeout);
    server(({ attemptId }) =>
      waits.length < 38 ? Promise.reject(new Problem(0, 'nobody')) : Promise.resolve(attemptId),
    );
    const outbox = opened();
    await outbox.signedIn(ME);
    await outbox.keep(entry('a', 'attempt-1'));
    await untilEmpty();
    expect(waits.slice(0, 5)).toEqual([500, 1000, 2000, 2000, 2000]);
    expect(waits.slice(28, 30)).toEqual([2000, 2000]);
    expect(waits.filter((each) => each > 2000).slice(0, 3)).toEqual([4000, 8000, 8000]);
    expect(outbox.current().offline).toBe(false);
  });

  it('sends in the order in which things were written down, one after the other', async () => {
    let atOnce = 0;
    let most = 0;
    const sent = server(async ({ attemptId }) => {
      most = Math.max(most, ++atOnce);
      await new Promise((done) => setTimeout(done, 5));
      atOnce -= 1;
      return attemptId;
    });
    const outbox = opened();
    await outbox.signedIn(ME);
    for (const key of ['a', 'b', 'c', 'd']) {
      await outbox.keep(entry(key, 'attempt-1'));
    }
    await untilEmpty();
    expect(sent).toEqual(['a', 'b', 'c', 'd']);
    expect(most).toBe(1);
  });

  it('can be waited for: what is on its way has arrived, or could not', async () => {
    let arrived = (): void => undefined;
    const sent = server(
      ({ attemptId }) =>
        new Promise((done) => {
          arrived = () => {
            done(attemptId);
          };
        }),
    );
    const outbox = opened();
    await outbox.tried();
    await outbox.signedIn(ME);
    await outbox.keep(entry('a', 'attempt-1'));
    let over = false;
    const tried = outbox.tried().then(() => {
      over = true;
    });
    await soon(() => expect(sending.send).toHaveBeenCalled());
    expect(over).toBe(false);
    arrived();
    await tried;
    expect(sent).toEqual(['a']);

    vi.mocked(sending.send).mockImplementation(() => Promise.reject(new Problem(0, 'no signal')));
    await outbox.keep(entry('b', 'attempt-1'));
    await outbox.tried();
    expect(outbox.current()).toMatchObject({ offline: true, entries: [{ key: 'b' }] });
  });

  it('knows what waits on the device before anybody is signed in', async () => {
    const before = opened();
    await before.keep(entry('a', 'attempt-1'));
    const after = opened();
    expect(after.current().entries).toEqual([]);
    await after.recall();
    expect(after.current().entries).toMatchObject([{ key: 'a' }]);
  });

  it('has it on disk before it says that it is kept, and a new window sends it', async () => {
    server(() => Promise.reject(new Problem(0, 'no signal')));
    const before = opened();
    await before.signedIn(ME);
    await before.keep(entry('a', 'attempt-1'));
    expect(await store.all()).toMatchObject([{ key: 'a' }]);
    await soon(() => expect(before.current().offline).toBe(true));

    const sent = server(({ attemptId }) => Promise.resolve(attemptId));
    const after = opened();
    await after.signedIn(ME);
    await untilEmpty();
    expect(sent).toEqual(['a']);
  });

  it('goes on with other pieces when one entry is turned down, but not past it on the same piece', async () => {
    const sent = server(({ key, attemptId }) =>
      key === 'a'
        ? Promise.reject(new Problem(409, 'This attempt is verified and locked'))
        : Promise.resolve(attemptId),
    );
    const outbox = opened();
    await outbox.keep(entry('a', 'attempt-1'));
    await outbox.keep(entry('b', 'attempt-1'));
    await outbox.keep(entry('c', 'attempt-2'));
    await outbox.signedIn(ME);
    await soon(() => expect(sent).toEqual(['c']));
    const [refused, behind] = await store.all();
    expect(refused?.refused?.message).toContain('locked');
    expect(behind).toMatchObject({ key: 'b' });

    const again = server(({ attemptId }) => Promise.resolve(attemptId));
    await outbox.sendAgain(refused as Entry);
    await untilEmpty();
    expect(again).toEqual(['a', 'b']);
  });

  it('goes on with other pieces when the server cannot take one, and comes back to it', async () => {
    let mended = false;
    const sent = server(({ key, attemptId }) =>
      key === 'a' && !mended ? Promise.reject(new Problem(500, 'It failed')) : Promise.resolve(attemptId),
    );
    const outbox = opened();
    await outbox.keep(entry('a', 'attempt-1'));
    await outbox.keep(entry('b', 'attempt-1'));
    await outbox.keep(entry('c', 'attempt-2'));
    await outbox.signedIn(ME);
    await soon(() =>
      expect(outbox.current().entries.map(({ failed }) => failed?.message)).toEqual(['It failed', undefined]),
    );
    expect(sent).toEqual(['c']);
    expect(outbox.current().offline).toBe(false);
    mended = true;
    await untilEmpty();
    expect(sent).toEqual(['c', 'a', 'b']);
  });

  /** Tries what fails as often as it takes, without waiting for it. */
  async function failsOften(outbox: Outbox) {
    const now = vi.spyOn(Date, 'now');
    for (let i = 0; i < 6; i++) {
      now.mockReturnValue(i * 60_000);
      outbox.hurry();
      await outbox.tried();
    }
    now.mockRestore();
  }

  it('waits for help with what the server cannot take again and again; others pass it, its own piece does not', async () => {
    let mended = false;
    const tried: string[] = [];
    const sent = server(({ key, attemptId }) => {
      tried.push(key);
      return key === 'a' && !mended ? Promise.reject(new Problem(500, 'It failed')) : Promise.resolve(attemptId);
    });
    const outbox = opened();
    await outbox.keep(entry('a', 'attempt-1'));
    await outbox.keep(entry('b', 'attempt-1'));
    await outbox.signedIn(ME);
    await failsOften(outbox);
    const [helpless, behind] = await store.all();
    expect(waitsForHelp(helpless as Entry)).toBe(true);
    expect(waitsForHelp(behind as Entry)).toBe(false);

    // It is not asked for again and again, and nothing of another piece waits for it.
    const often = tried.length;
    await outbox.keep(entry('c', 'attempt-2'));
    await outbox.tried();
    expect(sent).toEqual(['c']);
    expect(tried.slice(often)).toEqual(['c']);
    expect((await store.all()).map(({ key }) => key)).toEqual(['a', 'b']);

    // Another window tries once; whoever presses sends it, and then what is behind it, in their order.
    mended = true;
    await outbox.sendAgain(helpless as Entry);
    await untilEmpty();
    expect(sent).toEqual(['c', 'a', 'b']);
  });

  it('tries what waits for help once more when the application is opened again', async () => {
    server(() => Promise.reject(new Problem(500, 'It failed')));
    const before = opened();
    await before.keep(entry('a', 'attempt-1'));
    await before.signedIn(ME);
    await failsOften(before);
    expect(waitsForHelp((await store.all())[0] as Entry)).toBe(true);
    before.close();
    const sent = server(({ attemptId }) => Promise.resolve(attemptId));
    await opened().signedIn(ME);
    await untilEmpty();
    expect(sent).toEqual(['a']);
  });

  it('lets what is small pass a photo whose turn has not come', async () => {
    const sent = server(({ task, attemptId }) =>
      task.kind === 'photo' ? Promise.reject(new Problem(503, 'Many photos')) : Promise.resolve(attemptId),
    );
    const outbox = opened();
    const task = {
      kind: 'photo' as const,
      file: new Blob(['x']),
      about: '',
      note: '',
      takenAt: '2026-01-02T03:04:05Z',
    };
    await outbox.keep({ ...entry('p', 'attempt-1'), task });
    await outbox.keep(entry('c', 'attempt-2'));
    await outbox.signedIn(ME);
    await soon(async () =>
      expect((await store.all()).map(({ key, failed }) => [key, failed])).toEqual([['p', undefined]]),
    );
    expect(sent).toEqual(['c']);
  });

  it('waits and tries again where a body came too slowly or too often', () => {
    const reading = { ...entry('a', 'attempt-1'), seq: 1 };
    for (const status of [0, 408, 429, 502, 503, 504]) {
      expect(sending.after(new Problem(status, ''), reading)).toBe('try again');
    }
    expect(sending.after(new Problem(409, ''), reading)).toBe('ask');
    expect(sending.after(new Problem(500, ''), reading)).toBe('try others');
  });

  it('sends nothing more when somebody else has signed in in another window', async () => {
    const other = new Problem(403, 'Somebody else', [
      { pointer: '', code: 'another-account', message: 'Somebody else' },
    ]);
    server(() => Promise.reject(other));
    const outbox = opened();
    await outbox.signedIn(ME);
    await outbox.keep(entry('a', 'attempt-1'));
    await soon(() => expect(outbox.current().signInNeeded).toBe(true));
    expect(await store.all()).toMatchObject([{ key: 'a' }]);
    const [kept] = await store.all();
    expect(kept?.refused).toBeUndefined();
  });

  it('sends nothing in somebody else’s name', async () => {
    const sent = server(({ attemptId }) => Promise.resolve(attemptId));
    const outbox = opened();
    await outbox.keep(entry('hers', 'attempt-1', 'account-2'));
    await outbox.keep(entry('mine', 'attempt-2'));
    await outbox.signedIn(ME);
    await soon(async () => expect((await store.all()).map(({ key }) => key)).toEqual(['hers']));
    expect(sent).toEqual(['mine']);
  });

  it('asks to sign in when the session is over, and keeps everything until then', async () => {
    server(() => Promise.reject(new Problem(401, 'Please sign in')));
    const outbox = opened();
    await outbox.signedIn(ME);
    await outbox.keep(entry('a', 'attempt-1'));
    await soon(() => expect(outbox.current().signInNeeded).toBe(true));
    expect(await store.all()).toHaveLength(1);
  });

  it('follows an attempt that was begun without signal to where it is going on', async () => {
    const sent: string[] = [];
    vi.spyOn(sending, 'send').mockImplementation(({ key, attemptId }) => {
      sent.push(`${key} ${attemptId}`);
      return Promise.resolve({ id: key === 'open' ? 'going-on' : attemptId } as sending.Answer);
    });
    const outbox = opened();
    await outbox.keep({ ...entry('open', 'blank'), task: { kind: 'open', traineeId: 't', assignmentId: 'a' } });
    await outbox.keep(entry('reading', 'blank'));
    await outbox.signedIn(ME);
    await untilEmpty();
    expect(sent).toEqual(['open blank', 'reading going-on']);
    expect(listeners.onMoved).toHaveBeenCalledWith('blank', 'going-on');
    expect(await store.movedTo('blank')).toBe('going-on');
  });

  it('keeps everything where these screens are too old for the server, and later ones send it in its order', async () => {
    const tooOld = vi
      .spyOn(sending, 'send')
      .mockRejectedValue(new Problem(426, 'These screens are of an earlier Lobrik: load them anew'));
    const outbox = opened();
    await outbox.signedIn(ME);
    await outbox.keep(entry('a', 'attempt-1'));
    await outbox.keep(entry('b', 'attempt-2'));
    await soon(() => expect(outbox.current().loadNeeded).toBe(true));
    expect(outbox.current().offline).toBe(false);
    expect((await store.all()).map(({ key, refused }) => [key, refused])).toEqual([
      ['a', undefined],
      ['b', undefined],
    ]);
    tooOld.mockRestore();
    outbox.close();
    // The page is loaded anew: other screens.
    const sent = server(({ attemptId }) => Promise.resolve(attemptId));
    const newer = opened();
    await newer.recall();
    await newer.signedIn(ME);
    await untilEmpty();
    expect(sent).toEqual(['a', 'b']);
    expect(newer.current().loadNeeded).toBe(false);
  });

  it('sends once more what screens of before took for turned down since they were too old', async () => {
    const kept = await store.put(entry('a', 'attempt-1'));
    await store.note(kept, { refused: { status: 426, message: 'load them anew' } });
    const asked = await store.put(entry('b', 'attempt-2'));
    await store.note(asked, { refused: { status: 409, message: 'locked' } });
    const sent = server(({ attemptId }) => Promise.resolve(attemptId));
    const outbox = opened();
    await outbox.recall();
    await outbox.signedIn(ME);
    await soon(() => expect(sent).toEqual(['a']));
    expect((await store.all()).map(({ key }) => key)).toEqual(['b']);
  });
});
