import { describe, expect, it } from 'vitest';
import { poseOf, stood } from './pose';

const LYING = { across: [1, 0, 0], up: [0, 1, 0], origin: [0, 0, 0], onDatumLeg: true };

describe('the pose of a piece', () => {
  it('lays a piece on its surface', () => {
    const pose = poseOf(
      {
        centreline: [
          [0, 0, 0],
          [20, 4, 0],
        ],
        pose: LYING,
      },
      1,
    );
    expect(pose.place([10, 4, 0])).toEqual({ x: 10, y: 4.5 });
    expect(pose.fromAbove).toBeUndefined();
    expect(pose.datum).toBe('level');
  });

  it('stands a U on its middle, with both legs up', () => {
    const centreline = [
      [0, 0, 0],
      [15, 0, 0],
      [20, 5, 0],
      [20, 25, 0],
      [15, 30, 0],
      [0, 30, 0],
    ];
    const standing = { across: [0, 1, 0], up: [-1, 0, 0], origin: [20, 0, 0], onDatumLeg: false };
    const pose = poseOf({ centreline, pose: standing }, 1);
    expect(centreline.map(pose.place).map(({ y }) => y)).toEqual([20.5, 5.5, 0.5, 0.5, 5.5, 20.5]);
    expect(pose.datum).toBe('up');
    expect(stood({ centreline, pose: standing }, 1)([20, 25, 3])).toEqual([25, 0.5, 3]);
  });

  it('lays a piece on the wall, seen the same way round from the front', () => {
    const onTheWall = { across: [1, 0, 0], up: [0, -1, 0], origin: [0, 0.5, 0], onDatumLeg: false };
    const place = stood({ centreline: [], pose: onTheWall }, 1);
    expect(place([20, 0.5, 2])).toEqual([20, 0.5, -2]);
    expect(place([0, 0, 0])).toEqual([0, 1, 0]);
  });

  it('shows a piece that leaves its plane from above as well, clear of the elevation', () => {
    const centreline = [
      [0, 0, 0],
      [30, 4, 3],
    ];
    const { fromAbove } = poseOf({ centreline, pose: LYING }, 1);
    expect(fromAbove?.([30, 4, 3]).y).toBeLessThan(-2);
    expect(fromAbove?.([0, 0, 0]).y).toBeCloseTo((fromAbove?.([30, 4, 3]).y ?? 0) - 3, 9);
  });

  it('lays what an earlier build remembers on its datum leg', () => {
    expect(poseOf({ centreline: [[0, 0, 0]] }, 1).place([10, 4, 0])).toEqual({ x: 10, y: 4.5 });
  });
});
