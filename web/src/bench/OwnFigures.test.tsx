import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api, type Schemas } from '../api/client';
import { DisplayUnitContext } from '../frame/signedIn';
import { OwnFigures } from './OwnFigures';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test('Enter goes on to the figure that is missing, and sends when none is', async () => {
  const put = vi.spyOn(api, 'PUT').mockResolvedValue({ data: {}, response: new Response() } as never);
  const onSent = vi.fn();
  const sheet = { marks: 1, backs: [null], job: { cutAsked: true } } as unknown as Schemas['BenchSheet'];
  render(
    <QueryClientProvider client={new QueryClient()}>
      <DisplayUnitContext value="in">
        <OwnFigures code="AB12" sheet={sheet} onSent={onSent} />
      </DisplayUnitContext>
    </QueryClientProvider>,
  );
  const [mark, cut] = ['Mark 1', 'Cut to'].map((name) => screen.getByLabelText<HTMLInputElement>(name));
  mark?.focus();
  fireEvent.change(mark as HTMLInputElement, { target: { value: '12 1/4' } });
  fireEvent.keyDown(mark as HTMLInputElement, { key: 'Enter' });
  expect(document.activeElement).toBe(cut);
  expect(put).not.toHaveBeenCalled();
  fireEvent.change(cut as HTMLInputElement, { target: { value: '37 1/8' } });
  fireEvent.keyDown(cut as HTMLInputElement, { key: 'Enter' });
  await waitFor(() => {
    expect(onSent).toHaveBeenCalledOnce();
  });
  expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { texts: ['12 1/4'], cut: '37 1/8', bare: 'in' } });
});
