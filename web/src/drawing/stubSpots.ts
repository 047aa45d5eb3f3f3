import { along, at, type Box, type Point, type View } from './geometry';

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
}

/** Below this width there are buttons and figures on the drawing, and the field stands elsewhere. */
const NARROW_PX = 600;

const WIDE_ROOM: Box = { left: 192, right: 40, top: 44, bottom: 122 };
const NARROW_ROOM: Box = { left: 104, right: 16, top: 30, bottom: 74 };

/** Room that the dimensions take around the piece, in pixels. */
export function roomAround(width: number): Box {
  return width < NARROW_PX ? NARROW_ROOM : WIDE_ROOM;
}

/** What stands at a place takes at most this much, in pixels. */
export function placeSize(width: number): { width: number; height: number } {
  return width < NARROW_PX ? { width: 90, height: 74 } : { width: 146, height: 78 };
}

/**
 * Finds the spots. The legs' dimensions sit on their lines; angle and mark take the first of their usual spots where they
 * neither leave the drawing nor run over what is placed already.
 */
export function stubSpots(
  piece: readonly Point[],
  half: number,
  markIn: number,
  view: View,
  width: number,
  height: number,
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

  const taken = [leg, otherLeg].map((middle) => boxOf(middle, size));
  const place = (candidates: readonly Point[]): Point => {
    const inDrawing = candidates.map((middle) => within(middle, size, width, height));
    const middle = inDrawing.find((spot) => taken.every((box) => !overlap(box, boxOf(spot, size)))) ?? at(inDrawing, 0);
    taken.push(boxOf(middle, size));
    return middle;
  };
  const gap = narrow ? 34 : 74;
  const beside = ring.x + half * view.scale + gap + size.width / 2;
  // The mark first: its leader ties it to the ring, while the angle may stand anywhere in the corner.
  const up = narrow ? 70 : 122;
  const mark = place([
    { x: beside, y: Math.max(datumFace.y + 46, ring.y - up) },
    { x: beside, y: ring.y - up },
    { x: beside, y: ring.y - up - size.height },
    { x: beside + size.width, y: ring.y - up },
    { x: beside + size.width, y: ring.y },
  ]);
  const reach = Math.max(175, 5.6 * view.scale + (narrow ? 20 : 60));
  const rise = Math.max(70, 3.4 * view.scale);
  const angle1 = place([
    { x: inside.x + reach, y: inside.y - rise },
    { x: inside.x + reach * 1.6, y: inside.y - rise },
    { x: inside.x + reach * 2.2, y: inside.y - rise },
    { x: inside.x + reach, y: inside.y - rise - size.height * 1.2 },
    { x: inside.x + reach, y: inside.y - rise - size.height * 2.4 },
    { x: inside.x + reach * 0.7, y: inside.y - rise },
  ]);
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
    mark1: { x: mark.x - size.width / 2, y: mark.y },
  };
}

interface Size {
  width: number;
  height: number;
}

function within({ x, y }: Point, size: Size, width: number, height: number): Point {
  return {
    x: Math.min(Math.max(x, size.width / 2 + 4), width - size.width / 2 - 4),
    y: Math.min(Math.max(y, size.height / 2 + 4), height - size.height / 2 - 4),
  };
}

/** A box on the screen, where y runs down. */
function boxOf({ x, y }: Point, { width, height }: Size): Box {
  return { left: x - width / 2, right: x + width / 2, top: y - height / 2, bottom: y + height / 2 };
}

function overlap(a: Box, b: Box): boolean {
  return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
}
