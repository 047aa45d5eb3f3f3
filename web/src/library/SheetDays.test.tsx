import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { SheetDays } from './SheetDays';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function drawn(codes: { days: number; mayChange: boolean }) {
  vi.spyOn(api, 'GET').mockResolvedValue({ data: codes, response: new Response() } as never);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <SheetDays />
    </QueryClientProvider>,
  );
}

test('whoever leads the school chooses how long a code works', async () => {
  drawn({ days: 14, mayChange: true });
  const sent = vi
    .spyOn(api, 'PUT')
    .mockResolvedValue({ data: { days: 30, mayChange: true }, response: new Response() } as never);
  const days = await screen.findByLabelText('Days after the session');
  expect(screen.queryByRole('button')).toBeNull();
  fireEvent.change(days, { target: { value: '30' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
  await vi.waitFor(() => {
    expect(sent).toHaveBeenCalledWith('/api/sheet-codes', { body: { days: 30 } });
    expect(screen.queryByRole('button')).toBeNull();
  });
});

test('everybody else reads it', async () => {
  drawn({ days: 1, mayChange: false });
  expect((await screen.findByLabelText('Codes on sheets')).textContent).toContain('until 1 day after');
  expect(screen.queryByRole('spinbutton')).toBeNull();
});
