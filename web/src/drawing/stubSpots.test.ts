import { describe, expect, it } from 'vitest';
import { type Box, boxAround, fit, type Point, standOnFarLeg } from './geometry';
import { placeSize, roomAround, stubSpots } from './stubSpots';

const RADIUS = 5.125;
const DIAMETER = 0.922;

/** A stub ninety as the interface gives it: a leg, an arc in 24 steps, the other leg. */
function stub(leg: number, otherLeg: number): number[][] {
  const back = RADIUS + DIAMETER / 2;
  const start = leg - back;
  const arc = Array.from({ length: 25 }, (_, i) => {
    const angle = ((i / 24) * Math.PI) / 2;
    return [start + RADIUS * Math.sin(angle), RADIUS * (1 - Math.cos(angle)), 0];
  });
  return [[0, 0, 0], ...arc, [start + RADIUS, RADIUS + otherLeg - back, 0]];
}

function boxes(leg: number, otherLeg: number, markIn: number, width: number, height: number): Record<string, Box> {
  const { points } = standOnFarLeg(stub(leg, otherLeg), DIAMETER);
  const half = DIAMETER / 2;
  const view = fit(boxAround([...points, { x: -half, y: 0 }]), width, height, roomAround(width));
  const spots = stubSpots(points, half, markIn, view, width, height);
  const size = placeSize(width);
  const around = ({ x, y }: Point): Box => ({
    left: x - size.width / 2,
    right: x + size.width / 2,
    top: y - size.height / 2,
    bottom: y + size.height / 2,
  });
  return {
    leg: around(spots.leg),
    otherLeg: around(spots.otherLeg),
    angle1: around(spots.angle1),
    mark1: around({ x: spots.mark1.x + size.width / 2, y: spots.mark1.y }),
  };
}

const SHAPES = [7, 9, 12, 17.625, 24, 36].flatMap((leg) =>
  [8, 12, 18, 22, 40, 72].map((other) => [leg, other] as const),
);

describe('the places around a stub', () => {
  it.each(SHAPES)('do not run over one another for legs of %s and %s, by the arrow or the star', (leg, otherLeg) => {
    for (const markIn of [Math.max(0.5, leg - 6), leg]) {
      const found = Object.entries(boxes(leg, otherLeg, markIn, 845, 593));
      for (const [name, a] of found) {
        for (const [other, b] of found) {
          const apart = a.right <= b.left || b.right <= a.left || a.bottom <= b.top || b.bottom <= a.top;
          expect(name === other || apart, `${name} over ${other} with the ring at ${String(markIn)}`).toBe(true);
        }
      }
    }
  });

  it.each(SHAPES)('stay on the drawing for legs of %s and %s, on a tablet and on a phone', (leg, otherLeg) => {
    for (const [width, height] of [
      [845, 593],
      [390, 300],
    ] as const) {
      for (const [name, box] of Object.entries(boxes(leg, otherLeg, leg - 6, width, height))) {
        expect(box.left, name).toBeGreaterThanOrEqual(0);
        expect(box.right, name).toBeLessThanOrEqual(width);
        expect(box.top, name).toBeGreaterThanOrEqual(-20);
        expect(box.bottom, name).toBeLessThanOrEqual(height + 4);
      }
    }
  });
});
