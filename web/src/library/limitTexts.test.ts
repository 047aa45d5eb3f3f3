import { expect, test } from 'vitest';
import { limitsOf, limitTexts } from './limitTexts';
import { weighedIn } from './weighed';
import type { Schemas } from '../api/client';

const SITE: Schemas['ToleranceFigures'] = {
  preset: 'Site',
  lengthIn: 0.125,
  angleDeg: 2,
  dogLegDeg: 2,
  passMark: 70,
};
const ROWS = weighedIn(SITE);

test('limits are typed as they stand, and a feature without limits of its own has none', () => {
  const texts = limitTexts(ROWS, { leg: { over: 0.125, under: 0.25 }, angle: { over: 1, under: 2 } }, 'in');
  expect(texts['Leg']).toEqual({ over: '1/8', under: '1/4' });
  expect(texts['Angles']).toEqual({ over: '1', under: '2' });
  expect(texts['Rise']).toEqual({ over: '', under: '' });
});

test('what is typed for marks is kept for all of them; the other side is the set’s own', () => {
  const texts = { ...limitTexts(ROWS, {}, 'in'), Marks: { over: '1/16', under: '' } };
  const limits = limitsOf(
    ROWS,
    texts,
    () => 0.0625,
    () => 0.125,
  );
  expect(limits).toEqual({ mark: { over: 0.0625, under: 0.125 } });
});

test('rows are the kinds, and below them whatever else is said of one', () => {
  const names = (figures: typeof SITE) => weighedIn(figures).map(({ name }) => name);
  expect(names(SITE).slice(0, 4)).toEqual(['Marks', 'Angles', 'Turns', 'Flattenings']);
  expect(names({ ...SITE, weights: { angle2: 3 }, limits: { mark7: { over: 1, under: 1 } } }).slice(0, 6)).toEqual([
    'Marks',
    'Mark 7',
    'Angles',
    'Angle 2',
    'Turns',
    'Flattenings',
  ]);
});
