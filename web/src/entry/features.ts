/** What the features of a piece are called at the bench, and where to hold the tape or the level. */

import { FEATURES } from '../bends/kinds';

/** A feature's kind and its number from the datum end; without one where a piece has one of it. */
export function featureOf(id: string): { kind: string; number: number | undefined } {
  const [, kind = id, number = ''] = /^([a-zA-Z]+)(\d+)$/.exec(id) ?? [];
  return { kind, number: number === '' ? undefined : Number(number) };
}

/** What the core says of a feature of this kind. */
export function describedAs(id: string) {
  const { kind } = featureOf(id);
  return FEATURES.find((each) => each.id === kind);
}

/** Of these a piece has one for every bend; of legs a run has one more. */
const OF_BENDS = new Set(['mark', 'angle', 'flattening']);

/**
 * What a feature is called.
 *
 * @param bends of the piece: where there is only one, its mark and its angle need no number
 */
export function featureName(id: string, bends = 2): string {
  const { kind, number } = featureOf(id);
  const name = describedAs(id)?.name ?? id;
  if (number !== undefined && (kind === 'rise' || kind === 'height')) {
    return `${name} on leg ${String(number)}`;
  }
  const aloneOnOneBend = bends === 1 && OF_BENDS.has(kind);
  return number === undefined || aloneOnOneBend ? name : `${name} ${String(number)}`;
}

/** Where to hold the tape or the level. */
export function featureHint(id: string): string {
  return describedAs(id)?.hint ?? '';
}
