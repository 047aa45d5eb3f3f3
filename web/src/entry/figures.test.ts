import { describe, expect, it } from 'vitest';
import cases from './figures.cases.json';
import { degreeParts, inchParts, millimetreParts, partsToText, quantityText } from './figures';

function written(inches: number, division: string, signed: boolean): string {
  switch (division) {
    case '1 mm':
      return partsToText(millimetreParts(inches, 0, signed));
    case '0.1 mm':
      return partsToText(millimetreParts(inches, 1, signed));
    default:
      return partsToText(inchParts(inches, Number(division.slice(2)), signed));
  }
}

describe('figures on screen', () => {
  it.each(cases)('$inches in at $division is $text, as the core writes it', ({ inches, division, signed, text }) => {
    expect(written(inches, division, signed)).toBe(text);
  });

  it('writes every sixteenth in lowest terms', () => {
    for (let i = 0; i < 480 * 16; i += 7) {
      const { whole, fraction } = inchParts(i / 16, 16);
      const [numerator = 0, denominator = 1] = fraction === '' ? [0, 1] : fraction.split('/').map(Number);
      expect(Number(whole) + numerator / denominator).toBe(i / 16);
      expect(fraction === '' || numerator % 2 === 1).toBe(true);
    }
  });

  it('writes angles to a tenth, with a sign only where asked', () => {
    expect(partsToText(degreeParts(22.5))).toBe('22.5°');
    expect(partsToText(degreeParts(1.25, true))).toBe('+1.3°');
    expect(partsToText(degreeParts(-0.04, true))).toBe('0°');
  });

  it('shows deviations finer than the lines of the tape', () => {
    expect(quantityText(0.03125, 'in', 'in', { signed: true })).toBe('+1/32');
    expect(quantityText(17.640625, 'in', 'in')).toBe('17 5/8');
    expect(quantityText(0.03125, 'in', 'mm', { signed: true })).toBe('+0.8 mm');
  });
});
