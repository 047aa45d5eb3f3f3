import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { ClockNote } from '../frame/ClockNote';
import { api } from './client';
import { offInWords } from './deviceClock';

beforeEach(() => {
  HTMLDialogElement.prototype.showModal = vi.fn();
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

/** @param off by how many seconds the server's clock differs from ours */
async function asked(off: number, method: 'GET' | 'PUT' = 'GET'): Promise<Request> {
  let sent: Request | undefined;
  const fetch = (request: Request) => {
    sent = request;
    const date = new Date(Date.now() + off * 1000).toUTCString();
    return Promise.resolve(new Response('{}', { headers: { Date: date, 'Content-Type': 'application/json' } }));
  };
  const baseUrl = 'http://school.test';
  if (method === 'GET') {
    await api.GET('/api/me', { baseUrl, fetch });
  } else {
    await api.PUT('/api/wall', { baseUrl, fetch, body: { scores: true, initials: false } });
  }
  if (sent === undefined) {
    throw new Error('nothing was sent');
  }
  return sent;
}

test.each([
  [3600, '1 h ahead'],
  [-(3 * 3600 + 12 * 60), '3 h 12 min behind'],
  [-300, '5 min behind'],
  [26 * 3600, '26 h ahead'],
  [400 * 86_400, '400 days ahead'],
])('%d seconds are %s', (seconds, words) => {
  expect(offInWords(seconds)).toBe(words);
});

test('what is sent says what time it is here', async () => {
  const at = Date.parse((await asked(0, 'PUT')).headers.get('X-Lobrik-Sent-At') ?? '');
  expect(Math.abs(Date.now() - at)).toBeLessThan(60_000);
  expect((await asked(0)).headers.get('X-Lobrik-Sent-At')).toBeNull();
});

test('a clock that is off is told of as long as it is, and one that is about right is not', async () => {
  render(<ClockNote />);
  await asked(20);
  expect(screen.queryByRole('button')).toBeNull();
  await asked(3 * 3600);
  fireEvent.click(await screen.findByRole('button', { name: "This device's clock is 3 h behind" }));
  expect(screen.getByText(/put right by the server/)).toBeTruthy();
  await asked(0);
  expect(screen.queryByRole('button')).toBeNull();
});
