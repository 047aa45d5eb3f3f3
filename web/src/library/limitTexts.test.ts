import { expect, test } from 'vitest';
import { limitsOf, limitTexts } from './limitTexts';
import { WEIGHED } from './weighed';

test('limits are typed as they stand, and a feature without limits of its own has none', () => {
  const texts = limitTexts(WEIGHED, { leg: { over: 0.125, under: 0.25 }, angle1: { over: 1, under: 2 } }, 'in');
  expect(texts['Leg']).toEqual({ over: '1/8', under: '1/4' });
  expect(texts['Angles']).toEqual({ over: '1', under: '2' });
  expect(texts['Rise']).toEqual({ over: '', under: '' });
});

test('what is typed for a group is kept for each of its features; the other side is the set’s own', () => {
  const texts = { ...limitTexts(WEIGHED, {}, 'in'), Marks: { over: '1/16', under: '' } };
  const limits = limitsOf(
    WEIGHED,
    texts,
    () => 0.0625,
    () => 0.125,
  );
  expect(Object.keys(limits)).toEqual(['mark1', 'mark2', 'mark3', 'mark4']);
  expect(limits['mark3']).toEqual({ over: 0.0625, under: 0.125 });
});
