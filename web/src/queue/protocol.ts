/**
 * A model of how entries get from a device to the record (docs/outbox.md): every state that there can be of a few entries, one or two
 * windows, the line and the server, and every way from each to the next. It sends nothing; its test goes through all of it.
 */

/** What is on the line: an entry on its way there, or the answer on its way back to a window that waits for it. */
interface Message {
  entry: number;
  /** The window that waits for the answer; none if it gave up, or is gone. */
  window: number | null;
  stage: 'there' | 'back';
  /** What the answer says. */
  taken?: boolean;
}

export interface State {
  /** How many of the entries were written down so far; they are numbered in that order. */
  kept: number;
  /** What waits on the device. */
  store: readonly number[];
  /** What waits and was turned down, which somebody has to decide. */
  refused: readonly number[];
  /** What somebody gave up. */
  givenUp: readonly number[];
  /** What each window sends; null if nothing. */
  sends: readonly (number | null)[];
  line: readonly Message[];
  /** In the order in which it was taken. */
  record: readonly number[];
  /** How often the server may still turn something down, and the line still break: there is an end to it, or nothing would ever arrive. */
  refusals: number;
  breaks: number;
}

export interface Rules {
  /** The piece of each entry. */
  pieces: readonly number[];
  windows: number;
  /** Whether one window at a time sends (`navigator.locks`). */
  locks: boolean;
  /** What is left out on purpose, to see that the model would notice. */
  without?: 'keys' | 'waiting for the answer' | 'the order' | 'holding back';
}

export function first({ windows }: Rules, breaks: number, refusals: number): State {
  return {
    kept: 0,
    store: [],
    refused: [],
    givenUp: [],
    sends: Array.from({ length: windows }, () => null),
    line: [],
    record: [],
    refusals,
    breaks,
  };
}

const without = <T>(list: readonly T[], one: T): T[] => list.filter((each) => each !== one);
const replaced = <T>(list: readonly T[], at: number, by: T): T[] => list.map((each, i) => (i === at ? by : each));

/** What a window would send next: the first that is not behind one of its piece that was turned down. */
function next({ store, refused }: State, { pieces, without: left }: Rules): number | undefined {
  const held = new Set(refused.map((entry) => pieces[entry]));
  const ready = store.filter((entry) =>
    left === 'holding back' ? !refused.includes(entry) : !held.has(pieces[entry]),
  );
  return left === 'the order' ? ready.at(-1) : ready[0];
}

/** All that can happen next. */
export function* steps(state: State, rules: Rules): Generator<[string, State]> {
  if (state.kept < rules.pieces.length) {
    yield ['keep', { ...state, kept: state.kept + 1, store: [...state.store, state.kept] }];
  }
  for (let window = 0; window < rules.windows; window++) {
    yield* ofWindow(state, window, rules);
  }
  for (const entry of state.refused) {
    yield ['send again', { ...state, refused: without(state.refused, entry) }];
    yield [
      'give up',
      {
        ...state,
        refused: without(state.refused, entry),
        store: without(state.store, entry),
        givenUp: [...state.givenUp, entry],
      },
    ];
  }
  for (let i = 0; i < state.line.length; i++) {
    yield* ofMessage(state, i, rules);
  }
}

function* ofWindow(state: State, window: number, rules: Rules): Generator<[string, State]> {
  const sending = state.sends[window];
  if (sending === null) {
    const entry = next(state, rules);
    const mayStart = !rules.locks || state.sends.every((each) => each === null);
    if (entry !== undefined && mayStart) {
      const line: Message[] = [...state.line, { entry, window, stage: 'there' }];
      yield ['send', { ...state, sends: replaced(state.sends, window, entry), line }];
      if (rules.without === 'waiting for the answer') {
        // Taken off as soon as it is on its way.
        yield ['send and forget', { ...state, store: without(state.store, entry), line: forgotten(line, window) }];
      }
    }
  } else if (state.breaks > 0) {
    // It is closed, loaded anew, or tired of waiting; what it sent may still get there.
    yield [
      'break off',
      {
        ...state,
        breaks: state.breaks - 1,
        sends: replaced(state.sends, window, null),
        line: forgotten(state.line, window),
      },
    ];
  }
}

/** What a window gave up goes on to the server by itself; an answer to nobody is lost. */
function forgotten(line: readonly Message[], window: number): Message[] {
  return line
    .filter((message) => message.window !== window || message.stage === 'there')
    .map((message) => (message.window === window ? { ...message, window: null } : message));
}

function* ofMessage(state: State, i: number, rules: Rules): Generator<[string, State]> {
  const message = state.line[i];
  if (message === undefined) {
    return;
  }
  const { entry, window, stage } = message;
  const rest = state.line.filter((_, at) => at !== i);
  const back = (taken: boolean): Message[] =>
    window === null ? rest : [...rest, { entry, window, stage: 'back', taken }];
  if (stage === 'there') {
    const isThere = rules.without !== 'keys' && state.record.includes(entry);
    yield ['take', { ...state, record: isThere ? state.record : [...state.record, entry], line: back(true) }];
    if (!isThere && state.refusals > 0) {
      yield ['turn down', { ...state, refusals: state.refusals - 1, line: back(false) }];
    }
    if (state.breaks > 0) {
      // The line was cut on the way there, or the server was killed before it was on disk.
      yield ['lose', gaveUp({ ...state, breaks: state.breaks - 1, line: rest }, window)];
    }
    return;
  }
  if (state.breaks > 0) {
    // The line was cut on the way back, or the server was killed after it was on disk.
    yield ['lose the answer', gaveUp({ ...state, breaks: state.breaks - 1, line: rest }, window)];
  }
  const heard = gaveUp({ ...state, line: rest }, window);
  if (message.taken === true) {
    yield [
      'hear that it was taken',
      { ...heard, store: without(heard.store, entry), refused: without(heard.refused, entry) },
    ];
  } else {
    const waits = heard.store.includes(entry) && !heard.refused.includes(entry);
    yield ['hear that it was turned down', waits ? { ...heard, refused: [...heard.refused, entry] } : heard];
  }
}

function gaveUp(state: State, window: number | null): State {
  return window === null ? state : { ...state, sends: replaced(state.sends, window, null) };
}

/** What is wrong with a state; nothing if all is well. */
export function wrong({ kept, store, record, givenUp }: State, { pieces }: Rules): string | undefined {
  if (new Set(record).size !== record.length) {
    return 'doubled';
  }
  for (let entry = 0; entry < kept; entry++) {
    if (!store.includes(entry) && !record.includes(entry) && !givenUp.includes(entry)) {
      return 'lost';
    }
  }
  for (const piece of new Set(pieces)) {
    const ofPiece = record.filter((entry) => pieces[entry] === piece);
    // What was given up in between, and got there all the same, is where it was taken.
    const inOrder = ofPiece.filter((entry) => !givenUp.includes(entry));
    if (inOrder.some((entry, i) => i > 0 && entry < (inOrder[i - 1] ?? 0))) {
      return 'out of order';
    }
  }
  return undefined;
}

/** Everything was written down and is with the server, or was given up by somebody. */
export function isDone({ kept, store, line }: State, { pieces }: Rules): boolean {
  return kept === pieces.length && store.length === 0 && line.length === 0;
}
