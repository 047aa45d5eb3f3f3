import type { LayoutRequest } from '../api/queries';
import type { Schemas } from '../api/client';

/** What is being set, as typed and chosen. Nothing here calculates: the server's core lays it out. */
export interface Draft {
  title: string;
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
    title: 'Up from the pump-room box',
    legText: unit === 'mm' ? '450' : '17 5/8',
    otherLegText: unit === 'mm' ? '560' : '22',
    placement: 'arrow',
    divisionIn: unit === 'mm' ? 1 / 25.4 : 1 / 16,
    conduitId: conduit?.id ?? '',
    benderId: bendersFor(shed, conduit?.id ?? '')[0]?.id ?? '',
    preset: 'site',
  };
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
