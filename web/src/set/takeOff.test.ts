import { describe, expect, it } from 'vitest';
import { isTakenOff, takeOffOf, takeOffText } from './takeOff';

describe('two tape readings', () => {
  it.each([
    [{ far: '71 1/4', near: '40 5/8', play: '1/8', insertion: '5/8' }, '71 1/4 − 40 5/8 − 1/8 + 5/8'],
    [{ far: '71 1/4', near: '40 5/8', play: '', insertion: '' }, '71 1/4 − 40 5/8'],
    [{ far: '30', near: '', play: '', insertion: '5/8' }, '30 + 5/8'],
    [{ far: '14-3/8', near: '', play: '', insertion: '' }, '14-3/8'],
  ])('%o is written %s, and read back', (takeOff, text) => {
    expect(takeOffText(takeOff)).toBe(text);
    expect(takeOffOf(text)).toEqual(takeOff);
  });

  it('writes a play without a near reading so that it stays the play', () => {
    expect(takeOffText({ far: '30', near: '', play: '1/8', insertion: '' })).toBe('30 − 0 − 1/8');
  });

  it('takes a hyphen within a fraction for no reading', () => {
    expect(isTakenOff('14-3/8')).toBe(false);
    expect(isTakenOff('71 1/4 - 40 5/8')).toBe(true);
  });
});
