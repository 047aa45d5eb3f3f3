import { expect, test } from 'vitest';
import { nameOnWall } from './Wall';

test('a name is read in the room as the school wants it', () => {
  expect(nameOnWall('Odile Farrant', { scores: true, initials: false })).toBe('Odile Farrant');
  expect(nameOnWall('Odile  Marie Farrant', { scores: true, initials: true })).toBe('O. M. F.');
  expect(nameOnWall('Ælfric Ørn', { scores: true, initials: true })).toBe('Æ. Ø.');
});
