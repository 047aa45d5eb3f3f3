import { describe, expect, it } from 'vitest';
import { first, isDone, type Rules, type State, steps, wrong } from './protocol';

interface Found {
  states: number;
  wrong: string | undefined;
  /** States from which there is no way to everything having arrived. */
  stuck: number;
}

/** Goes through every state that there can be, and asks of each whether there is a way on to the end. */
function through(rules: Rules, breaks: number, refusals: number): Found {
  const known = new Map<string, number>();
  const all: State[] = [];
  const from: number[][] = [];
  const number = (state: State): number => {
    const text = JSON.stringify(state);
    const before = known.get(text);
    if (before !== undefined) {
      return before;
    }
    known.set(text, all.length);
    all.push(state);
    from.push([]);
    return all.length - 1;
  };
  number(first(rules, breaks, refusals));
  for (let at = 0; at < all.length; at++) {
    const state = all[at] as State;
    const fault = wrong(state, rules);
    if (fault !== undefined) {
      return { states: all.length, wrong: fault, stuck: 0 };
    }
    for (const [, then] of steps(state, rules)) {
      from[number(then)]?.push(at);
    }
  }
  const arrives = new Set<number>();
  const open = all.flatMap((state, i) => (isDone(state, rules) ? [i] : []));
  while (open.length > 0) {
    const at = open.pop() as number;
    if (!arrives.has(at)) {
      arrives.add(at);
      open.push(...(from[at] ?? []));
    }
  }
  return { states: all.length, wrong: undefined, stuck: all.length - arrives.size };
}

const ONE_PIECE = [0, 0, 0];
const TWO_PIECES = [0, 1, 0];

describe('the protocol of the outbox', () => {
  it.each<[string, Rules, number, number]>([
    ['one window, one piece', { pieces: ONE_PIECE, windows: 1, locks: true }, 4, 2],
    ['one window, two pieces', { pieces: TWO_PIECES, windows: 1, locks: true }, 4, 2],
    ['two windows that take turns', { pieces: ONE_PIECE, windows: 2, locks: true }, 3, 1],
    ['two windows that take turns, two pieces', { pieces: TWO_PIECES, windows: 2, locks: true }, 3, 1],
  ])('%s: nothing is lost, doubled or out of order, and there is always a way on', (_, rules, breaks, refusals) => {
    const found = through(rules, breaks, refusals);
    expect(found).toMatchObject({ wrong: undefined, stuck: 0 });
    expect(found.states).toBeGreaterThan(1_000);
  });

  it.each<[string, Rules, number, number]>([
    ['one piece', { pieces: [0, 0], windows: 2, locks: false }, 3, 1],
    ['two pieces', { pieces: TWO_PIECES, windows: 2, locks: false }, 2, 1],
  ])(
    'two windows at an address that is not secure, %s: nothing is lost or doubled either',
    (_, rules, breaks, refusals) => {
      expect(through(rules, breaks, refusals)).toMatchObject({ wrong: undefined, stuck: 0 });
    },
  );

  it.each<[NonNullable<Rules['without']>, string]>([
    ['keys', 'doubled'],
    ['waiting for the answer', 'lost'],
    ['the order', 'out of order'],
    ['holding back', 'out of order'],
  ])('without %s it would be %s, and the model says so', (left, fault) => {
    expect(through({ pieces: ONE_PIECE, windows: 1, locks: true, without: left }, 2, 1).wrong).toBe(fault);
  });
});
