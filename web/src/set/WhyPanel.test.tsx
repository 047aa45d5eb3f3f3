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
        lines: 32,
        places: 1,
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
  // As finely as it takes for them to add up, both read 30 5/8.
  { lines: 16, expected: /36 5\/8 leg − 6 take-up = 30 5\/8$/ },
  { lines: 32, expected: /36 19\/32 leg − 6 take-up = 30 19\/32 ?, on the tape 30 5\/8$/ },
])('what is on the tape is said where it reads otherwise, at 1/$lines', async ({ lines, expected }) => {
  const terms = [
    { before: '', name: 'leg', value: 36.594, unit: 'in' },
    { before: '−', name: 'take-up', value: 6, unit: 'in' },
  ];
  const why = { about: 'mark1', name: 'mark 1', formula: 'mark', words: 'Up to the bend.', unit: 'in', places: 1 };
  vi.spyOn(api, 'POST').mockResolvedValue({
    data: [{ ...why, terms, result: 30.594, rounded: 30.625, lines }],
    response: new Response(),
  } as never);
  drawnInApp(<WhyPanel request={{} as never} about={undefined} bends={2} />);
  const sum = (await screen.findByText('leg')).closest('p');
  expect((sum?.textContent ?? '').replaceAll(/\s+/g, ' ').trim()).toMatch(expected);
});
