import { describe, expect, it } from 'vitest';
import { bodiesOf, bodyOf, boxBody, corners, drawnAlong, legSpots, planesOf, type Standing, toRoom } from './room';
import { ISOMETRIC } from './turn';

const ceiling: Standing = { kind: 'ceiling', name: 'Ceiling', surface: true, sizes: { awayIn: 40 } };
const column: Standing = {
  kind: 'column',
  name: 'Column',
  surface: false,
  sizes: { rightIn: 10, upIn: -20, outIn: 0, widthIn: 6, heightIn: 60, depthIn: 6 },
};

describe('a run in its room', () => {
  it('stands in the room as the core says that it lies', () => {
    // The datum leg goes up, and the first bend turns out of the wall.
    const place = toRoom({
      centreline: [],
      pose: { across: [0, 0, 1], up: [1, 0, 0], origin: [7, 0, 0], onDatumLeg: false },
    });
    expect(place([3, 0, 0])).toEqual([0, 3, 0]);
    expect(place([0, 2, 0])).toEqual([0, 0, 2]);
  });

  it('is a line from corner to corner before it is laid out', () => {
    expect(
      corners([
        { vector: [1, 0, 0], length: 20 },
        { vector: [0, 0, 1], length: 12 },
      ]),
    ).toEqual([
      [0, 0, 0],
      [20, 0, 0],
      [20, 0, 12],
    ]);
  });

  it('has the wall that it lies on where none is named, and ends its walls at the ceiling', () => {
    const planes = planesOf(
      [ceiling],
      [
        [0, 0, 0],
        [30, 20, 5],
      ],
      0.5,
      ISOMETRIC,
    );
    expect(planes.map(({ name }) => name)).toEqual(['', 'Ceiling']);
    const [wall, top] = planes;
    expect(wall?.corners.every(([, , z]) => z === -0.5)).toBe(true);
    expect(Math.max(...(wall?.corners ?? []).map(([, y = 0]) => y))).toBe(40);
    // Seen from above, a ceiling would hide the run: only its edge is drawn.
    expect([wall?.behind, top?.behind]).toEqual([true, false]);
  });

  it('shows three faces of what stands there, and names it', () => {
    const [body] = bodiesOf([ceiling, column], ISOMETRIC);
    expect(body?.name).toBe('Column');
    expect(body?.faces).toHaveLength(3);
    expect(body?.middle).toEqual([13, 10, 3]);
    expect(bodyOf('x', [0, 0, 0], [1, 1, 1], { round: 0, up: 0 }).faces).toHaveLength(1);
  });

  it('has a box behind the face that an end goes through', () => {
    const { faces } = boxBody('box', [20, 0, 0], [1, 0, 0], ISOMETRIC);
    const xs = faces.flat().map(([x = 0]) => x);
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([20, 22]);
    const before = boxBody('box', [0, 0, 0], [-1, 0, 0], ISOMETRIC)
      .faces.flat()
      .map(([x = 0]) => x);
    expect([Math.min(...before), Math.max(...before)]).toEqual([-2, 0]);
  });

  it('is drawn along a leg by as much as the pointer went along it, and not by what it went aside', () => {
    const view = { scale: 10, toScreen: ({ x, y }: { x: number; y: number }) => ({ x: 10 * x, y: -10 * y }) };
    const front = { round: 0, up: 0 };
    expect(drawnAlong({ x: 30, y: 5 }, [1, 0, 0], front, view)).toBeCloseTo(3);
    expect(drawnAlong({ x: 30, y: -20 }, [0, 1, 0], front, view)).toBeCloseTo(2);
    // What runs straight at who looks cannot be drawn from there.
    expect(drawnAlong({ x: 30, y: 5 }, [0, 0, 1], front, view)).toBe(0);
  });

  it('has its lengths beside its legs, away from its middle, and none over another', () => {
    const legs = [
      { id: 'leg1', from: { x: 100, y: 300 }, to: { x: 300, y: 300 } },
      { id: 'leg2', from: { x: 300, y: 300 }, to: { x: 300, y: 100 } },
    ];
    const piece = [
      { x: 100, y: 300 },
      { x: 300, y: 300 },
      { x: 300, y: 100 },
    ];
    const spots = legSpots(
      legs,
      piece,
      new Map(),
      { width: 60, height: 30 },
      { width: 500, height: 400, texts: [], halfWidth: 6, beside: 30 },
    );
    const [first, second] = spots;
    expect(first?.line.from).toEqual({ x: 100, y: 330 });
    expect(second?.line.from.x).toBe(330);
    expect(first?.spot.y).toBeGreaterThan(310);
    expect(second?.spot.x).toBeGreaterThan(310);
    expect(
      Math.abs((first?.spot.x ?? 0) - (second?.spot.x ?? 0)) > 60 ||
        Math.abs((first?.spot.y ?? 0) - (second?.spot.y ?? 0)) > 30,
    ).toBe(true);
  });
});
