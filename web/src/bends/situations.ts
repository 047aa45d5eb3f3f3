/**
 * What the screens offer for each situation: sizes to begin with and how it is sketched. Which bend a situation proposes,
 * and what it is called, is the core's to say.
 */

import type { End } from './kinds';

export interface SituationOffer {
  id: string;
  /** Sizes that differ from the kind's usual first ones, for either unit. */
  texts: Readonly<Record<string, { in: string; mm: string }>>;
  choices?: Readonly<Record<string, string>>;
  /** The end that goes into a box, if one does. */
  box?: End;
  /** A small drawing, 64 × 40: what is there, and the conduit. */
  sketch: { there: string; conduit: string };
}

export const SITUATIONS: readonly SituationOffer[] = [
  {
    id: 'upFromBox',
    texts: {},
    box: 'end',
    sketch: { there: 'M2 36h60 M48 26h12v10h-12z', conduit: 'M14 4V24Q14 31 21 31H50' },
  },
  {
    id: 'betweenWalls',
    texts: {},
    sketch: { there: 'M8 2v36h48v-36', conduit: 'M13 5V26Q13 33 20 33H44Q51 33 51 26V9' },
  },
  {
    id: 'intoBox',
    texts: { overallIn: { in: '36', mm: '900' } },
    box: 'start',
    sketch: { there: 'M2 36h60 M2 18h12v18h-12z', conduit: 'M12 25H24L36 32H62' },
  },
  {
    id: 'ontoPlinth',
    texts: { clearanceIn: { in: '0', mm: '0' } },
    choices: { layout: 'beforeObstacle' },
    sketch: { there: 'M2 36h34v-16h26', conduit: 'M2 32H16L30 15H62' },
  },
  {
    id: 'upAndAcross',
    texts: {},
    box: 'end',
    sketch: { there: 'M2 36h40l18 -12 M48 6h12v12h-12z', conduit: 'M2 33H18L34 13H50' },
  },
  {
    id: 'upToLamp',
    texts: {},
    box: 'end',
    sketch: { there: 'M2 36h60 M50 4l10 6-5 9-10-6z', conduit: 'M2 32H22Q27 32 31 29L48 14' },
  },
  {
    id: 'overPipe',
    texts: {},
    sketch: { there: 'M2 36h60 M32 36a7 7 0 1 0 .1 0z', conduit: 'M2 33H12L26 18Q32 13 38 18L52 33H62' },
  },
  {
    id: 'overDuct',
    texts: {},
    sketch: { there: 'M2 36h60 M22 36v-14h20v14', conduit: 'M2 33H8L19 17H45L56 33H62' },
  },
  {
    id: 'roundColumn',
    texts: {
      heightIn: { in: '5', mm: '125' },
      widthIn: { in: '5', mm: '125' },
      angleDeg: { in: '45', mm: '45' },
      distanceIn: { in: '36', mm: '900' },
      edgeClearanceIn: { in: '0', mm: '0' },
    },
    sketch: { there: 'M2 36h60 M20 36v-6a12 12 0 0 1 24 0v6', conduit: 'M2 33H6L17 14H47L58 33H62' },
  },
  {
    id: 'overBeam',
    texts: {},
    box: 'start',
    sketch: { there: 'M62 12h-42v12h42 M8 34h16v6', conduit: 'M16 34V26L10 15Q7 8 15 8H62' },
  },
  {
    id: 'boxToBox',
    texts: {
      startInsertionIn: { in: '5/8', mm: '16' },
      endInsertionIn: { in: '5/8', mm: '16' },
    },
    sketch: {
      there: 'M2 26h10v11h-10z M52 3h10v11h-10z M26 2v27L8 39M26 29h36',
      conduit: 'M12 31H38Q43 31 43 26V13Q43 8 48 8H52',
    },
  },
];

export function situationOf(id: string): SituationOffer | undefined {
  return SITUATIONS.find((each) => each.id === id);
}
