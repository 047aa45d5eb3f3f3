import { describe, expect, it } from 'vitest';
import { APART, type Ground, overlap, placeLabels, rectOf, type Wanted } from './labels';

const empty: Ground = { width: 600, height: 400, texts: [], bodies: [], blocks: [] };
const label = (id: string, x: number, y: number, more: Partial<Wanted> = {}): Wanted => ({
  id,
  width: 100,
  height: 40,
  at: { x, y },
  ...more,
});

describe('places of labels', () => {
  it('are where they would best be while nothing is in the way', () => {
    const { middles } = placeLabels([label('a', 200, 100), label('b', 400, 300)], empty);
    expect(middles.get('a')).toEqual({ x: 200, y: 100 });
    expect(middles.get('b')).toEqual({ x: 400, y: 300 });
  });

  it('lie apart, also where all would be at one place, and stay on the drawing', () => {
    const wanted = Array.from({ length: 9 }, (_, i) => label(String(i), 20, 20));
    const { middles, crowded } = placeLabels(wanted, empty);
    const rects = wanted.map((each) => rectOf(each, middles.get(each.id) ?? { x: 0, y: 0 }));
    expect(crowded).toBe(0);
    rects.forEach((one, i) => {
      expect(one.left).toBeGreaterThanOrEqual(0);
      expect(one.top).toBeGreaterThanOrEqual(0);
      rects.slice(i + 1).forEach((other) => {
        expect(overlap(one, other, APART - 0.1)).toBe(false);
      });
    });
  });

  it('are off the piece and off what is written there already', () => {
    const ground: Ground = {
      ...empty,
      texts: [{ left: 180, right: 420, top: 100, bottom: 180 }],
      bodies: [
        {
          points: [
            { x: 0, y: 200 },
            { x: 600, y: 200 },
          ],
          halfWidth: 12,
        },
      ],
    };
    const { middles, over } = placeLabels([label('a', 300, 190)], ground);
    const { y } = middles.get('a') ?? { y: 0 };
    expect(over).toBe(0);
    expect(y - 20).toBeGreaterThan(212);
  });

  it('leave room below what somebody writes in', () => {
    const { middles } = placeLabels([label('a', 300, 100, { below: 90 }), label('b', 300, 160)], empty);
    const above = rectOf(label('a', 0, 0, { below: 90 }), middles.get('a') ?? { x: 0, y: 0 });
    const beneath = rectOf(label('b', 0, 0), middles.get('b') ?? { x: 0, y: 0 });
    expect(overlap(above, beneath)).toBe(false);
  });

  it('lead to what they are about past other figures', () => {
    const first = label('first', 300, 150);
    const second = label('second', 300, 100, { anchor: { x: 300, y: 200 } });
    const { middles } = placeLabels([first, second], empty);
    const { x, y } = middles.get('second') ?? { x: 300, y: 100 };
    // Straight above, its line would run through the first.
    expect(Math.abs(x - 300) > 90 || y > 170).toBe(true);
  });

  it('are not on the dimension line of another, where they would be taken for its figure', () => {
    const leg = label('leg', 300, 200, { line: { from: { x: 300, y: 60 }, to: { x: 300, y: 340 } } });
    const { middles } = placeLabels([leg, label('mark', 310, 120)], empty);
    expect(middles.get('leg')).toEqual({ x: 300, y: 200 });
    const { left = 0, right = 0 } = rectOf(label('mark', 0, 0), middles.get('mark') ?? { x: 310, y: 120 });
    expect(right <= 300 || left >= 300).toBe(true);
  });

  it('say so where there is no room', () => {
    const wanted = Array.from({ length: 40 }, (_, i) => label(String(i), 300, 200, { width: 180, height: 80 }));
    expect(placeLabels(wanted, empty).crowded).toBeGreaterThan(0);
  });
});
