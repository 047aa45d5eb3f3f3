import type { LayoutRequest } from '../api/queries';
import type { Schemas } from '../api/client';
import { type DisplayUnit, inchParts, millimetreParts, partsToText } from '../entry/figures';

/** What is being set, as typed and chosen. Nothing here calculates: the server's core lays it out. */
export interface Draft {
  title: string;
  /** The unit that bare numbers in the texts are in. */
  unit: DisplayUnit;
  legText: string;
  otherLegText: string;
  placement: 'arrow' | 'star';
  divisionIn: number;
  conduitId: string;
  benderId: string;
  preset: string;
}

export const DIVISIONS: readonly { value: string; name: string }[] = [
  { value: String(1 / 8), name: '1/8 in' },
  { value: String(1 / 16), name: '1/16 in' },
  { value: String(1 / 32), name: '1/32 in' },
  { value: String(1 / 25.4), name: '1 mm' },
];

/** A good first exercise with what the shed has: the middle size of conduit and its first bender. */
export function firstDraft(shed: Schemas['Shed'], unit: 'in' | 'mm'): Draft {
  const conduit = shed.conduits.find(({ label }) => label.startsWith('3/4')) ?? shed.conduits[0];
  return {
    title: 'Stub ninety',
    unit,
    legText: unit === 'mm' ? '450' : '17 5/8',
    otherLegText: unit === 'mm' ? '560' : '22',
    placement: 'arrow',
    divisionIn: unit === 'mm' ? 1 / 25.4 : 1 / 16,
    conduitId: conduit?.id ?? '',
    benderId: bendersFor(shed, conduit?.id ?? '')[0]?.id ?? '',
    preset: 'site',
  };
}

/** The same draft for who prefers the other unit: what was typed as a length stays that length. */
export function inUnit(draft: Draft, unit: DisplayUnit, legIn: number, otherLegIn: number | undefined): Draft {
  return {
    ...draft,
    unit,
    legText: exactText(legIn, unit),
    otherLegText: otherLegIn === undefined ? '' : exactText(otherLegIn, unit),
  };
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

/** The question to the core, once the leg is a length. */
export function layoutRequest(
  shed: Schemas['Shed'],
  draft: Draft,
  legIn: number | undefined,
  otherLegIn: number | undefined,
): LayoutRequest | undefined {
  const conduit = shed.conduits.find(({ id }) => id === draft.conduitId);
  const bender = shed.benders.find(({ id }) => id === draft.benderId);
  if (conduit === undefined || bender === undefined || legIn === undefined) {
    return undefined;
  }
  return {
    method: 'chart',
    tapeDivisionIn: draft.divisionIn,
    conduit: conduit.figures,
    bender: bender.figures,
    bend: { kind: 'stub90', legIn, otherLegIn: otherLegIn ?? null, placement: draft.placement },
  };
}
