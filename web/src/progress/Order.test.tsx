import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnIn } from '../testing/signedIn';
import { Order } from './Order';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const USUAL = [
  { family: 'stub90', after: [] },
  { family: 'offset', after: ['stub90'] },
  { family: 'stub90.machine', after: ['stub90'] },
];

/** With what the server has, and what it says when it is told something. */
function drawn(mayChange: boolean, status = 500, told: object = {}) {
  let data: object = { steps: USUAL, usual: USUAL, history: [], mayChange };
  vi.spyOn(api, 'GET').mockImplementation(() =>
    Promise.resolve({ data, response: new Response(null, { status: 200 }) } as never),
  );
  const put = vi.spyOn(api, 'PUT').mockImplementation(() => {
    const response = new Response(null, { status });
    if (response.ok) {
      data = told;
    }
    return Promise.resolve((response.ok ? { data, response } : { error: told, response }) as never);
  });
  drawnIn(
    'in',
    <QueryClientProvider client={new QueryClient()}>
      <Order />
    </QueryClientProvider>,
  );
  return put;
}

const names = () =>
  screen.getAllByRole('listitem').map((row) => within(row).getAllByText(/ninety|Offset/)[0]?.textContent);

test('who may not change it reads it', async () => {
  drawn(false);
  expect(await screen.findByText('Stub ninety at the machine')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
  expect(screen.getByText(/Only the centre lead changes it/)).toBeTruthy();
});

test('a lead moves a step, adds one, and keeps it', async () => {
  const put = drawn(true, 200, {
    steps: USUAL,
    usual: USUAL,
    history: [{ by: 'Oskar', at: '2026-11-30T10:00:00Z', steps: 4 }],
    mayChange: true,
  });
  fireEvent.click(await screen.findByRole('button', { name: 'Stub ninety at the machine further up' }));
  expect(names()).toEqual(['Stub ninety', 'Stub ninety at the machine', 'Offset']);
  fireEvent.change(screen.getByLabelText('Add a step'), { target: { value: 'kick' } });
  fireEvent.change(screen.getByLabelText('Kick also after'), { target: { value: 'offset' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep it from now on' }));
  expect(await screen.findByText(/Oskar: 4 steps/)).toBeTruthy();
  expect(put.mock.calls[0]?.[1]).toMatchObject({
    body: { steps: [USUAL[0], USUAL[2], USUAL[1], { family: 'kick', after: ['offset'] }] },
  });
});

test('taking a step out frees what waited for it, and the usual order comes back by one press', async () => {
  drawn(true);
  fireEvent.click(await screen.findByRole('button', { name: 'Stub ninety out of the order' }));
  expect(screen.queryByText('after')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'The usual order' }));
  expect(names()).toEqual(['Stub ninety', 'Offset', 'Stub ninety at the machine']);
  expect(screen.queryByRole('button', { name: 'Keep it from now on' })).toBeNull();
});

test('the keyboard stays where it was while steps move and go', async () => {
  drawn(true);
  const down = await screen.findByRole('button', { name: 'Stub ninety further down' });
  for (const place of [1, 2]) {
    down.focus();
    fireEvent.click(down);
    expect(names()[place]).toBe('Stub ninety');
  }
  // It is the last now, and cannot go further.
  expect(document.activeElement?.closest('li')?.textContent).toContain('Stub ninety');
  const out = screen.getByRole('button', { name: 'Offset out of the order' });
  out.focus();
  fireEvent.click(out);
  expect(document.activeElement?.closest('li')).toBe(screen.getAllByRole('listitem')[0]);
});

test('what cannot be kept is said with its cure', async () => {
  const message = 'Offset is to come after stub ninety, which does not stand before it';
  drawn(true, 400, { detail: message, errors: [{ pointer: '/steps/0/after', code: 'not-increasing', message }] });
  fireEvent.click(await screen.findByRole('button', { name: 'Offset further up' }));
  fireEvent.click(screen.getByRole('button', { name: 'Keep it from now on' }));
  expect((await screen.findByRole('alert')).textContent).toContain('which does not stand before it');
});
