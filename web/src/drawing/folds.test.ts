import { expect, it } from 'vitest';
import { breakAt, folded, foldedBox, foldsOf, UNFOLDED, USUAL_BREAK } from './folds';
import { boxAround } from './geometry';

/** An offset of 6 in at 45° between two long straights, centreline on y = 0. */
const offset = [
  { x: 0, y: 0 },
  { x: 40, y: 0 },
  { x: 46, y: 6 },
  { x: 90, y: 6 },
];

it('folds long straights, and leaves slopes and what is near them alone', () => {
  const { x, y } = foldsOf({ lines: [offset], kept: [] }, boxAround(offset), 2);
  expect(y).toEqual([]);
  expect(x).toHaveLength(2);
  x.forEach(({ from, to }) => {
    expect(to < 40 || from > 46).toBe(true);
  });
  // The slope keeps its angle.
  expect(folded(x, 46) - folded(x, 40)).toBeCloseTo(6, 9);
  const box = foldedBox({ x, y }, boxAround(offset));
  expect(box.right - box.left).toBeLessThan(25);
});

it('folds no more than makes the picture larger', () => {
  // So wide a room that the height is what limits it: half of the straights is enough.
  const { x } = foldsOf({ lines: [offset], kept: [] }, boxAround(offset), 9);
  const box = foldedBox({ x, y: [] }, boxAround(offset));
  expect((box.right - box.left) / 6).toBeCloseTo(9, 6);
});

it('is monotonic, and keeps ends of dimensions and rings in sight', () => {
  const kept = [
    { x: 20, y: 0 },
    { x: 70, y: 6 },
  ];
  const { x } = foldsOf({ lines: [offset], kept }, boxAround(offset), 2);
  expect(x.every(({ from, to }) => kept.every((point) => point.x < from || point.x > to))).toBe(true);
  for (let at = -5; at < 95; at += 0.5) {
    expect(folded(x, at + 0.5)).toBeGreaterThan(folded(x, at));
  }
});

it('folds upright legs likewise, and nothing that is short', () => {
  const stub = [
    { x: 0, y: 60 },
    { x: 0, y: 6 },
    { x: 6, y: 0 },
    { x: 26, y: 0 },
  ];
  const { x, y } = foldsOf({ lines: [stub], kept: [] }, boxAround(stub), 1.5);
  expect(y.length).toBe(1);
  expect(x.every(({ from }) => from > 6)).toBe(true);
  const short = offset.map((point) => ({ x: point.x > 43 ? point.x - 80 : point.x - 38, y: point.y }));
  expect(foldsOf({ lines: [short.slice(0, 3)], kept: [] }, boxAround(short.slice(0, 3)), 2)).toEqual(UNFOLDED);
});

it('leaves more of a straight where it is drawn small: the sign of a break is as large on every screen', () => {
  const small = breakAt(6);
  const { x } = foldsOf({ lines: [offset], kept: [] }, boxAround(offset), 2, small);
  expect(x).toHaveLength(2);
  expect((x[0]?.from ?? 0) * 6).toBeGreaterThan(15.9);
  expect((x[0]?.drawn ?? 0) * 6).toBeGreaterThan(13.9);
  expect(breakAt(40)).toEqual(USUAL_BREAK);
});
