import { expect, test } from 'vitest';
import { FEATURES, kindOf, KINDS } from './kinds';
import { featureOf } from '../entry/features';

test.each(KINDS)(
  '$name has sizes to begin with, in either unit, and names for all of its choices',
  ({ inputs, choices }) => {
    for (const { first, optional } of inputs) {
      if (!optional || first.in !== '') {
        expect(first.in).not.toBe('');
        expect(first.mm).not.toBe('');
      }
    }
    for (const { options } of choices) {
      expect(options.length).toBeGreaterThan(1);
      expect(new Set(options.map(({ name }) => name)).size).toBe(options.length);
    }
  },
);

test('an input stands on the dimension of a feature, over an obstacle, or only in the list', () => {
  const places = KINDS.flatMap(({ inputs }) => inputs.flatMap(({ at }) => (at == null ? [] : [at])));
  const known = new Set(FEATURES.map(({ id }) => id));
  expect(places.filter((place) => place !== 'clearance' && !known.has(featureOf(place).kind))).toEqual([]);
});

test('a kind that nobody knows is the one that is learnt first', () => {
  expect(kindOf('loop').kind).toBe('stub90');
});
