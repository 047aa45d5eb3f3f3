/** Ends of the conduit that go into a fitting: what goes in is added to every size that is measured to that end. Pure. */

import { type End, INSERTION, type InputField, kindOf } from '../bends/kinds';
import { situationOf } from '../bends/situations';
import { exactText } from '../entry/figures';
import type { Draft, Sizes } from './draft';
import { takeOffOf, takeOffText } from './takeOff';

/** Which ends stand in a fitting. */
export type Fitted = 'none' | End | 'both';

/** What is usual, in inches, as it stands in the field's first text. */
const USUAL_IN = { in: 5 / 8, mm: 16 / 25.4 } as const;

const ENDS: Readonly<Record<Fitted, readonly End[]>> = {
  none: [],
  start: ['start'],
  end: ['end'],
  both: ['start', 'end'],
};

/** The ends that stand in a fitting. */
export function endsOf(fitted: Fitted): readonly End[] {
  return ENDS[fitted];
}

/** In how many fittings the ends stand that a size is measured to. */
function times({ ends = [] }: InputField, fitted: Fitted): number {
  return ends.filter((end) => ENDS[fitted].includes(end)).length;
}

/** The draft with these ends in fittings: every size that is measured to one has what goes in added, or no more. */
export function withFittings(before: Draft, fitted: Fitted, known: number | undefined): Draft {
  // Whoever says for the first time that an end goes into a fitting has not said how far.
  const unsaid = fitted !== 'none' && (before.texts.insertionIn ?? '').trim() === '';
  const draft = unsaid ? { ...before, texts: { ...before.texts, insertionIn: INSERTION.first[before.unit] } } : before;
  const insertionIn = unsaid ? USUAL_IN[before.unit] : known;
  const texts = { ...draft.texts };
  for (const input of kindOf(draft.kind).inputs) {
    const text = texts[input.name] ?? '';
    if (input.ends !== undefined && text.trim() !== '') {
      texts[input.name] = takeOffText({ ...takeOffOf(text), insertion: goesIn(draft, input, fitted, insertionIn) });
    }
  }
  // A situation whose box nothing goes into is another one.
  const box = situationOf(draft.situation)?.box;
  const situation = box === undefined || ENDS[fitted].includes(box) ? draft.situation : '';
  return { ...draft, situation, fitted, texts };
}

/** What goes into the fittings that a size is measured to, as it is written; nothing while it is no size. */
function goesIn(draft: Draft, input: InputField, fitted: Fitted, insertionIn: number | undefined): string {
  switch (times(input, fitted)) {
    case 0:
      return '';
    case 1:
      return draft.texts.insertionIn ?? '';
    default:
      return insertionIn === undefined ? '' : exactText(2 * insertionIn, draft.unit);
  }
}

/** The draft with another insertion in every sum that has one; a size that has none stays as it was written. */
export function resummed(draft: Draft, insertionIn: number): Draft {
  const texts = { ...draft.texts };
  for (const input of kindOf(draft.kind).inputs) {
    const parts = takeOffOf(texts[input.name] ?? '');
    if (parts.insertion !== '' && times(input, draft.fitted) > 0) {
      texts[input.name] = takeOffText({ ...parts, insertion: goesIn(draft, input, draft.fitted, insertionIn) });
    }
  }
  return { ...draft, texts };
}

/** Sizes that are measured to a fitting, and have nothing added for it. */
export function without(draft: Draft): readonly InputField[] {
  return kindOf(draft.kind).inputs.filter((input) => {
    const text = draft.texts[input.name] ?? '';
    return times(input, draft.fitted) > 0 && text.trim() !== '' && takeOffOf(text).insertion === '';
  });
}

/** How a size is written where the one before was a sum: with the same insertion, if there is anything left without it. */
export function asSum(draft: Draft, name: string, size: number, sizes: Sizes, write: (size: number) => string): string {
  const input = kindOf(draft.kind).inputs.find((each) => each.name === name);
  const { insertion, near } = takeOffOf(draft.texts[name] ?? '');
  const inserted = input === undefined ? 0 : times(input, draft.fitted) * (sizes.insertionIn ?? 0);
  return insertion === '' || near !== '' || inserted === 0 || size <= inserted
    ? write(size)
    : takeOffText({ far: write(size - inserted), near: '', play: '', insertion });
}
