/** A run on the desk: its legs, what lies on them, and the room around it, as typed and chosen. Pure; the core lays it out. */

import type { Schemas } from '../api/client';
import type { InputField } from '../bends/kinds';
import { inputsOfPart, type Part, partsOf, READINGS, readParts, withoutPart } from '../bends/parts';
import { exactText } from '../entry/figures';
import type { Draft, Sizes } from './draft';

export type Towards = 'right' | 'left' | 'up' | 'down' | 'out' | 'in';

/** A direction with how it is pressed and said. */
export interface Direction {
  towards: Towards;
  /** Key that draws a leg this way. */
  key: string;
  /** The key as it is written on a keyboard. */
  keyName: string;
  sign: string;
  words: string;
}

export const DIRECTIONS: readonly Direction[] = [
  { towards: 'right', key: 'ArrowRight', keyName: '→', sign: '→', words: 'to the right' },
  { towards: 'left', key: 'ArrowLeft', keyName: '←', sign: '←', words: 'to the left' },
  { towards: 'up', key: 'ArrowUp', keyName: '↑', sign: '↑', words: 'up' },
  { towards: 'down', key: 'ArrowDown', keyName: '↓', sign: '↓', words: 'down' },
  { towards: 'out', key: 'PageDown', keyName: 'Pg Dn', sign: '↙', words: 'out of the wall' },
  { towards: 'in', key: 'PageUp', keyName: 'Pg Up', sign: '↗', words: 'into the wall' },
];

/** Right, up, out of the wall. */
export const VECTORS: Readonly<Record<Towards, readonly [number, number, number]>> = {
  right: [1, 0, 0],
  left: [-1, 0, 0],
  up: [0, 1, 0],
  down: [0, -1, 0],
  out: [0, 0, 1],
  in: [0, 0, -1],
};

export const MOST_LEGS = 9;

export interface Leg {
  number: number;
  part: Part;
  towards: Towards;
  /** Whether it is measured by two readings of one surface. */
  readings: boolean;
}

/** Whether what is on the desk has legs. */
export function isRun({ kind }: Draft): boolean {
  return kind === 'run';
}

export function legsOf(draft: Draft): Leg[] {
  return partsOf(draft.kind, draft.parts)
    .filter(({ group }) => group === 'legs')
    .map((part) => ({
      number: part.index + 1,
      part,
      towards: towardsAt(draft, part.path),
      readings: part.sort === READINGS,
    }));
}

export function towardsAt(draft: Draft, path: string): Towards {
  return (draft.choices[`${path}/towards`] ?? 'right') as Towards;
}

/** Inputs of all parts, with their paths. */
export function partInputs(draft: Draft): InputField[] {
  return partsOf(draft.kind, draft.parts).flatMap((part) => inputsOfPart(part, legOf(draft, part)));
}

/** The number of the leg that a part lies on. */
export function legOf(draft: Draft, { path, group }: Part): number | undefined {
  return group === 'along' ? Number(draft.choices[`${path}/leg`] ?? 1) : undefined;
}

export function isSquare(one: Towards, other: Towards): boolean {
  return VECTORS[one].every((value, axis) => value * VECTORS[other][axis as 0 | 1 | 2] === 0);
}

/** Why a leg cannot go on this way; nothing where it can. */
export function whyNot(draft: Draft, towards: Towards): string | undefined {
  const legs = legsOf(draft);
  const last = legs.at(-1);
  if (last === undefined || isSquare(last.towards, towards)) {
    return legs.length < MOST_LEGS ? undefined : `A run has at most ${String(MOST_LEGS)} legs.`;
  }
  const way = DIRECTIONS.find((each) => each.towards === last.towards)?.words ?? '';
  return `Leg ${String(last.number)} runs ${way}: the next turns off square. For another length, write it at its dimension.`;
}

/** One leg more; its length is to be written. */
export function withLeg(draft: Draft, towards: Towards): Draft {
  if (whyNot(draft, towards) !== undefined) {
    return draft;
  }
  const legs = draft.parts.legs ?? [];
  const path = `legs/${String(legs.length)}`;
  return settled({
    ...draft,
    parts: { ...draft.parts, legs: [...legs, ''] },
    texts: { ...draft.texts, [`${path}/lengthIn`]: '', [`${path}/playIn`]: '0' },
    choices: { ...draft.choices, [`${path}/towards`]: towards },
  });
}

/** Without its last leg, and what lies on it. */
export function withoutLastLeg(draft: Draft): Draft {
  const legs = draft.parts.legs ?? [];
  return legs.length === 0 ? draft : settled(withoutOne(withoutOn(draft, legs.length), 'legs', legs.length - 1));
}

/** Without one part of a list. */
export function withoutOne(draft: Draft, group: string, index: number): Draft {
  return {
    ...draft,
    parts: { ...draft.parts, [group]: (draft.parts[group] ?? []).filter((_, i) => i !== index) },
    texts: withoutPart(draft.texts, group, index),
    choices: withoutPart(draft.choices, group, index),
  };
}

function withoutOn(draft: Draft, leg: number): Draft {
  const on = partsOf(draft.kind, draft.parts).find((part) => part.group === 'along' && legOf(draft, part) === leg);
  return on === undefined ? draft : withoutOne(draft, 'along', on.index);
}

/** A leg that runs another way; what lies on it turns square to it. */
export function turnedLeg(draft: Draft, number: number, towards: Towards): Draft {
  return settled({
    ...draft,
    choices: { ...draft.choices, [`legs/${String(number - 1)}/towards`]: towards },
  });
}

/** Which ways a leg may run between its neighbours. */
export function waysOf(draft: Draft, number: number): Direction[] {
  const legs = legsOf(draft);
  const beside = [legs[number - 2], legs[number]].filter((leg) => leg !== undefined);
  return DIRECTIONS.filter(({ towards }) => beside.every((leg) => isSquare(leg.towards, towards)));
}

/** Measured by two readings of one surface, or outright again. */
export function withReadings(draft: Draft, number: number, readings: boolean, size: number | undefined): Draft {
  const path = `legs/${String(number - 1)}`;
  const sorts = (draft.parts.legs ?? []).map((sort, i) => (i === number - 1 ? (readings ? READINGS : '') : sort));
  const known = size === undefined ? '' : exactText(size, draft.unit);
  return {
    ...draft,
    parts: { ...draft.parts, legs: sorts },
    texts: readings
      ? { ...draft.texts, [`${path}/readFromIn`]: known === '' ? '' : '0', [`${path}/readToIn`]: known }
      : { ...draft.texts, [`${path}/lengthIn`]: known },
  };
}

export type RunEnd = 'startOffset' | 'endOffset';

/** The offset at a box put there, or taken away. */
export function withBoxOffset(draft: Draft, end: RunEnd): Draft {
  const has = (draft.parts[end] ?? []).length > 0;
  return has
    ? settled({ ...draft, parts: { ...draft.parts, [end]: [] } })
    : settled(
        withFirsts({
          ...draft,
          parts: { ...draft.parts, [end]: [''] },
          // From the knockout back to the wall, and from the wall out to the knockout.
          choices: { ...draft.choices, [`${end}/towards`]: end === 'startOffset' ? 'in' : 'out' },
        }),
      );
}

/** An offset or a saddle on a leg; of what lies there already, nothing is left. */
export function withOnLeg(draft: Draft, leg: number, sort: string): Draft {
  const without = withoutOn(draft, leg);
  if (sort === '') {
    return settled(without);
  }
  const along = without.parts.along ?? [];
  const path = `along/${String(along.length)}`;
  return settled(
    withFirsts({
      ...without,
      parts: { ...without.parts, along: [...along, sort] },
      choices: { ...without.choices, [`${path}/leg`]: String(leg), [`${path}/towards`]: 'out' },
    }),
  );
}

/** Every input that was never written of a part gets a good first size; a leg's length is always somebody's own. */
export function withFirsts(draft: Draft): Draft {
  const firsts = partInputs(draft)
    .filter(({ name }) => draft.texts[name] === undefined)
    .map(({ name, first }) => [name, name.startsWith('legs/') && name.endsWith('lengthIn') ? '' : first[draft.unit]]);
  return { ...draft, texts: { ...(Object.fromEntries(firsts) as Record<string, string>), ...draft.texts } };
}

/** How a bend is made: its number from the datum end, and the side that the hook looks to. */
export interface Made {
  bend: number;
  hookTowards: 'datum' | 'far';
}

/** Its bends made in an order of one's own. */
export function inOrder(draft: Draft, order: readonly Made[]): Draft {
  const said = order.flatMap(({ bend, hookTowards }, i) => [
    [`order/${String(i)}/bend`, String(bend)] as const,
    [`order/${String(i)}/hookTowards`, hookTowards] as const,
  ]);
  return {
    ...draft,
    parts: { ...draft.parts, order: order.map(() => '') },
    choices: { ...draft.choices, ...Object.fromEntries(said) },
  };
}

/** The order is the core's to find. */
export function inProposedOrder(draft: Draft): Draft {
  return { ...draft, parts: { ...draft.parts, order: [] } };
}

/** Whether somebody has said in which order it is bent. */
export function hasOwnOrder(draft: Draft): boolean {
  return (draft.parts.order ?? []).length > 0;
}

/**
 * What lies on a leg, or at a box, moves the conduit square to its leg: where it does not, to the first side that is. An order that was
 * said is of other bends now, and is found anew.
 */
function settled(draft: Draft): Draft {
  const legs = legsOf(draft);
  const choices = { ...draft.choices };
  for (const part of partsOf(draft.kind, draft.parts)) {
    const leg =
      part.group === 'startOffset'
        ? legs[0]
        : part.group === 'endOffset'
          ? legs.at(-1)
          : part.group === 'along'
            ? legs[(legOf(draft, part) ?? 1) - 1]
            : undefined;
    if (leg !== undefined && !isSquare(towardsAt(draft, part.path), leg.towards)) {
      const side = DIRECTIONS.find(({ towards }) => isSquare(towards, leg.towards));
      choices[`${part.path}/towards`] = side?.towards ?? 'up';
    }
  }
  return inProposedOrder({ ...draft, choices });
}

/** The run as the core rearranged it: mirrored, or from its other end. */
export function rearranged(draft: Draft, { bend, room }: Schemas['RearrangeAnswer']): Draft {
  const said = bend as unknown as Record<string, unknown>;
  const { parts, sizes, choices } = readParts(draft.kind, said);
  const texts = Object.fromEntries(
    [...sizes].map(([path, size]) => [path, path.endsWith('Deg') ? String(size) : exactText(size, draft.unit)]),
  );
  const own = ['startInsertionIn', 'endInsertionIn'].flatMap((name) =>
    typeof said[name] === 'number' ? [[name, exactText(said[name], draft.unit)] as const] : [],
  );
  return {
    ...draft,
    parts: { ...draft.parts, order: [], ...parts },
    texts: { ...draft.texts, ...texts, ...Object.fromEntries(own) },
    choices: { ...draft.choices, ...choices },
    room: roomOf(room, draft.unit),
  };
}

/** Something in the room, as typed. */
export interface Thing {
  kind: SolidKind;
  texts: Readonly<Record<string, string>>;
}

export type SolidKind = NonNullable<Schemas['SolidInput']['kind']>;

/** What may stand in a room; a surface has only its distance. */
export const SOLIDS: readonly { kind: SolidKind; name: string; surface: boolean; first: Record<string, string> }[] = [
  { kind: 'wall', name: 'Wall', surface: true, first: { awayIn: '1' } },
  { kind: 'leftWall', name: 'Wall to the left', surface: true, first: { awayIn: '24' } },
  { kind: 'rightWall', name: 'Wall to the right', surface: true, first: { awayIn: '72' } },
  { kind: 'ceiling', name: 'Ceiling', surface: true, first: { awayIn: '48' } },
  { kind: 'floor', name: 'Floor', surface: true, first: { awayIn: '48' } },
  { kind: 'wallBehind', name: 'Wall behind', surface: true, first: { awayIn: '96' } },
  { kind: 'column', name: 'Column', surface: false, first: sized(24, -24, -1, 6, 72, 6) },
  { kind: 'door', name: 'Door', surface: false, first: sized(24, -48, -1, 34, 80, 3) },
  { kind: 'window', name: 'Window', surface: false, first: sized(24, -12, -1, 36, 48, 3) },
  { kind: 'duct', name: 'Duct', surface: false, first: sized(12, 24, -1, 48, 10, 14) },
  { kind: 'beam', name: 'Beam', surface: false, first: sized(0, 36, -1, 96, 8, 6) },
  { kind: 'cabinet', name: 'Cabinet', surface: false, first: sized(12, -30, -1, 20, 24, 8) },
];

function sized(rightIn: number, upIn: number, outIn: number, widthIn: number, heightIn: number, depthIn: number) {
  return Object.fromEntries(
    Object.entries({ rightIn, upIn, outIn, widthIn, heightIn, depthIn }).map(([name, size]) => [name, String(size)]),
  );
}

export const SURFACE_FIELDS = [{ name: 'awayIn', label: 'From the start', signed: true }] as const;

export const BLOCK_FIELDS = [
  { name: 'rightIn', label: 'Left edge', signed: true },
  { name: 'upIn', label: 'Lower edge', signed: true },
  { name: 'outIn', label: 'Rear edge', signed: true },
  { name: 'widthIn', label: 'Width', signed: false },
  { name: 'heightIn', label: 'Height', signed: false },
  { name: 'depthIn', label: 'Depth', signed: false },
] as const;

export function solidOf(kind: SolidKind) {
  return SOLIDS.find((each) => each.kind === kind);
}

export function fieldsOfThing(kind: SolidKind) {
  return solidOf(kind)?.surface === true ? SURFACE_FIELDS : BLOCK_FIELDS;
}

/** A thing more in the room; sizes that are typed in inches are what is usual there. */
export function withThing(draft: Draft, kind: SolidKind): Draft {
  const first = solidOf(kind)?.first ?? {};
  const texts = Object.fromEntries(
    Object.entries(first).map(([name, inches]) => [
      name,
      draft.unit === 'mm' ? String(Math.round(Number(inches) * 25)) : inches,
    ]),
  );
  return { ...draft, room: [...draft.room, { kind, texts }] };
}

export function roomOf(room: readonly (Schemas['SolidInput'] | null)[], unit: Draft['unit']): Thing[] {
  return room.flatMap((solid) => {
    const kind = solid?.kind;
    return solid == null || kind == null
      ? []
      : [
          {
            kind,
            texts: Object.fromEntries(
              fieldsOfThing(kind).map(({ name }) => [name, signedText(solid[name] ?? 0, unit)]),
            ),
          },
        ];
  });
}

/** The same room written in another unit; what is no size stays as it is written. */
export function roomInUnit(room: readonly Thing[], unit: Draft['unit'], sizes: Sizes): Thing[] {
  return room.map(({ kind, texts }, i) => ({
    kind,
    texts: Object.fromEntries(
      Object.entries(texts).map(([name, text]) => {
        const size = sizes[thingPath(i, name)];
        return [name, size === undefined ? text : signedText(size, unit)];
      }),
    ),
  }));
}

function signedText(inches: number, unit: Draft['unit']): string {
  return inches < 0 ? `-${exactText(-inches, unit)}` : exactText(inches, unit);
}

/** The name by which the size of a thing goes among all sizes. */
export function thingPath(index: number, name: string): string {
  return `room/${String(index)}/${name}`;
}

/** What stands in the room as a request writes it; nothing while something of it is no size. */
export function writtenRoom({ room }: Draft, sizes: Sizes): Schemas['SolidInput'][] | undefined {
  const written: Schemas['SolidInput'][] = [];
  for (const [i, { kind }] of room.entries()) {
    const known = fieldsOfThing(kind).map(({ name }) => [name, sizes[thingPath(i, name)]] as const);
    if (known.some(([, size]) => size === undefined)) {
      return undefined;
    }
    written.push({ kind, ...Object.fromEntries(known) });
  }
  return written;
}
