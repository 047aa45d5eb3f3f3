import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { FirstSteps } from './FirstSteps';

const NOTHING = { school: false, cohort: false, people: false, benders: false, given: false, measured: false };

function drawn(done: Partial<typeof NOTHING>) {
  vi.spyOn(api, 'GET').mockImplementation((() =>
    Promise.resolve({ data: { ...NOTHING, ...done }, response: new Response(null, { status: 200 }) })) as never);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <FirstSteps />
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

beforeEach(() => {
  localStorage.clear();
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test('what is done is ticked off, and the next step stands out', async () => {
  drawn({ school: true });
  const cohort = await screen.findByRole('link', { name: /Cohort/ });
  expect(cohort.className).toContain('font-semibold');
  expect(screen.getAllByLabelText('done')).toHaveLength(1);
  expect(screen.getAllByLabelText('to do')).toHaveLength(4);
});

test('with everything given out, the floor is where the first piece is measured', async () => {
  drawn({ school: true, cohort: true, people: true, benders: true, given: true });
  expect(await screen.findByRole('link', { name: 'Floor' })).toBeTruthy();
});

test('nobody who has measured is told any more, nor who has hidden it', async () => {
  drawn({});
  fireEvent.click(await screen.findByText('Hide'));
  expect(screen.queryByRole('navigation')).toBeNull();
  cleanup();
  localStorage.clear();
  drawn({ measured: true });
  await Promise.resolve();
  expect(screen.queryByRole('navigation')).toBeNull();
});
