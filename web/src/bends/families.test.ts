import { expect, test } from 'vitest';
import { FAMILIES, familyOf, inSentence, TOOL_MARK } from './families';
import { KINDS } from './kinds';

test('every kind of bend is there with every sort of tool', () => {
  expect(FAMILIES).toHaveLength(KINDS.length * Object.keys(TOOL_MARK).length);
});

test('by hand a family is called as its bend is', () => {
  expect(familyOf('offset')).toMatchObject({ kind: 'offset', tool: 'shoe', name: 'Offset' });
  expect(familyOf('offset.machine')).toMatchObject({ kind: 'offset', tool: 'machine' });
  expect(inSentence('stub90.former')).toBe('stub ninety with heat');
});

test('what nobody knows is shown as the first', () => {
  expect(familyOf('knot').id).toBe('stub90');
});
