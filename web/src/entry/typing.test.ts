import { describe, expect, it } from 'vitest';
import { SIXTEENTHS, typeBackspace, typeDigit, typeFraction, typeMinus } from './typing';

describe('the fraction pad', () => {
  it('takes two digits and one tap for 14 3/8', () => {
    expect(typeFraction(typeDigit(typeDigit('', '1'), '4'), '3/8')).toBe('14 3/8');
  });

  it('replaces a fraction by another, and begins a new figure after one', () => {
    expect(typeFraction('14 3/8', '7/16')).toBe('14 7/16');
    expect(typeFraction('', '1/2')).toBe('1/2');
    expect(typeDigit('14 3/8', '2')).toBe('2');
  });

  it('takes back a whole fraction, then single digits', () => {
    expect(typeBackspace('14 3/8')).toBe('14');
    expect(typeBackspace('14')).toBe('1');
    expect(typeBackspace('')).toBe('');
  });

  it('offers the fifteen sixteenths in lowest terms', () => {
    expect(SIXTEENTHS).toHaveLength(15);
    expect(SIXTEENTHS.slice(0, 4)).toEqual(['1/16', '1/8', '3/16', '1/4']);
    expect(SIXTEENTHS[7]).toBe('1/2');
  });
});

describe('the minus key', () => {
  it('stands before the figure, and goes again', () => {
    expect(typeMinus('1/8')).toBe('−1/8');
    expect(typeMinus('−1/8')).toBe('1/8');
    expect(typeFraction(typeMinus(''), '3/16')).toBe('− 3/16');
  });
});
