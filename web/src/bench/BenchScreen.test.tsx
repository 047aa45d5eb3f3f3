import { cleanup, render, screen } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import BenchScreen from './BenchScreen';

vi.stubGlobal(
  'ResizeObserver',
  class {
    observe(): void {}
    disconnect(): void {}
  },
);

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function sheetOf(method: string, more: object = {}): void {
  const job = {
    kind: 'offset',
    unit: 'in',
    outsideDiameterIn: 0.922,
    divisionIn: 1 / 16,
    plan: {
      cautions: ['Eye protection and gloves on.'],
      marks: [],
      dimensions: [],
      features: [],
      around: [],
      shape: { centreline: [], lengthIn: 0, arcs: [] },
    },
    sizes: [{ input: 'riseIn', name: 'Rise', said: '5' }],
    method,
    cutAsked: false,
  };
  const sheet = {
    title: 'Up onto the plinth',
    fullName: 'Ada Finch',
    bench: 4,
    conduitLabel: '3/4 EMT',
    benderLabel: 'Bender 4',
    job,
    marks: 2,
    backs: [null, null],
    lookOver: [{ point: 'noKink', words: 'No kink', good: null }],
    answersShown: true,
    judged: false,
    others: [],
    ...more,
  };
  vi.spyOn(api, 'GET').mockResolvedValue({ data: sheet, response: new Response() } as never);
  const router = createMemoryRouter([{ path: '/bench/:code', element: <BenchScreen /> }], {
    initialEntries: ['/bench/AB12'],
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
}

test('figures are asked for before anything else', async () => {
  sheetOf('chart');
  expect(await screen.findByText('Where do your marks go?')).toBeTruthy();
  expect(screen.queryByText('Look it over before you call')).toBeNull();
});

test('where the method is free nobody asks for figures that nobody could judge', async () => {
  sheetOf('free');
  expect(await screen.findByText('Look it over before you call')).toBeTruthy();
  expect(screen.queryByText('Where do your marks go?')).toBeNull();
  expect(screen.getByText(/by any method/)).toBeTruthy();
});

test('once the piece is judged there is its verdict, and nothing to press', async () => {
  const plan = {
    marks: [],
    dimensions: [],
    features: [],
    around: [],
    shape: { centreline: [], lengthIn: 0, arcs: [] },
  };
  sheetOf('chart', {
    judged: true,
    lookOver: [],
    checked: { points: 84, passed: true, what: 'Bent as asked.', plan, drawnTimes: 1, features: [] },
  });
  expect(await screen.findByText(/Another try begins with your instructor/)).toBeTruthy();
  expect(screen.getByText('Bent as asked.')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
  expect(screen.queryByLabelText('The job')).toBeNull();
});

test('a piece that was left unfinished says so', async () => {
  sheetOf('chart', { judged: true, lookOver: [] });
  expect(await screen.findByText(/This piece is done with/)).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});
