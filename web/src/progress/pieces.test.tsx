import { cleanup, render } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { PieceMarks, piecesInWords } from './PieceMarks';
import { StandingMark } from './StandingMark';
import { STANDING_ORDER, STANDINGS } from './standings';

const PASS = { points: 90, passed: true };
const MISS = { points: 40, passed: false };

afterEach(cleanup);

test('last pieces are told in words', () => {
  expect(piecesInWords([])).toBe('no piece');
  expect(piecesInWords([PASS, MISS, PASS])).toBe('2 of the last 3 passed');
});

test('a pass and a miss differ by shape, not by colour alone', () => {
  const { container } = render(<PieceMarks pieces={[PASS, MISS]} />);
  expect(container.querySelectorAll('circle')).toHaveLength(1);
  expect(container.querySelectorAll('path')).toHaveLength(1);
});

test('only the last pieces are drawn, the newest at the right', () => {
  const { container } = render(<PieceMarks pieces={[MISS, PASS, PASS, PASS]} most={3} />);
  expect(container.querySelectorAll('path')).toHaveLength(0);
  expect(container.querySelectorAll('circle')).toHaveLength(3);
});

test('every standing has a shape of its own', () => {
  const shapes = STANDING_ORDER.map((standing) => {
    const { container } = render(<StandingMark standing={standing} />);
    return ['line', 'rect', 'path'].map((part) => container.querySelectorAll(part).length).join(' ');
  });
  expect(new Set(shapes).size).toBe(STANDING_ORDER.length);
});

test('standings go from nothing to a signature, with a ring more each', () => {
  expect(STANDING_ORDER.map((standing) => STANDINGS[standing].rings)).toEqual([0, 1, 2, 3, 3]);
});
