import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { drawnInShed, served } from '../testing/inShed';
import { Stock } from './Stock';

const CONDUIT = {
  id: 'k1',
  label: '3/4 EMT',
  material: 'steel',
  outsideDiameterIn: 0.922,
  isKept: true,
  sticks: 3,
  leftOvers: [
    { lengthIn: 57.75, pieces: 2 },
    { lengthIn: 96.375, pieces: 1 },
  ],
  stickIn: 120,
  fewestSticks: 5,
  shortestKeptIn: 24,
  price: 9.4,
  isLow: true,
  edition: 1,
};

const ENTRY = {
  id: 'e1',
  what: 'COUNTED',
  lengthIn: 120,
  pieces: -4,
  at: '2026-12-01T08:00:00Z',
  by: 'Runa Tolvane',
  note: 'end of term',
};

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('the rack is drawn from the longest, and too few are told of', async () => {
  served({
    '/api/stock': { currency: 'tl', conduits: [CONDUIT] },
    '/api/stock/{conduitId}/entries': { entries: [ENTRY], all: 1 },
  });
  drawnInShed(<Stock />, { at: '/shed?side=stock' });
  const rack = within(await screen.findByRole('list', { name: 'On the rack' }));
  expect(rack.getAllByRole('listitem').map((item) => item.textContent?.replace(/\s/g, '').slice(0, 5))).toEqual([
    '3×120',
    '1×963',
    '2×573',
  ]);
  expect(screen.getByText(/5 are wanted. Order some/)).toBeTruthy();
  expect(await screen.findByText('counted: end of term')).toBeTruthy();
  expect(screen.getByText('−4')).toBeTruthy();
});

test('of conduit that nobody counted it says what counting does', async () => {
  served({
    '/api/stock': { currency: '', conduits: [{ ...CONDUIT, isKept: false, sticks: 0, leftOvers: [], isLow: false }] },
    '/api/stock/{conduitId}/entries': { entries: [], all: 0 },
  });
  drawnInShed(<Stock />, { at: '/shed?side=stock' });
  expect(await screen.findByText(/Nothing is kept of this conduit yet/)).toBeTruthy();
});

test('more that was cut than was there asks for a count', async () => {
  served({
    '/api/stock': { currency: '', conduits: [{ ...CONDUIT, sticks: -2, leftOvers: [] }] },
    '/api/stock/{conduitId}/entries': { entries: [], all: 0 },
  });
  drawnInShed(<Stock />, { at: '/shed?side=stock' });
  expect(await screen.findByText(/2 more were cut than anybody had counted/)).toBeTruthy();
  expect(screen.getByText('The rack is empty.')).toBeTruthy();
});

test('what was used, failed and wasted is told by kind of bend and by trainee', async () => {
  served({
    '/api/stock-use': {
      currency: 'tl',
      families: [{ name: 'stub90', pieces: 4, usedIn: 240, failedIn: 120, wastedIn: 6, cost: 18.8 }],
      trainees: [{ name: 'Ada Finch', pieces: 4, usedIn: 240, failedIn: 120, wastedIn: 6, cost: 18.8 }],
      cut: [{ conduitLabel: '3/4 EMT', pieces: 4, inPiecesIn: 240, wastedIn: 30, cost: 21.15 }],
    },
  });
  drawnInShed(<Stock />, { at: '/shed?side=stock&view=use' });
  expect(await screen.findByText('Stub ninety')).toBeTruthy();
  const rows = screen.getAllByRole('row').map((row) => row.textContent);
  expect(rows).toContain('Ada Finch420.0 ft10.0 ft0.5 ft18.80');
  expect(rows).toContain('3/4 EMT420.0 ft2.5 ft21.15');
});

test('days are chosen', async () => {
  served({ '/api/stock-use': { currency: '', families: [], trainees: [], cut: [] } });
  drawnInShed(<Stock />, { at: '/shed?side=stock&view=use' });
  expect(await screen.findByText('Nothing was bent or cut on these days.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('From'), { target: { value: '2026-09-01' } });
  await waitFor(() => {
    expect((screen.getByLabelText('From') as HTMLInputElement).value).toBe('2026-09-01');
  });
});
