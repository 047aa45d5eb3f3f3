import { expect, test } from 'vitest';
import { hookWords, onRing } from './onRing';

test('each tool calls what stands on a ring by its own name', () => {
  expect(onRing('arrow', 'shoe')).toBe('arrow');
  expect(onRing('arrow', 'machine')).toBe('front of shoe');
  expect(onRing('middle', 'former')).toBe('middle of the curve');
});

test('a shoe looks to a side, and without one nothing does', () => {
  expect(hookWords('datum', 'shoe')).toEqual({ sign: '◂', side: 'hook', end: 'datum end', towards: -1 });
  expect(hookWords('far', 'machine')).toEqual({ sign: '▸', side: 'front', end: 'far end', towards: 1 });
  expect(hookWords(null, 'former')).toBeUndefined();
});
