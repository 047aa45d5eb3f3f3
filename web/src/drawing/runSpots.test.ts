import { describe, expect, it } from 'vitest';
import { poseOf } from './pose';
import { spread } from './runSpots';

describe('spreading places along a line', () => {
  it('leaves alone what has room', () => {
    expect(spread([100, 300, 500], 80, 0, 600)).toEqual([100, 300, 500]);
  });

  it('moves what is too close apart evenly, keeping the order', () => {
    const [a = 0, b = 0] = spread([200, 210], 80, 0, 600);
    expect(b - a).toBeCloseTo(80, 6);
    expect((a + b) / 2).toBeCloseTo(205, 6);
  });

  it('stays within its bounds, closer together if there is no other way', () => {
    for (const wanted of [
      [0, 0, 0, 0],
      [590, 600, 600, 610],
      [300, 10, 300, 590],
    ]) {
      const placed = [...spread(wanted, 250, 20, 580)].sort((x, y) => x - y);
      expect(placed[0]).toBeGreaterThanOrEqual(20 - 1e-6);
      expect(placed.at(-1)).toBeLessThanOrEqual(580 + 1e-6);
      placed.slice(1).forEach((x, i) => {
        expect(x - (placed[i] ?? 0)).toBeCloseTo(560 / 3, 3);
      });
    }
  });
});

describe('the pose of a piece', () => {
  it('lays a run on its surface', () => {
    const pose = poseOf('offset', [[0, 0, 0]], 1);
    expect(pose.place([10, 4, 0])).toEqual({ x: 10, y: 4.5 });
    expect(pose.fromAbove).toBeUndefined();
  });

  it('stands a U on its middle, with both legs up', () => {
    const asked = [
      [0, 0, 0],
      [15, 0, 0],
      [20, 5, 0],
      [20, 25, 0],
      [15, 30, 0],
      [0, 30, 0],
    ];
    const pose = poseOf('backToBack90', asked, 1);
    expect(asked.map(pose.place).map(({ y }) => y)).toEqual([20.5, 5.5, 0.5, 0.5, 5.5, 20.5]);
  });

  it('shows a rolling offset from above as well, clear of the elevation', () => {
    const pose = poseOf(
      'rollingOffset',
      [
        [0, 0, 0],
        [30, 4, 3],
      ],
      1,
    );
    expect(pose.fromAbove?.([30, 4, 3]).y).toBeLessThan(-2);
    expect(pose.fromAbove?.([0, 0, 0]).y).toBeCloseTo((pose.fromAbove?.([30, 4, 3]).y ?? 0) - 3, 9);
  });
});
