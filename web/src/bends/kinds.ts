/**
 * The kinds of bend with their names, inputs and choices, as the core describes them: `kinds.json` is a copy of what the server
 * says (`/api/calc/kinds`), held to it by a test. No rule stands here.
 */

import type { Schemas } from '../api/client';
import described from './kinds.json';

export type BendInput = Schemas['BendInput'];
export type Kind = BendInput['kind'];

/** An end of the conduit. */
export type End = Schemas['InputAnswer']['ends'][number];

/** An input: where it stands on the drawing is the place of a feature, or `clearance`; without one it is only in the list. */
export type InputField = Schemas['InputAnswer'];

/** A choice; its first option is the usual one. */
export type ChoiceField = Schemas['ChoiceAnswer'];

export type KindOfBend = Omit<Schemas['KindAnswer'], 'kind'> & { kind: Kind };

/** In the order in which they are learnt. */
export const KINDS = described.kinds as unknown as readonly KindOfBend[];

/** What is measured on a piece, in the order of a sheet. */
export const FEATURES = described.features as readonly Schemas['FeatureKindAnswer'][];

/** By how much an angle goes up and down. */
export const ANGLE_STEP_DEG: number = described.angleStepDeg;

/** How flat a bend may be, in per cent, where a set of tolerances does not say otherwise. */
export const USUAL_FLATTENING: number = described.usualFlattening;

/** How credit falls with a deviation. */
export const SCHEMES = described.schemes as readonly Schemas['SchemeAnswer'][];

/** How far an end stands within its fitting: of a place, not of a bend. */
export const INSERTION: InputField = {
  name: 'insertionIn',
  label: 'Into the fitting',
  kind: 'length',
  optional: false,
  ends: [],
  first: { in: '5/8', mm: '16' },
};

/** What the screens say of a kind. */
export function kindOf(kind: string | undefined): KindOfBend {
  const found = KINDS.find((each) => each.kind === kind) ?? KINDS[0];
  if (found === undefined) {
    throw new RangeError('there is no kind of bend');
  }
  return found;
}
