/** Undo and redo of a value. Pure. */

export interface History<T> {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** What was changed last and when, so that one figure being typed is one step. */
  readonly last: { what: string; at: number } | undefined;
}

/** Keys pressed within this time, about the same thing, are one step. */
const ONE_STEP_MS = 1500;
const MOST_STEPS = 200;

export function begin<T>(present: T): History<T> {
  return { past: [], present, future: [], last: undefined };
}

/**
 * A change.
 *
 * @param what it is about, such as an input's name
 * @param at time in milliseconds
 */
export function changed<T>(history: History<T>, next: T, what: string, at: number): History<T> {
  if (next === history.present) {
    return history;
  }
  const { last } = history;
  const goesOn = last !== undefined && last.what === what && at - last.at < ONE_STEP_MS;
  return {
    past: goesOn ? history.past : [...history.past, history.present].slice(-MOST_STEPS),
    present: next,
    future: [],
    last: { what, at },
  };
}

/** A change that is no step of its own: nobody wants to take it back. */
export function amended<T>(history: History<T>, next: T): History<T> {
  return { ...history, present: next };
}

export function undone<T>(history: History<T>): History<T> {
  const before = history.past.at(-1);
  return before === undefined
    ? history
    : {
        past: history.past.slice(0, -1),
        present: before,
        future: [history.present, ...history.future],
        last: undefined,
      };
}

export function redone<T>(history: History<T>): History<T> {
  const [next, ...future] = history.future;
  return next === undefined
    ? history
    : { past: [...history.past, history.present], present: next, future, last: undefined };
}
