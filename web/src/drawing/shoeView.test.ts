import { describe, expect, it } from 'vitest';
import { arrowHead, asSeen, FROM_THE_SIDE, FROM_THERE, notYetTurned, turnArrow, turnWords } from './shoeView';
import { seen } from './turn';

describe('a bend as it is seen', () => {
  it('has what is to the person’s left on the left, and what is near the person in front', () => {
    const left = seen(asSeen([0, 0, 10]), FROM_THERE);
    const near = seen(asSeen([30, 0, 0]), FROM_THERE);
    expect(left.x).toBeLessThan(0);
    expect(near.near).toBeGreaterThan(seen(asSeen([0, 0, 0]), FROM_THERE).near);
  });

  it('has the person to the right when it is seen from the side', () => {
    expect(seen(asSeen([30, 0, 0]), FROM_THE_SIDE).x).toBeCloseTo(30);
    expect(seen(asSeen([0, 20, 0]), FROM_THE_SIDE).y).toBeGreaterThan(19);
  });

  it('comes from where it was before it was turned: clockwise takes what stands up to the right', () => {
    // Before a quarter turn clockwise, what shall stand up lay to the left.
    const [up] = notYetTurned([[5, 11, 0]], 90, 1);
    expect(up?.[0]).toBeCloseTo(5);
    expect(up?.[1]).toBeCloseTo(1);
    expect(up?.[2]).toBeCloseTo(10);
    expect(notYetTurned([[5, 11, 0]], 0, 1)[0]).toEqual([5, 11, 0]);
  });

  it('has an arrow that goes the way it is turned, from the top', () => {
    const clockwise = turnArrow(90, 1, 4, 40);
    expect(clockwise[0]).toEqual([40, 5, -0]);
    expect(clockwise.at(-1)?.[2]).toBeCloseTo(-4);
    expect(turnArrow(-90, 1, 4, 40).at(-1)?.[2]).toBeCloseTo(4);
    // A turn of a few degrees is shown large enough to be seen.
    expect(Math.abs(turnArrow(5, 1, 4, 40).at(-1)?.[2] ?? 0)).toBeGreaterThan(2);
  });

  it('points with its head along its end', () => {
    const head = arrowHead(
      [
        { x: 0, y: 0 },
        { x: 5, y: 0 },
        { x: 10, y: 0 },
      ],
      4,
    );
    expect(head[1]).toEqual({ x: 10, y: 0 });
    expect(head[0]?.x).toBe(6);
    expect(arrowHead([{ x: 0, y: 0 }], 4)).toEqual([]);
  });

  it.each([
    [90, '90° clockwise'],
    [-22.5, '22.5° anticlockwise'],
    [180, '180°'],
    [-180, '180°'],
    [0, undefined],
  ])('says a turn of %s°', (turn, words) => {
    expect(turnWords(turn)).toBe(words);
  });
});
