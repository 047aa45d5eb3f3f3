import { describe, expect, it } from 'vitest';
import type { Attempt } from '../api/queries';
import { floorUnder, isByLevel, levelWords, takenOff } from './level';

const over = (deg?: number): Attempt =>
  ({ bench: deg === undefined ? {} : { floor: { deg, text: String(deg) } } }) as unknown as Attempt;

describe('a level', () => {
  it('is laid on angles, and on nothing else', () => {
    expect(['angle1', 'angle4', 'dogLeg', 'leg', 'mark1'].map(isByLevel)).toEqual([true, true, false, false, false]);
  });

  it('has the floor taken off, of angles only', () => {
    expect(takenOff(over(0.5), 'angle1')).toBe(0.5);
    expect(takenOff(over(0.5), 'leg')).toBe(0);
    expect(takenOff(over(), 'angle1')).toBe(0);
    expect(floorUnder(over())).toBeUndefined();
  });

  it('says both figures and what they come to', () => {
    expect(levelWords({ readDeg: 89.5, floorDeg: 0.5 })).toBe('89.5° read, floor +0.5°, so 89°');
    expect(levelWords({ readDeg: 89, floorDeg: -1 })).toBe('89° read, floor −1°, so 90°');
  });
});
