import { describe, expect, it } from 'vitest';
import { arcsOfLegs, type Course, partOnWall, wallsOf } from './walls';

const corner: Course = {
  legs: [{ towards: 'right' }, { towards: 'up' }, { towards: 'right' }, { towards: 'out' }, { towards: 'down' }],
  startOffset: {},
  endOffset: {},
  along: [{ leg: 3, kind: 'saddle3' }],
};

const points = [
  [0, 0, 0],
  [20, 0, 0],
  [20, 30, 0],
  [50, 30, 0],
  [50, 30, 25],
  [50, 0, 25],
];

describe('the walls of a run', () => {
  it('count the arcs of each leg from the datum end, with the ninety after them', () => {
    expect(arcsOfLegs(corner)).toEqual([
      { from: 0, to: 2 },
      { from: 3, to: 3 },
      { from: 4, to: 7 },
      { from: 8, to: 8 },
      { from: 9, to: 11 },
    ]);
  });

  it('hold as many legs as lie in one plane, and share the leg on which they meet', () => {
    const walls = wallsOf(corner, points);
    expect(walls.map(({ title, legs }) => [title, legs])).toEqual([
      ['Facing the wall', [1, 2, 3]],
      ['From above', [3, 4]],
      ['Facing right', [4, 5]],
    ]);
  });

  it('say how the run comes and goes: out of the wall is towards who faces it', () => {
    const [wall, above, right] = wallsOf(corner, points);
    expect([wall?.before, wall?.after]).toEqual([undefined, 'towards']);
    // It comes up from below, and goes down again.
    expect([above?.before, above?.after]).toEqual(['away', 'away']);
    expect([right?.before, right?.after]).toEqual(['towards', undefined]);
  });

  it('show what is to the right of who faces a side wall on the right', () => {
    const right = wallsOf(corner, points)[2];
    expect(right?.place([50, 30, 25])).toEqual({ x: 25, y: 30 });
  });

  it('take their part of the centreline with the ninetys between their legs, and no others', () => {
    const walls = wallsOf(corner, points);
    const perArc = 3;
    const line = [
      'datum',
      ...Array.from({ length: 11 * perArc }, (_, i) => `${String(Math.floor(i / perArc))}`),
      'far',
    ];
    // Of the ninety that leads away, or comes, only the end that touches the wall.
    const [first = [], , last = []] = walls.map((wall) => partOnWall(line, 11, wall));
    expect(new Set(first)).toEqual(new Set(['datum', '0', '1', '2', '3', '4', '5', '6', '7']));
    expect(first.filter((arc) => arc === '7')).toHaveLength(1);
    expect(new Set(last)).toEqual(new Set(['7', '8', '9', '10', 'far']));
    expect(last.filter((arc) => arc === '7')).toHaveLength(1);
  });

  it('are one where everything lies in it, and one for a single leg', () => {
    const flat: Course = { legs: [{ towards: 'right' }, { towards: 'up' }] };
    expect(wallsOf(flat, points)).toHaveLength(1);
    expect(wallsOf({ legs: [{ towards: 'out' }] }, points)).toHaveLength(1);
  });
});
