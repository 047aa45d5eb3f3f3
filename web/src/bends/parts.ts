/**
 * The parts that a kind of bend has, such as the legs of a run: which there are, and what each asks for. Sizes and choices of a
 * part go by its path, `legs/0/lengthIn`, as the calculation interface names them. Pure.
 */

import type { Schemas } from '../api/client';
import { type InputField, type Kind, kindOf } from './kinds';

/** By group, the sort of each part; a leg that is measured by two readings of one surface is of the sort `readings`. */
export type Parts = Readonly<Record<string, readonly string[]>>;

export type Texts = Readonly<Record<string, string>>;

export const READINGS = 'readings';

/** One part of a bend. */
export interface Part {
  group: string;
  index: number;
  /** `legs/0`, or `startOffset` where there is only one. */
  path: string;
  sort: string;
  asks: Schemas['SortAnswer'];
}

/** All parts that there are, group by group. */
export function partsOf(kind: Kind, parts: Parts): Part[] {
  return kindOf(kind).groups.flatMap((group) =>
    (parts[group.name] ?? []).flatMap((sort, index) => {
      const asks = group.sorts.find((each) => each.sort === sort) ?? group.sorts[0];
      const path = group.list ? `${group.name}/${String(index)}` : group.name;
      return asks === undefined ? [] : [{ group: group.name, index, path, sort, asks }];
    }),
  );
}

/** The inputs of a part, by their paths; a leg has either its length or its two readings, and then has to have them. */
export function inputsOfPart(part: Part, leg?: number): InputField[] {
  const isLeg = part.group === 'legs';
  const open = isLeg ? (part.sort === READINGS ? ['lengthIn'] : ['readFromIn', 'readToIn']) : [];
  return part.asks.inputs
    .filter(({ name }) => !open.includes(name))
    .map((input) => ({
      ...input,
      name: `${part.path}/${input.name}`,
      label: labelOf(part, input, leg),
      optional: isLeg ? false : input.optional,
      at: null,
    }));
}

/** The inputs of all parts. */
export function inputsOfParts(kind: Kind, parts: Parts): InputField[] {
  return partsOf(kind, parts).flatMap((part) => inputsOfPart(part));
}

function labelOf({ group, index }: Part, { name, label }: InputField, leg: number | undefined): string {
  switch (group) {
    case 'legs':
      return name === 'lengthIn'
        ? `Leg ${String(index + 1)}`
        : name === 'playIn'
          ? `Play, leg ${String(index + 1)}`
          : `${label}, leg ${String(index + 1)}`;
    case 'startOffset':
      return `${label} at the start`;
    case 'endOffset':
      return `${label} at the end`;
    default:
      return `${label} on leg ${String(leg ?? index + 1)}`;
  }
}

/** The texts, or choices, of everything but one part; those of the parts behind it move up. */
export function withoutPart(texts: Texts, group: string, index: number): Texts {
  return Object.fromEntries(
    Object.entries(texts).flatMap(([name, text]) => {
      const [head, number = '', ...rest] = name.split('/');
      // A group of which there is only one has no numbers.
      if (head !== group || rest.length === 0) {
        return [[name, text]];
      }
      const at = Number(number);
      return at === index ? [] : [[[group, at > index ? at - 1 : at, ...rest].join('/'), text]];
    }),
  );
}

/** What is said of one part, as a request writes it: a size or a choice by its name. */
type Said = Record<string, unknown>;

/** The parts of a bend as a request writes them. */
export function writtenParts(
  kind: Kind,
  parts: Parts,
  size: (path: string) => number | undefined,
  chosen: (path: string, options: readonly { value: string }[]) => string,
): Said {
  const written: Said = {};
  for (const group of kindOf(kind).groups) {
    const said = partsOf(kind, parts)
      .filter((part) => part.group === group.name)
      .map((part) => ({
        ...(part.asks.sort === '' ? {} : { kind: part.asks.sort }),
        ...Object.fromEntries(
          inputsOfPart(part).flatMap(({ name }) => {
            const value = size(name);
            return value === undefined ? [] : [[lastOf(name), value]];
          }),
        ),
        ...Object.fromEntries(
          part.asks.counts.map(({ name, least }) => [name, Number(chosen(`${part.path}/${name}`, [])) || least]),
        ),
        ...Object.fromEntries(
          part.asks.choices.map(({ name, options }) => [name, chosen(`${part.path}/${name}`, options)]),
        ),
      }));
    if (group.list) {
      // An order that nobody has chosen is left for the core to find.
      if (said.length > 0 || group.name === 'legs') {
        written[group.name] = said;
      }
    } else if (said[0] !== undefined) {
      written[group.name] = said[0];
    }
  }
  return written;
}

/** What a bend says of its parts, by their paths. */
export interface ReadParts {
  parts: Parts;
  /** Sizes by path. */
  sizes: ReadonlyMap<string, number>;
  choices: Readonly<Record<string, string>>;
}

/** The parts of a bend that was written. */
export function readParts(kind: Kind, bend: Readonly<Record<string, unknown>>): ReadParts {
  const parts: Record<string, string[]> = {};
  const sizes = new Map<string, number>();
  const choices: Record<string, string> = {};
  for (const group of kindOf(kind).groups) {
    const value = bend[group.name];
    const items = (group.list ? value : value == null ? [] : [value]) as Said[] | null | undefined;
    (items ?? []).forEach((item, index) => {
      const sort = typeof item.kind === 'string' ? item.kind : item.readFromIn == null ? '' : READINGS;
      (parts[group.name] ??= []).push(sort);
      const path = group.list ? `${group.name}/${String(index)}` : group.name;
      for (const [name, said] of Object.entries(item)) {
        if (typeof said === 'number') {
          sizes.set(`${path}/${name}`, said);
        }
        if (typeof said === 'string' || typeof said === 'number') {
          choices[`${path}/${name}`] = String(said);
        }
      }
    });
  }
  return { parts, sizes, choices };
}

/** The last step of a path. */
export function lastOf(path: string): string {
  return path.split('/').at(-1) ?? path;
}
