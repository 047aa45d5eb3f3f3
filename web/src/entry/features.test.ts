import { expect, test } from 'vitest';
import { featureHint, featureName, featureOf } from './features';

test('a feature is a kind and a number', () => {
  expect(featureOf('angle12')).toEqual({ kind: 'angle', number: 12 });
  expect(featureOf('otherLeg')).toEqual({ kind: 'otherLeg', number: undefined });
});

test('marks and angles are numbered where there are several', () => {
  expect(featureName('mark7')).toBe('Mark 7');
  expect(featureName('angle1', 1)).toBe('Angle');
  expect(featureName('between')).toBe('Back to back');
});

test('a feature that this build does not know goes by its id', () => {
  expect(featureName('wobble')).toBe('wobble');
  expect(featureHint('wobble')).toBe('');
  expect(featureHint('angle3')).toContain('level');
});
