import type { Schemas } from '../api/client';
import type { LayoutRequest } from '../api/queries';
import { type BendInput, type Kind, kindOf } from '../bends/kinds';
import { type DisplayUnit, inchParts, millimetreParts, partsToText } from '../entry/figures';

/** What is being set, as typed and chosen. Nothing here calculates: the server's core lays it out. */
export interface Draft {
  title: string;
  kind: Kind;
  /** The unit that bare numbers in the texts are in. */
  unit: DisplayUnit;
  /** What stands in each input, by its name; inputs of the same name stay as they are when the kind changes. */
  texts: Readonly<Record<string, string>>;
  /** What was chosen, by the choice's name. */
  choices: Readonly<Record<string, string>>;
  method: 'chart' | 'exact';
  divisionIn: number;
  conduitId: string;
  benderId: string;
  preset: string;
}

/** Sizes of inputs by name, inches or degrees; of what is no size yet, nothing. */
export type Sizes = Readonly<Record<string, number | undefined>>;

export const DIVISIONS: readonly { value: string; name: string }[] = [
  { value: String(1 / 8), name: '1/8 in' },
  { value: String(1 / 16), name: '1/16 in' },
  { value: String(1 / 32), name: '1/32 in' },
  { value: String(1 / 25.4), name: '1 mm' },
];

/** A good first exercise with what the shed has: the middle size of conduit and its first bender. */
export function firstDraft(shed: Schemas['Shed'], unit: DisplayUnit): Draft {
  const conduit = shed.conduits.find(({ label }) => label.startsWith('3/4')) ?? shed.conduits[0];
  return withKind(
    {
      title: '',
      kind: 'stub90',
      unit,
      texts: {},
      choices: {},
      method: 'chart',
      divisionIn: unit === 'mm' ? 1 / 25.4 : 1 / 16,
      conduitId: conduit?.id ?? '',
      benderId: bendersFor(shed, conduit?.id ?? '')[0]?.id ?? '',
      preset: 'site',
    },
    'stub90',
  );
}

/** The same draft for another kind of bend, with a good first size for each input that has none. */
export function withKind(draft: Draft, kind: Kind): Draft {
  const { name, inputs } = kindOf(kind);
  const firsts = Object.fromEntries(inputs.map((input) => [input.name, input.first[draft.unit]]));
  // A box offset is a fraction of an ordinary rise, so its rise and angle begin anew; others keep what was typed. An
  // obstacle's clearance belongs to that obstacle.
  const typed = Object.entries(draft.texts).filter(([name]) => name !== 'clearanceIn');
  const kept = draft.kind === 'boxOffset' || kind === 'boxOffset' ? {} : Object.fromEntries(typed);
  return {
    ...draft,
    kind,
    title: draft.title === '' || draft.title === kindOf(draft.kind).name ? name : draft.title,
    texts: { ...draft.texts, ...firsts, ...kept },
  };
}

/** The same draft for who prefers the other unit: what was typed as a length stays that length. */
export function inUnit(draft: Draft, unit: DisplayUnit, sizes: Sizes): Draft {
  const texts = { ...draft.texts };
  for (const { name, kind } of kindOf(draft.kind).inputs) {
    const size = sizes[name];
    if (kind === 'length' && size !== undefined) {
      texts[name] = exactText(size, unit);
    }
  }
  return { ...draft, unit, texts };
}

/** A length without rounding it to a tape: a fraction if it is one, else decimals. */
function exactText(inches: number, unit: DisplayUnit): string {
  if (unit === 'mm') {
    return partsToText(millimetreParts(inches, 3));
  }
  const sixtyFourths = inches * 64;
  return Math.abs(sixtyFourths - Math.round(sixtyFourths)) < 1e-6
    ? partsToText(inchParts(inches, 64))
    : String(Math.round(inches * 1e4) / 1e4);
}

export function bendersFor(shed: Schemas['Shed'], conduitId: string): Schemas['BenderView'][] {
  return shed.benders.filter((bender) => bender.conduitId === conduitId);
}

/** The question to the core, once everything that must be a size is one. */
export function layoutRequest(shed: Schemas['Shed'], draft: Draft, sizes: Sizes): LayoutRequest | undefined {
  const conduit = shed.conduits.find(({ id }) => id === draft.conduitId);
  const bender = shed.benders.find(({ id }) => id === draft.benderId);
  const { kind, inputs, choices } = kindOf(draft.kind);
  const open = inputs.filter(({ name }) => sizes[name] === undefined);
  if (
    conduit === undefined ||
    bender === undefined ||
    open.some(({ name, optional }) => optional !== true || (draft.texts[name] ?? '').trim() !== '')
  ) {
    return undefined;
  }
  const bend = {
    kind,
    ...Object.fromEntries(inputs.map(({ name }) => [name, sizes[name] ?? null])),
    ...Object.fromEntries(choices.map(({ name, options }) => [name, chosen(draft, name, options)])),
  };
  return {
    method: draft.method,
    tapeDivisionIn: draft.divisionIn,
    conduit: conduit.figures,
    bender: bender.figures,
    // Inputs and choices of a kind are those of its record in the interface; the table is held to it by a test.
    bend: bend as BendInput,
  };
}

/** What is chosen: the first option unless another of them was. */
export function chosen(draft: Draft, name: string, options: readonly { value: string }[]): string {
  const value = draft.choices[name];
  return options.some((option) => option.value === value) && value !== undefined ? value : (options[0]?.value ?? '');
}
