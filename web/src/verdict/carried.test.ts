import { expect, it } from 'vitest';
import { carriedShortly, carriedWords } from './carried';

it('names the slips that a place follows from', () => {
  const far = { carried: 'earlierPlace', carriedFrom: ['leg2', 'angle3'] } as const;
  expect(carriedWords(far, 4)).toBe('follows from leg 2 and angle 3: charged there');
  expect(carriedShortly(far, 4)).toBe('follows from leg 2 and angle 3');
});

it('does without where a device remembers none', () => {
  expect(carriedWords({ carried: 'earlierPlace' }, 4)).toBe('follows from an earlier slip: charged there');
});

it.each(['ownFigure', 'earlierMark', 'sameSlip'] as const)('says of marks why: %s', (carried) => {
  expect(carriedWords({ carried, carriedFrom: [] }, 2)).toMatch(/charged (there|as arithmetic)/);
  expect(carriedShortly({ carried, carriedFrom: [] }, 2)).not.toBe('');
});
