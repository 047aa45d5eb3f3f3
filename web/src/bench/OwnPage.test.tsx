import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import OwnPage from './OwnPage';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function drawn(status: number, answer: object) {
  const response = new Response(null, { status });
  vi.spyOn(api, 'GET').mockResolvedValue(
    (status === 200 ? { data: answer, response } : { error: answer, response }) as never,
  );
  const router = createMemoryRouter([{ path: '/own/:code', element: <OwnPage /> }], { initialEntries: ['/own/AB12'] });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
}

test('where somebody stands, what to work on and what was signed', async () => {
  drawn(200, {
    fullName: 'Ada Finch',
    centreName: 'Tern Quay Apprentice School',
    pieces: 1,
    passes: 1,
    families: [
      {
        id: 'stub90.machine',
        standing: 'learning',
        pieces: 1,
        recent: [],
        conditions: [{ words: 'on 1 of 2 days', met: false }],
      },
    ],
    habits: ['Legs come out long.'],
    next: { family: 'offset.former', reason: 'order', sentence: 'Not tried yet.' },
    signOffs: [{ family: 'kick', signedAt: '2026-11-20T10:00:00Z', signedBy: 'Runa Tolvane', withdrawnAt: null }],
  });
  expect(await screen.findByRole('heading', { name: 'Ada Finch' })).toBeTruthy();
  expect(screen.getByText('1 piece measured, 1 passed')).toBeTruthy();
  expect(screen.getByText(/Legs come out long/)).toBeTruthy();
  expect(screen.getByText(/on 1 of 2 days/).textContent).toContain('○');
  expect(screen.getByText('Stub ninety at the machine')).toBeTruthy();
  expect(screen.getByText('Offset with heat')).toBeTruthy();
  expect(screen.getByText(/signed by Runa Tolvane/)).toBeTruthy();
});

test('a key that has ended opens nothing, and says whom to ask', async () => {
  drawn(404, { detail: 'There is no such page in your cohorts' });
  expect(await screen.findByText(/Ask your instructor for another/)).toBeTruthy();
});

test('whoever tries too many keys is told to wait', async () => {
  drawn(429, { detail: 'Too many codes that open nothing were tried; wait a minute and try again' });
  expect(await screen.findByText(/wait a minute/)).toBeTruthy();
});
