import { describe, expect, it } from 'vitest';
import { Pace } from './takenWith';

const typed = (...millis: number[]) => {
  const pace = new Pace();
  millis.forEach((each) => {
    pace.key(each);
  });
  return pace;
};

describe('the pace of keys', () => {
  it('tells a gauge from a hand', () => {
    expect(typed(0, 5, 11, 14, 20).isBurst(5)).toBe(true);
    expect(typed(0, 120, 260, 390).isBurst(4)).toBe(false);
    expect(typed(0, 5, 90, 95, 200, 300).isBurst(6)).toBe(false);
    expect(typed(0, 5, 10).isBurst(4)).toBe(true);
  });

  it('takes no two quick keys for a gauge', () => {
    expect(typed(0, 10).isBurst(2)).toBe(false);
  });

  it('looks at the keys of this reading only', () => {
    const pace = typed(0, 5, 10, 15);
    pace.reset();
    pace.key(1000);
    expect(pace.isBurst(3)).toBe(false);
  });
});
