import { describe, expect, it } from 'vitest';
import { lengthBefore, onPlan, partOnWall, type Wall, wallOf } from './walls';

/** Right, up and right again on the wall, out along the ceiling, and down: with an offset at each end. */
const WALLS: Wall[] = [
  {
    title: 'Facing the wall',
    legs: [1, 2, 3],
    across: [1, 0, 0],
    up: [0, 1, 0],
    firstArc: 0,
    arcsEnd: 4,
    after: 'towards',
  },
  {
    title: 'From above',
    legs: [3, 4],
    across: [1, 0, 0],
    up: [0, 0, -1],
    firstArc: 4,
    arcsEnd: 5,
    before: 'away',
    after: 'away',
  },
  { title: 'Facing right', legs: [4, 5], across: [0, 0, 1], up: [0, 1, 0], firstArc: 5, arcsEnd: 8, before: 'towards' },
];

const PER_ARC = 3;
const ARCS = 8;
const line = ['datum', ...Array.from({ length: ARCS * PER_ARC }, (_, i) => String(Math.floor(i / PER_ARC))), 'far'];

describe('the walls of a run', () => {
  it('have their part of the centreline, and of the ninety that leads away only the end that touches the wall', () => {
    const [first = [], , last = []] = WALLS.map((wall) => partOnWall(line, ARCS, wall));
    expect(new Set(first)).toEqual(new Set(['datum', '0', '1', '2', '3', '4']));
    expect(first.filter((arc) => arc === '4')).toHaveLength(1);
    expect(new Set(last)).toEqual(new Set(['4', '5', '6', '7', 'far']));
    expect(last.filter((arc) => arc === '4')).toHaveLength(1);
  });

  it('know how much conduit there is before them', () => {
    const straight = [[0, 0, 0], ...Array.from({ length: ARCS * PER_ARC }, (_, i) => [i + 1, 0, 0]), [25, 0, 0]];
    const before = WALLS.map((wall) => lengthBefore(straight, ARCS, wall));
    expect(before).toEqual([0, 12, 15]);
  });

  it('show a piece as it is seen facing them', () => {
    const [, above, right] = WALLS.map((wall) => onPlan(wall)([50, 30, 25]));
    expect(above).toEqual({ x: 50, y: -25 });
    expect(right).toEqual({ x: 25, y: 30 });
  });

  it.each([
    ['leg1', 0],
    ['leg3', 0],
    ['leg5', 2],
    ['mark2', 0],
    ['angle4', 0],
    ['angle5', 1],
    ['mark8', 2],
    ['turn1', 0],
    ['turn2', 1],
    ['startRise', 0],
    ['endRise', 2],
    ['rise4', 1],
    ['reachUp', undefined],
    ['dogLeg', undefined],
  ] as const)('read %s on wall %s', (id, wall) => {
    expect(wallOf(WALLS, id)).toBe(wall);
  });
});
