import { act, cleanup, render, screen } from '@testing-library/react';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { afterEach, expect, test } from 'vitest';
import { useAddress } from './address';

afterEach(() => {
  cleanup();
});

/** The screen with the function that it was last drawn with. */
function opened(path: string) {
  window.history.replaceState(null, '', path);
  let change: ReturnType<typeof useAddress>[1] = () => undefined;
  function Screen() {
    const [search, changeAddress] = useAddress();
    change = changeAddress;
    return <p>{search.toString()}</p>;
  }
  render(<RouterProvider router={createBrowserRouter([{ path: '/progress', element: <Screen /> }])} />);
  return change;
}

test('the second of two quick choices keeps the first', async () => {
  const change = opened('/progress?side=matrix');
  await act(async () => {
    change({ preset: 'site' });
    // The same function again: nothing was drawn in between.
    change({ sort: 'name' });
    await Promise.resolve();
  });
  expect(window.location.search).toBe('?side=matrix&preset=site&sort=name');
  expect(await screen.findByText('side=matrix&preset=site&sort=name')).toBeTruthy();
});

test('nothing chosen takes a choice out of the address', async () => {
  const change = opened('/progress?preset=site&sort=name');
  await act(async () => {
    change({ preset: '', sort: undefined });
    await Promise.resolve();
  });
  expect(window.location.search).toBe('');
});

test('a choice can be a step of its own to come back to', async () => {
  const change = opened('/progress');
  const before = window.history.length;
  await act(async () => {
    change({ side: 'plan' }, { replace: false });
    await Promise.resolve();
  });
  expect(window.history.length).toBe(before + 1);
});
