import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { CohortEnd } from './CohortEnd';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test('a last day is set when it is left as it was not, and taken away again', async () => {
  let endsOn: string | null = null;
  vi.spyOn(api, 'GET').mockImplementation((() =>
    Promise.resolve({ data: [{ id: 'c', endsOn }], response: new Response() })) as never);
  const sent = vi.spyOn(api, 'PUT').mockImplementation(((_: string, { body }: { body: { endsOn: string | null } }) => {
    endsOn = body.endsOn;
    return Promise.resolve({ data: body, response: new Response() });
  }) as never);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <CohortEnd cohortId="c" name="First year" />
    </QueryClientProvider>,
  );
  const day = () => screen.getByLabelText(/Keys of First year end after/);
  fireEvent.blur(day());
  expect(sent).not.toHaveBeenCalled();
  fireEvent.blur(day(), { target: { value: '2027-06-30' } });
  await vi.waitFor(() => {
    expect((day() as HTMLInputElement).value).toBe('2027-06-30');
    expect(screen.queryByText(/No last day is set/)).toBeNull();
  });
  fireEvent.blur(day(), { target: { value: '' } });
  await screen.findByText(/No last day is set/);
  expect(sent).toHaveBeenCalledTimes(2);
});
