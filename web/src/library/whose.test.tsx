import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { onTheShelf } from '../testing/onTheShelf';
import { drawnIn } from '../testing/signedIn';
import LibraryScreen from './LibraryScreen';

const own = onTheShelf({ id: 'own', version: 3, title: 'Up onto the plinth' });
const theirs = onTheShelf({
  id: 'theirs',
  version: 3,
  title: 'Over the brine pipe',
  madeBy: 'Dessa Quillow',
  mayChange: false,
});
const figures = {
  preset: 'Trade test',
  lengthIn: 0.125,
  angleDeg: 2,
  dogLegDeg: 1,
  passMark: 70,
  weights: {},
  critical: {},
  workmanship: {},
};

const ANSWERS: Record<string, unknown> = {
  '/api/library': { entries: [own, theirs], more: false },
  '/api/library/{id}': {
    entry: theirs,
    versions: [3, 2].map((version) => ({
      exerciseId: String(version),
      version,
      createdAt: '2026-11-23T10:00:00Z',
      savedBy: 'Dessa Quillow',
      exercise: { title: `Over the brine pipe, ${String(version)}` },
    })),
    retirements: [{ away: true, by: 'Oskar Brindlemay', at: '2026-11-24T10:00:00Z' }],
  },
  '/api/judging-presets': {
    usual: [],
    own: [{ id: 'p', figures, madeBy: 'Dessa Quillow', mayChange: false }],
    faults: [],
  },
  '/api/judging-presets/{id}/versions': [
    { version: 2, figures, putAway: true, keptBy: 'Oskar Brindlemay', keptAt: '2026-11-24T10:00:00Z' },
    { version: 1, figures, putAway: false, keptBy: 'Dessa Quillow', keptAt: '2026-11-23T10:00:00Z' },
  ],
};

beforeEach(() => {
  HTMLDialogElement.prototype.showModal = vi.fn();
  vi.spyOn(api, 'GET').mockImplementation(((path: string) =>
    Promise.resolve({ data: ANSWERS[path], response: new Response() })) as never);
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function drawn(address: string) {
  drawnIn(
    'in',
    <MemoryRouter initialEntries={[address]}>
      <QueryClientProvider client={new QueryClient()}>
        <LibraryScreen />
      </QueryClientProvider>
    </MemoryRouter>,
  );
}

test('what a colleague made says so, and is copied, not put away', async () => {
  drawn('/set/library');
  const row = (await screen.findByRole('link', { name: 'Over the brine pipe' })).closest('tr') ?? document.body;
  expect(row.textContent).toContain('by Dessa Quillow');
  expect(within(row).queryByRole('button', { name: /^Put away/ })).toBeNull();
  expect(within(row).getByRole('button', { name: /^Duplicate/ })).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Put away Up onto the plinth' })).toBeTruthy();
});

test('every version of an exercise can be opened, and who put it away is known', async () => {
  drawn('/set/library');
  fireEvent.click(await screen.findByRole('button', { name: /^Version 3 of Over the brine pipe/ }));
  const link = await screen.findByText('Over the brine pipe, 2');
  expect(link.closest('li')?.textContent).toContain('Dessa Quillow');
  const older = link.closest('li')?.querySelector('a');
  expect(older?.getAttribute('href')).toBe('/set?exercise=theirs&version=2');
  expect(screen.getByText(/put away by Oskar Brindlemay/)).toBeTruthy();
});

test('a set of tolerances of a colleague is not changed, and shows what it was', async () => {
  drawn('/set/library?side=tolerances');
  expect(await screen.findByText(/made by Dessa Quillow/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Change: Trade test' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Put away: Trade test' })).toBeNull();
  expect(screen.getByRole('button', { name: 'Make one like it: Trade test' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Versions: Trade test' }));
  const versions = await screen.findByText(/Oskar Brindlemay/);
  expect(versions.textContent).toContain('put away');
});
