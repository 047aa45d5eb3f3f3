import { along, at, type Box, type Point, type View } from './geometry';
import { edge, placeLabels, type Rect, rectOf } from './labels';
import { NARROW_PX, type PlaceSize } from './runSpots';

/** The places around a stub where a dimension is written or entered. */
export type StubPlace = 'leg' | 'otherLeg' | 'angle1' | 'mark1';

/** Screen positions of a stub's dimensions; of the mark's, the left edge, of the others, the middle. */
export interface StubSpots extends Record<StubPlace, Point> {
  datumFace: Point;
  backFoot: Point;
  farFace: Point;
  legTop: Point;
  legFoot: Point;
  otherStart: Point;
  otherEnd: Point;
  /** From the angle's arc to its figure, where that found no room beside it. */
  angleLeader: { from: Point; to: Point } | undefined;
}

/** Of the arc that says which angle is meant, in inches. */
const ARC_RADIUS = 4.2;

/** The arc, from the leg to the floor. */
export function angleArc(half: number): Point[] {
  return Array.from({ length: 13 }, (_, i) => {
    const angle = (i / 12) * (Math.PI / 2);
    return { x: half + ARC_RADIUS * Math.cos(angle), y: half * 2 + ARC_RADIUS * Math.sin(angle) };
  });
}

/** A figure that stands further from its arc than this, in pixels, is led to. */
const NEAR_ENOUGH = 28;

const WIDE_ROOM: Box = { left: 192, right: 40, top: 44, bottom: 122 };
const NARROW_ROOM: Box = { left: 104, right: 16, top: 30, bottom: 74 };

/** Room that the dimensions take around the piece, in pixels: for those legs that have something written at them. */
export function roomAround(width: number, written: { leg: boolean; otherLeg: boolean } = BOTH): Box {
  const room = width < NARROW_PX ? NARROW_ROOM : WIDE_ROOM;
  return {
    ...room,
    left: written.leg ? room.left : room.right,
    bottom: written.otherLeg ? room.bottom : room.right,
  };
}

const BOTH = { leg: true, otherLeg: true };

/** What stands at a place takes at most this much, in pixels. */
export function placeSize(width: number): PlaceSize {
  return width < NARROW_PX ? { width: 90, height: 74, below: 0 } : { width: 146, height: 78, below: 0 };
}

/**
 * Finds the spots. The legs' dimensions sit on their lines; angle and mark are as near to where they belong as there is room.
 *
 * @param sizes how large what stands at a place is, where that is known
 */
export function stubSpots(
  piece: readonly Point[],
  half: number,
  markIn: number,
  view: View,
  width: number,
  height: number,
  sizes: ReadonlyMap<string, PlaceSize> = new Map(),
): StubSpots {
  const narrow = width < NARROW_PX;
  const size = placeSize(width);
  const datumFace = view.toScreen({ x: -half, y: at(piece, 0).y });
  const backFoot = view.toScreen({ x: -half, y: 0 });
  const farFace = view.toScreen({ x: at(piece, -1).x, y: 0 });
  const lineX = backFoot.x - (narrow ? 56 : 104);
  const lineY = backFoot.y + (narrow ? 42 : 70);
  const leg = { x: lineX, y: (datumFace.y + backFoot.y) / 2 };
  const otherLeg = { x: (backFoot.x + farFace.x) / 2, y: lineY - (narrow ? 4 : 8) };
  const ring = view.toScreen(along(piece, markIn).point);
  const inside = view.toScreen({ x: half, y: half * 2 });

  const gap = narrow ? 34 : 74;
  const up = narrow ? 70 : 122;
  const markSize = sizes.get('mark1') ?? size;
  const angleSize = sizes.get('angle1') ?? size;
  const arc = ARC_RADIUS * view.scale * Math.SQRT1_2;
  const onArc = { x: inside.x + arc, y: inside.y - arc };
  // The mark first: its leader ties it to the ring, while the angle may stand anywhere in the corner.
  const { middles } = placeLabels(
    [
      {
        id: 'mark1',
        ...markSize,
        at: { x: ring.x + half * view.scale + gap + markSize.width / 2, y: Math.max(datumFace.y + 46, ring.y - up) },
        anchor: ring,
      },
      {
        id: 'angle1',
        ...angleSize,
        at: { x: onArc.x + angleSize.width / 2 + 6, y: onArc.y - angleSize.height / 2 - 2 },
        anchor: onArc,
      },
    ],
    {
      width,
      height,
      texts: [leg, otherLeg].map((middle) => rectOf(size, middle)),
      bodies: [
        { points: piece.map(view.toScreen), halfWidth: half * view.scale },
        { points: angleArc(half).map(view.toScreen), halfWidth: 3 },
      ],
      blocks: [],
    },
  );
  const mark = middles.get('mark1') ?? ring;
  const angle1 = middles.get('angle1') ?? inside;
  return {
    datumFace,
    backFoot,
    farFace,
    legTop: { x: lineX, y: datumFace.y },
    legFoot: { x: lineX, y: backFoot.y },
    otherStart: { x: backFoot.x, y: lineY },
    otherEnd: { x: farFace.x, y: lineY },
    leg,
    otherLeg,
    angle1,
    mark1: { x: mark.x - markSize.width / 2, y: mark.y },
    angleLeader: leaderTo(rectOf({ ...angleSize, below: 0 }, angle1), onArc),
  };
}

/** To the nearest point of a text, unless that is near enough to be seen as its own. */
function leaderTo(text: Rect, from: Point): StubSpots['angleLeader'] {
  const to = edge(text, from);
  return Math.hypot(to.x - from.x, to.y - from.y) > NEAR_ENOUGH ? { from, to } : undefined;
}
