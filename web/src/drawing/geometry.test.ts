import { describe, expect, it } from 'vitest';
import { along, at, beside, boxAround, exaggerated, fit, path } from './geometry';

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
