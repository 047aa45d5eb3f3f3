import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnIn } from '../testing/signedIn';
import LibraryScreen from './LibraryScreen';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const chosen = (name: string) => screen.getByRole<HTMLInputElement>('radio', { name }).checked;

test('the side that is shown is in the address: it is linked to, and gone back to', async () => {
  vi.spyOn(api, 'GET').mockImplementation(((path: string) =>
    Promise.resolve({
      data: path === '/api/library' ? { entries: [], more: false } : [],
      response: new Response(),
    })) as never);
  window.history.replaceState(null, '', '/set/library');
  const router = createBrowserRouter([{ path: '/set/library', element: <LibraryScreen /> }]);
  drawnIn(
    'in',
    <QueryClientProvider client={new QueryClient()}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  expect(chosen('Exercises')).toBe(true);
  fireEvent.click(screen.getByRole('radio', { name: 'Given out' }));
  expect(chosen('Given out')).toBe(true);
  expect(window.location.search).toBe('?side=given');
  // A link from here to another side draws the same screen again, not a new one.
  await act(() => router.navigate('/set/library?side=tolerances'));
  expect(chosen('Tolerances')).toBe(true);
  await act(() => router.navigate('/set/library'));
  expect(chosen('Exercises')).toBe(true);
});
