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
