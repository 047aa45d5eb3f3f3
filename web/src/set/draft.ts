import type { Schemas } from '../api/client';
import { newId } from '../api/newId';
import { INSERTION, type InputField, type Kind, kindOf } from '../bends/kinds';
import { inputsOfParts, type Parts, readParts } from '../bends/parts';
import { situationOf } from '../bends/situations';
import { type DisplayUnit, exactText, type QuantityKind } from '../entry/figures';
import { asSum, type Fitted, resummed, withFittings } from './fittings';
import { isRun, partInputs, roomInUnit, roomOf, type Thing } from './run';

/** What is being set, as typed and chosen. Nothing here calculates: the server's core lays it out. */
type Situation = Schemas['SituationAnswer'];

export interface Draft {
  title: string;
  level: Level;
  /** Words to find it by, with commas between them. */
  tags: string;
  kind: Kind;
  /** Id of the situation it was picked by; empty if it was not, or if another bend was chosen since. */
  situation: string;
  /** The ends of the conduit that go into a fitting. */
  fitted: Fitted;
  /** The unit that bare numbers in the texts are in. */
  unit: DisplayUnit;
  /** What stands in each input, by its name; inputs of the same name stay as they are when the kind changes. */
  texts: Readonly<Record<string, string>>;
  /** The clearance is what is missing to the whole inch, whatever becomes of the height or rise. */
  toWholeInch?: boolean;
  /** What was chosen, by the choice's name. */
  choices: Readonly<Record<string, string>>;
  /** The parts that a run has, by group; their texts and choices go by their paths. */
  parts: Parts;
  /** What stands in the room of a run. */
  room: readonly Thing[];
  method: 'chart' | 'exact';
  divisionIn: number;
  /** Empty for conduit and bender that came with the exercise and are not in the shed. */
  conduitId: string;
  benderId: string;
  brought: Brought | undefined;
  preset: string;
  /** A set of tolerances that came with the exercise; the shed may no longer offer it. */
  judgedBy: Schemas['ToleranceInput'] | undefined;
  /** Which features of the piece are read. */
  readings: ReadingsAsked;
  /** It is left to the trainee how the marks are found: then they are not judged. */
  methodFree: boolean;
  variation: Variation;
  /** The library's entry that it is saved as, with the version that was opened; who made it where only they may change it. */
  entry: { id: string; version: number | undefined; theirs?: string | undefined };
}

export type ReadingsAsked = Schemas['ExerciseInput']['readings'] & string;

export type Level = Schemas['ExerciseInput']['level'] & string;

/** Conduit and bender that an exercise has of its own. */
export interface Brought {
  conduitLabel: string;
  benderLabel: string;
  conduit: Schemas['ConduitInput'];
  bender: Schemas['BenderInput'];
}

/** How variants differ, as typed. */
export interface Variation {
  seed: string;
  /** By the input's name; inputs that are not named are the same for all. */
  ranges: Readonly<Record<string, { from: string; to: string; step: string }>>;
}

/** Sizes of inputs by name, inches or degrees; of what is no size yet, nothing. */
export type Sizes = Readonly<Record<string, number | undefined>>;

export const DIVISIONS: readonly { value: string; name: string }[] = [
  { value: String(1 / 8), name: '1/8 in' },
  { value: String(1 / 16), name: '1/16 in' },
  { value: String(1 / 32), name: '1/32 in' },
  { value: String(1 / 25.4), name: '1 mm' },
];

/** How it is laid out: what there is no chart for, exactly. */
export function methodOf({ kind, method }: Draft): Draft['method'] {
  return kindOf(kind).charted ? method : 'exact';
}

/** A good first exercise with what the shed has: the middle size of conduit and its first bender. */
export function firstDraft(shed: Schemas['Shed'], unit: DisplayUnit): Draft {
  // A device that was without signal may remember the shed from before schools were set up.
  const usual = shed.usual as Schemas['UsualDesk'] | undefined;
  const conduit = shed.conduits.find(({ label }) => label.startsWith('3/4')) ?? shed.conduits[0];
  return withKind(
    {
      title: '',
      level: 'first',
      tags: '',
      kind: 'stub90',
      situation: '',
      fitted: 'none',
      unit,
      texts: {},
      choices: {},
      parts: {},
      room: [],
      method: 'chart',
      // Whoever likes the school's unit begins with its tape.
      divisionIn: usual?.unit === unit ? usual.divisionIn : unit === 'mm' ? 1 / 25.4 : 1 / 16,
      conduitId: conduit?.id ?? '',
      benderId: bendersFor(shed, conduit?.id ?? '')[0]?.id ?? '',
      brought: undefined,
      preset: shed.tolerances.find(({ preset }) => preset === usual?.preset)?.preset ?? 'site',
      judgedBy: undefined,
      readings: 'all',
      methodFree: false,
      variation: { seed: '1', ranges: {} },
      entry: { id: newId(), version: undefined },
    },
    'stub90',
  );
}

/**
 * The same draft for another kind of bend, with a good first size for each input that has none.
 *
 * @param situations all there are: a title that only says one of them goes with it
 */
export function withKind(before: Draft, kind: Kind, situations: readonly Situation[] = []): Draft {
  const draft = before.fitted === 'none' ? before : withFittings(before, 'none', undefined);
  const { name, inputs } = kindOf(kind);
  const firsts = Object.fromEntries(inputs.map((input) => [input.name, input.first[draft.unit]]));
  // A box offset is a fraction of an ordinary rise, so its rise and angle begin anew; others keep what was typed. An
  // obstacle's clearance belongs to that obstacle.
  const typed = Object.entries(draft.texts).filter(([name]) => name !== 'clearanceIn');
  const kept = draft.kind === 'boxOffset' || kind === 'boxOffset' ? {} : Object.fromEntries(typed);
  return {
    ...draft,
    kind,
    situation: '',
    fitted: 'none',
    variation: { ...draft.variation, ranges: {} },
    // Another bend is another exercise, not a new version of this one.
    entry: kind === draft.kind ? draft.entry : { id: newId(), version: undefined },
    title: untitled(draft, situations) ? name : draft.title,
    texts: { ...draft.texts, ...firsts, ...kept },
  };
}

/** Whether the title is nobody's own: none, or only the name of the bend or the words of a situation. */
function untitled({ title, kind }: Draft, situations: readonly Situation[]): boolean {
  return title === '' || title === kindOf(kind).name || situations.some(({ words }) => words === title);
}

/**
 * The same draft for a situation: the bend that it proposes, with sizes that suit it.
 *
 * @param situations all there are: a title that only says one of them is nobody's own
 */
export function withSituation(draft: Draft, { id, words, kind }: Situation, situations: readonly Situation[]): Draft {
  const other = withKind({ ...draft, texts: {} }, kindOf(kind).kind);
  const offer = situationOf(id);
  const texts = Object.fromEntries(Object.entries(offer?.texts ?? {}).map(([name, text]) => [name, text[draft.unit]]));
  const there: Draft = {
    ...other,
    situation: id,
    title: untitled(draft, situations) ? words : draft.title,
    texts: { ...other.texts, insertionIn: INSERTION.first[draft.unit], ...texts },
    choices: { ...draft.choices, ...offer?.choices },
  };
  return offer?.box === undefined ? there : withFittings(there, offer.box, undefined);
}

/** An exercise of the library, opened. */
export function opened(
  shed: Schemas['Shed'],
  exercise: Schemas['ExerciseInput'],
  unit: DisplayUnit,
  entry: Draft['entry'],
): Draft {
  const start = firstDraft(shed, unit);
  const { definition, entered, variation } = exercise;
  const bend = (definition?.bend ?? {}) as unknown as Record<string, unknown>;
  const { kind, inputs, choices } = kindOf(typeof bend.kind === 'string' ? bend.kind : undefined);
  const sameUnit = (entered?.unit ?? 'in') === unit;
  const typed = sameUnit ? (entered?.texts ?? {}) : {};
  const text = (name: string, of: QuantityKind, value: unknown) =>
    typed[name] ?? (typeof value === 'number' ? (of === 'length' ? exactText(value, unit) : String(value)) : '');
  const read = readParts(kind, bend);
  const partTexts = [...read.sizes].map(([path, size]) => [
    path,
    text(path, path.endsWith('Deg') ? 'angle' : 'length', size),
  ]);
  const conduit = shed.conduits.find(({ label }) => label === exercise.conduitLabel);
  const bender = bendersFor(shed, conduit?.id ?? '').find(({ label }) => label === exercise.benderLabel);
  const known = bender !== undefined && sameFigures(bender.figures, definition?.bender ?? {});
  return {
    ...start,
    title: exercise.title ?? '',
    level: exercise.level ?? 'first',
    tags: (exercise.tags ?? []).join(', '),
    kind,
    situation: definition?.place?.situation ?? '',
    fitted: fittedOf(definition?.place),
    texts: {
      ...Object.fromEntries(inputs.map((input) => [input.name, text(input.name, input.kind, bend[input.name])])),
      ...Object.fromEntries(partTexts),
      insertionIn: text('insertionIn', 'length', insertionOf(definition?.place)) || INSERTION.first[unit],
    },
    choices: {
      ...Object.fromEntries(
        choices.flatMap(({ name }) => (typeof bend[name] === 'string' ? [[name, bend[name]]] : [])),
      ),
      ...read.choices,
    },
    parts: read.parts,
    room: roomOf(definition?.place?.room ?? [], unit),
    method: definition?.method ?? 'chart',
    divisionIn: definition?.tapeDivisionIn ?? start.divisionIn,
    conduitId: known ? (conduit?.id ?? '') : '',
    benderId: known ? bender.id : '',
    brought: {
      conduitLabel: exercise.conduitLabel ?? '',
      benderLabel: exercise.benderLabel ?? '',
      conduit: definition?.conduit ?? {},
      bender: definition?.bender ?? {},
    },
    preset: exercise.tolerances?.preset ?? start.preset,
    judgedBy: exercise.tolerances ?? undefined,
    readings: exercise.readings ?? 'all',
    methodFree: exercise.methodFree ?? false,
    variation: {
      seed: String(variation?.seed ?? 1),
      ranges: Object.fromEntries(
        (variation?.ranges ?? []).flatMap((range) => {
          const input = [...inputs, ...inputsOfParts(kind, read.parts)].find(({ name }) => name === range?.input);
          const size = (value: number | null | undefined) =>
            value == null ? '' : input?.kind === 'angle' ? String(value) : exactText(value, unit);
          return range == null || input === undefined
            ? []
            : [[input.name, { from: size(range.from), to: size(range.to), step: size(range.step) }]];
        }),
      ),
    },
    entry,
  };
}

type Place = Schemas['PlaceInput'] | null | undefined;

/** The ends in fittings that a place names, or else the one that its situation has in a box. */
function fittedOf(place: Place): Fitted {
  const start = place?.startInsertionIn != null;
  const end = place?.endInsertionIn != null;
  if (start || end) {
    return start && end ? 'both' : start ? 'start' : 'end';
  }
  return situationOf(place?.situation ?? '')?.box ?? 'none';
}

function insertionOf(place: Place): number | null | undefined {
  return place?.startInsertionIn ?? place?.endInsertionIn ?? place?.insertionIn;
}

function sameFigures(one: Schemas['BenderInput'], other: Schemas['BenderInput']): boolean {
  return (
    (one.kind ?? 'shoe') === (other.kind ?? 'shoe') &&
    (one.takeUpIn ?? null) === (other.takeUpIn ?? null) &&
    one.radiusIn === other.radiusIn &&
    JSON.stringify(one.springback ?? []) === JSON.stringify(other.springback ?? []) &&
    JSON.stringify(one.ramTravel ?? []) === JSON.stringify(other.ramTravel ?? [])
  );
}

/** The same draft for who prefers the other unit: what was typed as a length stays that length. */
export function inUnit(draft: Draft, unit: DisplayUnit, sizes: Sizes): Draft {
  const texts = { ...draft.texts };
  for (const { name, kind } of inputsOf(draft)) {
    const size = sizes[name];
    if (kind === 'length' && size !== undefined) {
      texts[name] = asSum(draft, name, size, sizes, (length) => exactText(length, unit));
    }
  }
  const converted = { ...draft, unit, texts, room: roomInUnit(draft.room, unit, sizes) };
  return sizes.insertionIn === undefined ? converted : resummed(converted, sizes.insertionIn);
}

export function bendersFor(shed: Schemas['Shed'], conduitId: string): Schemas['BenderView'][] {
  return shed.benders.filter((bender) => bender.conduitId === conduitId);
}

/** Conduit and bender of a draft, with what they are called. */
export function toolingOf(shed: Schemas['Shed'], draft: Draft): Brought | undefined {
  const conduit = shed.conduits.find(({ id }) => id === draft.conduitId);
  const bender = shed.benders.find(({ id }) => id === draft.benderId);
  return conduit === undefined || bender === undefined
    ? draft.brought
    : { conduitLabel: conduit.label, benderLabel: bender.label, conduit: conduit.figures, bender: bender.figures };
}

/** The inputs of a draft's kind, with those of its parts. */
export function bendInputs(draft: Draft): readonly InputField[] {
  return [...kindOf(draft.kind).inputs, ...partInputs(draft)];
}

/** The inputs of a draft's kind, and how deep an end goes into its fitting where there is one. */
export function inputsOf(draft: Draft): readonly InputField[] {
  const inputs = bendInputs(draft);
  return draft.fitted === 'none' ? inputs : [...inputs, INSERTION];
}

/** Whether there is less of it than can be laid out: a run has two legs at least. */
export function isTooShort(draft: Draft): boolean {
  return isRun(draft) && (draft.parts.legs ?? []).length < 2;
}

/** What must be a size before anything can be laid out, and is left empty. */
export function missingFrom(draft: Draft): readonly InputField[] {
  return inputsOf(draft).filter(({ name, optional }) => optional !== true && (draft.texts[name] ?? '').trim() === '');
}

/** What is chosen: the first option unless another of them was. */
export function chosen(draft: Draft, name: string, options: readonly { value: string }[]): string {
  const value = draft.choices[name];
  return options.some((option) => option.value === value) && value !== undefined ? value : (options[0]?.value ?? '');
}
