import { expect, it } from 'vitest';
import type { BenchCore } from '../benchcore/useBenchCore';
import { BLANK_NINETY, readNineties, sourceOf, withBlankNinety } from './testNineties';

/** Reads plain numbers, and calls everything else wrong. */
const core = {
  read: (_feature: string, text: string) =>
    Number.isNaN(Number(text)) ? { problem: `“${text}” is no size` } : { value: Number(text) },
} as unknown as BenchCore;

const whole = { straight: '40', mark: '12', markedLeg: '18.25', otherLeg: '25', angle: '90' };

it('takes whole lines, and waits for the others', () => {
  const half = { ...BLANK_NINETY, straight: '36' };
  expect(readNineties(core, [whole, half, BLANK_NINETY], 'in')).toEqual({
    tests: [{ straightIn: 40, markIn: 12, markedLegIn: 18.25, otherLegIn: 25, angleDeg: 90 }],
    problems: [],
  });
});

it('says in which line something cannot be read', () => {
  const wrong = { ...whole, mark: 'twelve' };
  expect(readNineties(core, [whole, wrong], 'in').problems).toEqual([{ line: 1, message: '“twelve” is no size' }]);
});

it('always has a blank line to go on', () => {
  expect(withBlankNinety([whole])).toEqual([whole, BLANK_NINETY]);
  expect(withBlankNinety([whole, BLANK_NINETY])).toHaveLength(2);
});

it('says where figures come from', () => {
  expect(sourceOf(1)).toBe('Of one test bend');
  expect(sourceOf(3)).toBe('Of 3 test bends');
});
