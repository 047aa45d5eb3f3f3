import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInApp } from '../testing/inApp';
import { WhyPanel } from './WhyPanel';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test('a sum is written term by term, with its signs and names', async () => {
  vi.spyOn(api, 'POST').mockResolvedValue({
    data: [
      {
        about: 'predicted/rise',
        name: 'rise',
        formula: 'predicted',
        words: 'What the right marks give.',
        terms: [
          { before: '', name: 'asked', value: 5, unit: 'in' },
          { before: '+', name: 'the method', value: 0.03125, unit: 'in' },
          { before: '−', name: 'rounding', value: 0.0625, unit: 'in' },
        ],
        result: 4.96875,
        unit: 'in',
        rounded: null,
      },
    ],
    response: new Response(),
  } as never);
  drawnInApp(<WhyPanel request={{} as never} about={undefined} bends={2} />);
  const sum = (await screen.findByText('the method')).closest('p');
  const written = (sum?.textContent ?? '').replaceAll(/\s+/g, ' ');
  expect(written).toMatch(/5 asked \+ .*the method − .*rounding/);
  expect(written).not.toMatch(/[+−] [+−]/);
});

test.each([
  // As finely as the exact figure is written, both read 30 5/8.
  [30.62, 30.625, /= 30 5\/8$/],
  [30.594, 30.625, /= 30 19\/32 ?, on the tape 30 5\/8$/],
])('what is on the tape is said where it reads otherwise: %d', async (result, rounded, expected) => {
  const terms = [{ before: '', name: 'leg', value: result, unit: 'in' }];
  vi.spyOn(api, 'POST').mockResolvedValue({
    data: [
      { about: 'mark1', name: 'mark 1', formula: 'mark', words: 'Up to the bend.', terms, result, unit: 'in', rounded },
    ],
    response: new Response(),
  } as never);
  drawnInApp(<WhyPanel request={{} as never} about={undefined} bends={2} />);
  const sum = (await screen.findByText('leg')).closest('p');
  expect((sum?.textContent ?? '').replaceAll(/\s+/g, ' ').trim()).toMatch(expected);
});
