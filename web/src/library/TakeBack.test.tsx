import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api, type Schemas } from '../api/client';
import { soon } from '../testing/soon';
import { TakeBack } from './TakeBack';

const given = { id: 'one', title: 'Up onto the plinth' } as Schemas['GivenView'];

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

/** @param answer what the server says to it */
function drawn(answer: { data?: unknown; error?: unknown; response: Response }) {
  const sent = vi.spyOn(api, 'DELETE').mockResolvedValue(answer as never);
  const client = new QueryClient();
  render(
    <QueryClientProvider client={client}>
      <TakeBack given={given} />
    </QueryClientProvider>,
  );
  return { sent, client };
}

test('it is asked once before anything is taken back', async () => {
  const { sent, client } = drawn({ data: [], response: new Response() });
  fireEvent.click(screen.getByRole('button', { name: 'Take back Up onto the plinth' }));
  expect(sent).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('button', { name: 'Really take back Up onto the plinth' }));
  await soon(() => {
    expect(client.getQueryData(['givings'])).toEqual([]);
  });
});

test('where something is measured already, it is said why it stays', async () => {
  const detail = 'It cannot be taken back: Kezia Mallow has readings of it already';
  drawn({ error: { detail }, response: new Response(null, { status: 409 }) });
  fireEvent.click(screen.getByRole('button', { name: /^Take back/ }));
  fireEvent.click(screen.getByRole('button', { name: /^Really/ }));
  expect((await screen.findByRole('alert')).textContent).toContain('Kezia Mallow has readings');
});
