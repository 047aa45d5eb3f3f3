import { describe, expect, it } from 'vitest';
import { along, at, beside, boxAround, exaggerated, fit, meet, path, standOnFarLeg } from './geometry';

/** A stub with legs of 10 and 20 along the axes and a corner without radius, bent by an angle in degrees. */
function stub(angle: number): number[][] {
  const radians = (angle * Math.PI) / 180;
  return [
    [0, 0, 0],
    [10, 0, 0],
    [10 + 20 * Math.cos(radians), 20 * Math.sin(radians), 0],
  ];
}

describe('standing a stub up', () => {
  it('puts the far leg on the floor and the corner at the origin', () => {
    const { points } = standOnFarLeg(stub(90), 1);
    expect(at(points, 0).x).toBeCloseTo(0);
    expect(at(points, 0).y).toBeCloseTo(10.5);
    expect(at(points, 1)).toEqual({ x: 0, y: 0.5 });
    expect(at(points, 2).x).toBeCloseTo(20);
    expect(at(points, 2).y).toBeCloseTo(0.5);
  });

  it('lets the stub of a bend under 90° lean away from the far leg', () => {
    const under = standOnFarLeg(stub(85), 1).points;
    const over = standOnFarLeg(stub(95), 1).points;
    expect(at(under, 0).x).toBeLessThan(-0.8);
    expect(at(over, 0).x).toBeGreaterThan(0.8);
    for (const points of [under, over]) {
      expect(at(points, 2).y).toBeCloseTo(0.5);
    }
  });
});

describe('lines', () => {
  it('runs beside a straight at its distance, and round a corner on a mitre', () => {
    const square = beside(
      [
        { x: 0, y: 0 },
        { x: 10, y: 0 },
        { x: 10, y: 10 },
      ],
      1,
    );
    expect(at(square, 0)).toEqual({ x: 0, y: 1 });
    expect(at(square, 1).x).toBeCloseTo(9);
    expect(at(square, 1).y).toBeCloseTo(1);
  });

  it('finds a point along, and goes on straight past the end', () => {
    const line = [
      { x: 0, y: 0 },
      { x: 3, y: 0 },
      { x: 3, y: 4 },
    ];
    expect(along(line, 5).point).toEqual({ x: 3, y: 2 });
    expect(along(line, 9).point).toEqual({ x: 3, y: 6 });
    expect(along(line, 1).direction).toEqual({ x: 1, y: 0 });
  });

  it('meets where two lines cross, and nowhere where they are parallel', () => {
    expect(meet({ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 5, y: -3 }, { x: 0, y: 1 })).toEqual({ x: 5, y: 0 });
    expect(meet({ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 0, y: 1 }, { x: 1, y: 0 })).toBeUndefined();
  });

  it('draws a difference larger by its factor only', () => {
    const asked = [{ x: 0, y: 0 }];
    expect(exaggerated(asked, [{ x: 0.1, y: -0.2 }], 8)).toEqual([{ x: 0.8, y: -1.6 }]);
    expect(exaggerated(asked, asked, 16)).toEqual(asked);
  });
});

describe('the view', () => {
  it('fits a box whole, centred, with y upwards', () => {
    const box = boxAround([
      { x: 0, y: 0 },
      { x: 10, y: 5 },
    ]);
    const view = fit(box, 220, 120, { left: 10, right: 10, top: 10, bottom: 10 });
    expect(view.scale).toBe(20);
    expect(view.toScreen({ x: 0, y: 0 })).toEqual({ x: 10, y: 110 });
    expect(view.toScreen({ x: 10, y: 5 })).toEqual({ x: 210, y: 10 });
  });

  it('writes a path', () => {
    expect(
      path(
        [
          { x: 1, y: 2 },
          { x: 3, y: 4 },
        ],
        true,
      ),
    ).toBe('M1.00 2.00L3.00 4.00Z');
  });
});
