/**
 * What the screens say of each kind of bend: names, the inputs with where they stand on the drawing, and the choices. No
 * rule stands here; what the inputs come to is the core's to say.
 */

import type { Schemas } from '../api/client';

export type BendInput = Schemas['BendInput'];
export type Kind = BendInput['kind'];

/** An end of the conduit. */
export type End = 'start' | 'end';

export interface InputField {
  /** As the calculation interface names it. */
  name: string;
  label: string;
  kind: 'length' | 'angle';
  /** The feature on whose dimension it stands; without one it is only in the list. */
  at?: string;
  /** It may be left open. */
  optional?: boolean;
  /** The ends of the conduit that it is measured to: what goes into a fitting there is added to it. */
  ends?: readonly End[];
  /** A good size to begin with, for either unit. */
  first: { in: string; mm: string };
}

export interface ChoiceField {
  name: string;
  label: string;
  /** The first is the usual one. */
  options: readonly { value: string; name: string }[];
}

export interface KindOfBend {
  kind: Kind;
  name: string;
  inputs: readonly InputField[];
  choices: readonly ChoiceField[];
}

const angle = (first: string): InputField => ({
  name: 'angleDeg',
  label: 'Angle',
  kind: 'angle',
  at: 'angle1',
  first: { in: first, mm: first },
});

const length = (name: string, label: string, at: string | undefined, inches: string, mm: string): InputField => ({
  name,
  label,
  kind: 'length',
  ...(at === undefined ? {} : { at }),
  first: { in: inches, mm },
});

const overall: InputField = {
  ...length('overallIn', 'Overall', 'overall', '', ''),
  optional: true,
  ends: ['start', 'end'],
};
const clearance = length('clearanceIn', 'Clearance', 'clearance', '1', '25');

/** How far an end stands within its fitting: of a place, not of a bend. */
export const INSERTION: InputField = length('insertionIn', 'Into the fitting', undefined, '5/8', '16');

const fromStart = (input: InputField): InputField => ({ ...input, ends: ['start'] });
const toEnd = (input: InputField): InputField => ({ ...input, ends: ['end'] });

const measuredTo: ChoiceField = {
  name: 'layout',
  label: 'Distance measured',
  options: [
    { value: 'beforeObstacle', name: 'To the obstacle' },
    { value: 'fromEdge', name: 'To the near edge' },
  ],
};

const placement: ChoiceField = {
  name: 'placement',
  label: 'Placed by',
  options: [
    { value: 'arrow', name: 'By the arrow' },
    { value: 'star', name: 'By the star' },
  ],
};

/** In the order in which they are learnt. */
export const KINDS: readonly KindOfBend[] = [
  {
    kind: 'stub90',
    name: 'Stub ninety',
    inputs: [
      fromStart(length('legIn', 'Leg', 'leg', '17 5/8', '450')),
      { ...toEnd(length('otherLegIn', 'Other leg', 'otherLeg', '22', '560')), optional: true },
    ],
    choices: [placement],
  },
  {
    kind: 'backToBack90',
    name: 'Back-to-back ninety',
    inputs: [
      fromStart(length('firstLegIn', 'First leg', 'leg', '13 1/2', '340')),
      length('betweenIn', 'Back to back', 'between', '31 1/4', '800'),
      toEnd(length('secondLegIn', 'Second leg', 'secondLeg', '16', '400')),
    ],
    choices: [],
  },
  {
    kind: 'boxOffset',
    name: 'Box offset',
    inputs: [
      length('riseIn', 'Rise', 'rise', '1/2', '12'),
      angle('10'),
      fromStart(length('firstMarkIn', 'First mark', 'landing', '2 1/2', '65')),
      overall,
    ],
    choices: [],
  },
  {
    kind: 'offset',
    name: 'Offset',
    inputs: [
      length('riseIn', 'Rise', 'rise', '5', '125'),
      angle('30'),
      fromStart(length('distanceIn', 'Distance', 'landing', '36', '900')),
      { ...clearance, first: { in: '0', mm: '0' } },
      overall,
    ],
    choices: [measuredTo],
  },
  {
    kind: 'rollingOffset',
    name: 'Rolling offset',
    inputs: [
      length('riseIn', 'Rise', 'rise', '5', '125'),
      length('rollIn', 'Roll', 'roll', '3', '75'),
      angle('30'),
      fromStart(length('distanceIn', 'Distance', 'landing', '36', '900')),
      overall,
    ],
    choices: [measuredTo],
  },
  {
    kind: 'kick',
    name: 'Kick',
    inputs: [
      length('riseIn', 'Rise', 'rise', '9', '225'),
      angle('30'),
      fromStart(length('distanceIn', 'Distance', 'landing', '44', '1100')),
    ],
    choices: [
      {
        ...measuredTo,
        options: [
          { value: 'beforeObstacle', name: 'To the far end' },
          { value: 'fromEdge', name: 'To the mark' },
        ],
      },
    ],
  },
  {
    kind: 'saddle3',
    name: 'Three-point saddle',
    inputs: [
      length('heightIn', 'Height', 'height', '2 3/8', '60'),
      clearance,
      { ...angle('22.5'), name: 'outerAngleDeg', label: 'Outer angle' },
      fromStart(length('centreIn', 'Centre', 'centre', '30', '760')),
      overall,
    ],
    choices: [
      {
        name: 'spacing',
        label: 'Outer marks',
        options: [
          { value: 'factor', name: '2.5 × the height' },
          { value: 'cosecant', name: 'By the multiplier' },
        ],
      },
      {
        name: 'order',
        label: 'Order',
        options: [
          { value: 'centreFirst', name: 'Centre first' },
          { value: 'pushThrough', name: 'Push through' },
        ],
      },
    ],
  },
  {
    kind: 'saddle4',
    name: 'Four-point saddle',
    inputs: [
      length('heightIn', 'Height', 'height', '3 1/4', '80'),
      clearance,
      angle('30'),
      length('widthIn', 'Width', 'flat', '11 1/2', '290'),
      { ...length('edgeClearanceIn', 'Edge clearance', undefined, '1/2', '12') },
      fromStart(length('distanceIn', 'Distance', 'landing', '36', '900')),
      overall,
    ],
    choices: [
      {
        name: 'reference',
        label: 'Distance measured',
        options: [
          { value: 'nearEdge', name: 'To the near edge' },
          { value: 'centred', name: 'To the middle' },
        ],
      },
      placement,
    ],
  },
];

/** What the screens say of a kind. */
export function kindOf(kind: string | undefined): KindOfBend {
  const found = KINDS.find((each) => each.kind === kind) ?? KINDS[0];
  if (found === undefined) {
    throw new RangeError('there is no kind of bend');
  }
  return found;
}
