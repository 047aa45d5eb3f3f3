import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api, type Schemas } from '../api/client';
import { GivenOut } from './GivenOut';
import { drawnIn } from '../testing/signedIn';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const given = (number: number): Schemas['GivenView'] => ({
  id: `giving-${String(number)}`,
  libraryId: 'entry',
  version: 1,
  title: `Exercise ${String(number)}`,
  kind: 'stub90',
  varied: false,
  givenAt: '2026-11-30T08:00:00Z',
  dueOn: null,
  tries: null,
  sheets: [],
});

/** A school that gave out so many, the last one first. */
function school(all: number) {
  const list = Array.from({ length: all }, (_, i) => given(all - i));
  const asked = vi.spyOn(api, 'GET').mockImplementation(((path: string, options: never) => {
    const { before } = (options as { params?: { query?: { before?: string } } }).params?.query ?? {};
    const from = before === undefined ? 0 : list.findIndex(({ id }) => id === before) + 1;
    const data = path === '/api/givings' ? list.slice(from, from + 30) : { days: 14, mayChange: false };
    return Promise.resolve({ data, response: new Response() });
  }) as never);
  drawnIn(
    'in',
    <QueryClientProvider client={new QueryClient()}>
      <GivenOut />
    </QueryClientProvider>,
  );
  return asked;
}

const BEFORE = { name: 'What was given out before' };

test('what was given out long ago is asked for page by page', async () => {
  school(65);
  await screen.findByText('Exercise 65');
  expect(screen.queryByText('Exercise 35')).toBeNull();
  fireEvent.click(screen.getByRole('button', BEFORE));
  await screen.findByText('Exercise 6');
  fireEvent.click(screen.getByRole('button', BEFORE));
  await screen.findByText('Exercise 1');
  expect(screen.queryByRole('button', BEFORE)).toBeNull();
  expect(screen.getAllByText(/^Exercise \d+$/)).toHaveLength(65);
});

test('where a page was full by chance, it is said that that was all', async () => {
  school(30);
  await screen.findByText('Exercise 1');
  fireEvent.click(screen.getByRole('button', BEFORE));
  await screen.findByText('That was all.');
});

test('a school that gave out nothing is told so', async () => {
  school(0);
  await screen.findByText('Nothing was given out yet.');
});
