import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, test } from 'vitest';
import { drawnIn } from '../testing/signedIn';
import { agreeing, type DisplayUnit, quantityText } from './figures';
import { Target } from './Target';

afterEach(cleanup);

/** Target, reading and deviation as they stand on one line. */
function line(target: number, read: number, unit: 'in' | 'deg', display: DisplayUnit): string[] {
  const off = read - target;
  const shown = agreeing({ target, read, off }, unit, display);
  return [
    quantityText(target, unit, display, shown),
    quantityText(read, unit, display, shown),
    quantityText(off, unit, display, { signed: true, ...shown }),
  ];
}

describe('values on one line', () => {
  it.each([
    ['lines of the tape stay lines', 8.1875, 8.25, 'in', 'in', ['8 3/16', '8 1/4', '+1/16']],
    ['a half line is shown as it is', 8.1875, 8.21875, 'in', 'in', ['8 3/16', '8 7/32', '+1/32']],
    // At 1/16 it would be 8 1/8, 8 3/16 and nothing; 8.16 is nearer to 8 5/32.
    ['what no line is has one place more', 8.16, 8.1875, 'in', 'in', ['8 5/32', '8 3/16', '+1/32']],
    ['whole millimetres', 450 / 25.4, 453 / 25.4, 'in', 'mm', ['450 mm', '453 mm', '+3 mm']],
    // 447.675 and 449.3 are 448 and 449, and off by 1.6: that is 2.
    ['millimetres that would disagree', 17.625, 449.3 / 25.4, 'in', 'mm', ['447.7 mm', '449.3 mm', '+1.6 mm']],
    ['degrees', 22.5, 24, 'deg', 'in', ['22.5°', '24°', '+1.5°']],
  ] as const)('%s', (_, target, read, unit, display, shown) => {
    expect(line(target, read, unit, display)).toEqual(shown);
  });

  it('always add up, whatever is read', () => {
    const number = (text: string) => {
      const sizes = text
        .replace(/[+−]| mm/g, '')
        .split(' ')
        .map((part) => part.split('/').map(Number))
        .map(([top = 0, bottom = 1]) => top / bottom);
      return (text.startsWith('−') ? -1 : 1) * sizes.reduce((sum, size) => sum + size, 0);
    };
    for (let i = 1; i < 400; i++) {
      const target = 5 + ((i * 0.377) % 30);
      const about = target + Math.sin(i) * 0.6;
      for (const display of ['in', 'mm'] as const) {
        // As people read: a line of the tape or half of one, or a tenth of a millimetre.
        const read = display === 'in' ? Math.round(about * 32) / 32 : Math.round(about * 254) / 254;
        const [asked = '', made = '', off = ''] = line(target, read, 'in', display);
        expect(number(made) - number(asked), `${asked} ${made} ${off}`).toBeCloseTo(number(off), 6);
      }
    }
  });
});

test('what was asked stands beside what is right only where the method misses it', () => {
  const shown = (asked: number, target: number, carried: 'ownFigure' | null = null) => {
    drawnIn('in', <Target feature={{ unit: 'in', asked, target, carried }} />);
    const text = screen.queryByText(/asked|carried/)?.textContent;
    cleanup();
    return text;
  };
  expect(shown(9, 8.1875)).toBe('asked 9');
  expect(shown(9, 9)).toBeUndefined();
  expect(shown(6, 12, 'ownFigure')).toBe('carried on; right is 6');
});
