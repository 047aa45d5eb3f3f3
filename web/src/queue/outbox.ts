import { Problem } from '../api/client';
import { type Entry, type NewEntry, waitsForHelp } from './entries';
import { after, type Answer, LOAD_ANEW, send } from './sending';
import * as store from './store';

/** How the outbox stands. */
export interface OutboxState {
  entries: readonly Entry[];
  /** Nobody answers at the moment. */
  offline: boolean;
  /** Somebody has to sign in before more can be sent. */
  signInNeeded: boolean;
  /** These screens are too old for the server: the page has to be loaded anew before more can be sent. */
  loadNeeded: boolean;
}

interface Listeners {
  /** An answer of the server, to be shown. */
  onAttempt: (answer: Answer) => void;
  /** An attempt that was begun here is going on under another id. */
  onMoved: (from: string, to: string) => void;
}

const FIRST_WAIT_MILLIS = 500;
/** Somebody stands there and goes on: a server that was started anew is found this soon. */
const LONGEST_WAIT_MILLIS = 2_000;
/** Who has heard nothing for so long is somewhere else, perhaps in a cupboard, and asks less often. */
const AWAY_AFTER_MILLIS = 60_000;
const LONGEST_WAIT_AWAY_MILLIS = 8_000;
/** What waits for help is tried now and then all the same: somebody may have helped where it is not seen from here. */
const HELP_WAIT_MILLIS = 10 * 60_000;

/**
 * What was written down on this device and is not with the server yet. Entries go out one after the other, in their order,
 * by one window at a time; one that is turned down, or that the server cannot take, holds up only those of its own piece.
 */
export class Outbox {
  private state: OutboxState = { entries: [], offline: false, signInNeeded: false, loadNeeded: false };
  private readonly changed = new Set<() => void>();
  private others = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('lobrik-outbox');
  private accountId: string | undefined;
  private wait = FIRST_WAIT_MILLIS;
  /** Since when nothing got through. */
  private unheardSince: number | undefined;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private helpTimer: ReturnType<typeof setTimeout> | undefined;
  /** What waits for help is tried once when this window opens, and whenever its time has come. */
  private helpIsDue = true;
  private running: Promise<void> | undefined;
  private again = false;

  constructor(private readonly listeners: Listeners) {
    // Another window put something in or sent something: its entries are ours too.
    this.others?.addEventListener('message', () => {
      void this.look();
    });
    if (typeof window !== 'undefined') {
      window.addEventListener('online', () => {
        this.hurry();
      });
    }
  }

  subscribe = (onChange: () => void): (() => void) => {
    this.changed.add(onChange);
    return () => {
      this.changed.delete(onChange);
    };
  };

  current = (): OutboxState => this.state;

  /** Reads what waits on this device, so that the first screen shows it already. */
  async recall(): Promise<void> {
    try {
      await this.forgiveEarlierScreens();
      await this.look();
    } catch {
      // A browser that keeps nothing has nothing that waits.
    }
  }

  /** What was turned down since the screens that sent it were too old for the server goes out again: these are others. */
  private async forgiveEarlierScreens(): Promise<void> {
    for (const entry of await store.all()) {
      if (entry.refused?.status === LOAD_ANEW) {
        await store.note(entry, {});
      }
    }
  }

  /** Whoever is signed in: only what they wrote down goes out. */
  async signedIn(accountId: string): Promise<void> {
    this.accountId = accountId;
    this.say({ signInNeeded: false });
    await this.look();
    this.hurry();
  }

  /** Keeps an entry: when this is done it is on disk here, and on its way. */
  async keep(entry: NewEntry): Promise<Entry> {
    const kept = await store.put(entry);
    this.say({ entries: [...this.state.entries, kept] });
    this.others?.postMessage('changed');
    this.hurry();
    return kept;
  }

  /** Sends an entry once more that was turned down or waits for help. */
  async sendAgain(entry: Entry): Promise<void> {
    await store.note(entry, {});
    await this.look();
    this.hurry();
  }

  /** Gives an entry up that was turned down. */
  async giveUp(entry: Entry): Promise<void> {
    await store.remove(entry.seq);
    this.others?.postMessage('changed');
    await this.look();
  }

  /** Sends nothing more, and hears of no other window; what it kept stays on disk. */
  close(): void {
    clearTimeout(this.timer);
    clearTimeout(this.helpTimer);
    this.accountId = undefined;
    this.others?.close();
    this.others = undefined;
  }

  /** Tries now instead of after the next wait. */
  hurry(): void {
    clearTimeout(this.timer);
    this.wait = FIRST_WAIT_MILLIS;
    void this.run();
  }

  /** Waits until what is written down here has arrived, or could not for now. */
  async tried(): Promise<void> {
    // For nobody nothing goes out. What waits is on disk, and may be shown a moment later.
    if (this.accountId !== undefined) {
      await this.run();
    }
  }

  private say(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    this.changed.forEach((tell) => {
      tell();
    });
  }

  private async look(): Promise<void> {
    this.say({ entries: await store.all() });
  }

  /** Done when all that waited when this was asked for was tried. */
  private run(): Promise<void> {
    this.again = true;
    this.running ??= this.runAll();
    return this.running;
  }

  private async runAll(): Promise<void> {
    try {
      while (this.again) {
        this.again = false;
        await alone(() => this.sendAll());
      }
    } finally {
      this.running = undefined;
    }
  }

  private async sendAll(): Promise<void> {
    const held = new Set<string>();
    const helped = this.helpIsDue;
    this.helpIsDue = false;
    if (!helped) {
      (await store.all()).filter(waitsForHelp).forEach(({ attemptId }) => held.add(attemptId));
    }
    for (let entry = await this.next(held); entry !== undefined; entry = await this.next(held)) {
      try {
        const attempt = await send(entry);
        this.wait = FIRST_WAIT_MILLIS;
        this.unheardSince = undefined;
        this.say({ offline: false });
        if (attempt.id !== entry.attemptId) {
          await store.move(entry.attemptId, attempt.id);
          this.listeners.onMoved(entry.attemptId, attempt.id);
        }
        await store.remove(entry.seq);
        this.listeners.onAttempt(attempt);
      } catch (failure) {
        if (!(await this.failed(entry, failure, held))) {
          return;
        }
      }
      await this.look();
      this.others?.postMessage('changed');
    }
  }

  /** The first entry that can go out: of whoever is signed in, and not behind one of its piece that was turned down. */
  private async next(held: Set<string>): Promise<Entry | undefined> {
    for (const entry of await store.all()) {
      if (entry.refused !== undefined) {
        held.add(entry.attemptId);
      } else if (entry.accountId === this.accountId && !held.has(entry.attemptId)) {
        return entry;
      }
    }
    return undefined;
  }

  private later(): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.run(), this.wait);
    this.unheardSince ??= Date.now();
    const isAway = Date.now() - this.unheardSince > AWAY_AFTER_MILLIS;
    this.wait = Math.min(2 * this.wait, isAway ? LONGEST_WAIT_AWAY_MILLIS : LONGEST_WAIT_MILLIS);
  }

  /** Whether to go on with the others. */
  private async failed(entry: Entry, failure: unknown, held: Set<string>): Promise<boolean> {
    const problem = failure instanceof Problem ? failure : new Problem(0, String(failure));
    switch (after(problem, entry)) {
      case 'ask':
        await store.note(entry, { refused: { status: problem.status, message: problem.message } });
        held.add(entry.attemptId);
        return true;
      case 'sign in':
        this.say({ signInNeeded: true });
        return false;
      case 'load anew':
        this.say({ loadNeeded: true, offline: false });
        return false;
      case 'pass':
        held.add(entry.attemptId);
        this.later();
        return true;
      case 'try others': {
        const failed = failedOnceMore(entry, problem.message);
        await store.note(entry, { failed });
        held.add(entry.attemptId);
        if (waitsForHelp({ ...entry, failed })) {
          this.laterWithHelp();
        } else {
          this.later();
        }
        return true;
      }
      case 'try again':
        this.say({ offline: problem.status === 0 });
        this.later();
        return false;
    }
  }

  private laterWithHelp(): void {
    clearTimeout(this.helpTimer);
    this.helpTimer = setTimeout(() => {
      this.helpIsDue = true;
      void this.run();
    }, HELP_WAIT_MILLIS);
  }
}

/** Tries that follow each other at once, because much is written down, are one. */
function failedOnceMore({ failed }: Entry, message: string): NonNullable<Entry['failed']> {
  const now = Date.now();
  if (failed !== undefined && Math.abs(now - failed.at) < 0.8 * FIRST_WAIT_MILLIS) {
    return { ...failed, message };
  }
  return { times: (failed?.times ?? 0) + 1, message, at: now };
}

/** One window at a time, where the browser can tell them apart. */
async function alone(work: () => Promise<void>): Promise<void> {
  if (typeof navigator !== 'undefined' && 'locks' in navigator) {
    await navigator.locks.request('lobrik-outbox', work);
  } else {
    await work();
  }
}
