import type { Schemas } from '../api/client';

export type Standing = Schemas['MatrixCell']['standing'];

/** Where somebody stands, in words, and by how many rings on a conduit it is drawn. */
export const STANDINGS: Record<Standing, { name: string; rings: number }> = {
  notTried: { name: 'not tried', rings: 0 },
  learning: { name: 'learning', rings: 1 },
  steady: { name: 'steady', rings: 2 },
  ready: { name: 'ready for sign-off', rings: 3 },
  signed: { name: 'signed', rings: 3 },
};

/** From the beginning. */
export const STANDING_ORDER: readonly Standing[] = ['notTried', 'learning', 'steady', 'ready', 'signed'];
