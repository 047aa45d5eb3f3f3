/**
 * What is learnt and signed for by itself: a kind of bend with a sort of tool, as the core describes them (see `kinds.ts`).
 */

import type { Schemas } from '../api/client';
import type { Kind } from './kinds';
import described from './kinds.json';

export type Family = Omit<Schemas['FamilyAnswer'], 'kind'> & { kind: Kind };

/** By hand, at the machine, with heat; each from the bend that is learnt first. */
export const FAMILIES = described.families as unknown as readonly Family[];

/** What the screens say of a family. */
export function familyOf(id: string): Family {
  const found = FAMILIES.find((each) => each.id === id) ?? FAMILIES[0];
  if (found === undefined) {
    throw new RangeError('there is no family of bends');
  }
  return found;
}

/** Its name within a sentence. */
export function inSentence(id: string): string {
  const { name } = familyOf(id);
  return name.charAt(0).toLowerCase() + name.slice(1);
}

/** Where a column or a line has no room for more than the tool; by hand is not said. */
export const TOOL_MARK: Record<Family['tool'], string | undefined> = {
  shoe: undefined,
  machine: 'machine',
  former: 'heat',
};
