import { corners, toRoom } from '../drawing/room';
import type { LegDrawn } from '../drawing/RoomView';
import type { Space } from '../drawing/pose';
import type { Draft, Sizes } from './draft';
import { type Leg, legsOf, VECTORS } from './run';
import type { Desk } from './useDesk';

/** How long a leg is drawn whose length is not written yet, inches. */
const NOT_WRITTEN = 12;

/** What a leg measures, inches; nothing while it is no size. */
export function lengthOf({ part, readings }: Leg, sizes: Sizes): number | undefined {
  if (!readings) {
    return sizes[`${part.path}/lengthIn`];
  }
  const [from, to] = [sizes[`${part.path}/readFromIn`], sizes[`${part.path}/readToIn`]];
  return from === undefined || to === undefined ? undefined : Math.abs(to - from);
}

/** The legs of what is on the desk with where they are in the room: as laid out, or as far as they are written. */
export function legsDrawn(desk: Desk, diameter: number): LegDrawn[] {
  const { draft, sizes, plan, isRefused } = desk;
  const legs = legsOf(draft);
  const points = skeleton(draft, sizes, diameter);
  const laidOut = isRefused ? undefined : plan;
  const inRoom = laidOut === undefined ? undefined : toRoom(laidOut.shape);
  return legs.map(({ number, towards }) => {
    const id = `leg${String(number)}`;
    const feature = laidOut?.features.find((each) => each.id === id);
    const at = (point: Space | undefined, index: number): Space =>
      inRoom !== undefined && point !== undefined ? inRoom(point) : (points[index] ?? [0, 0, 0]);
    return {
      id,
      number,
      from: at(feature?.from, number - 1),
      to: at(feature?.to, number),
      vector: VECTORS[towards],
    };
  });
}

/** Corner to corner: an outside length has half of the conduit at each end where it is bent. */
function skeleton(draft: Draft, sizes: Sizes, diameter: number): Space[] {
  const legs = legsOf(draft);
  return corners(
    legs.map((leg, i) => {
      const bent = (i > 0 ? 1 : 0) + (i < legs.length - 1 ? 1 : 0);
      const length = lengthOf(leg, sizes) ?? NOT_WRITTEN;
      return { vector: VECTORS[leg.towards], length: Math.max(0, length - (bent * diameter) / 2) };
    }),
  );
}
