import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInShed, says, served } from '../testing/inShed';
import { RotaBoard, shortLabels } from './RotaBoard';

const ROTA = {
  cohortId: 'c1',
  benders: [
    { id: 'b1', label: 'Bender 2' },
    { id: 'b2', label: 'Bender 4' },
  ],
  sessions: [
    { id: 's0', day: '2026-11-24', from: '08:30', over: true, benches: [1], benders: ['b1'] },
    { id: 's1', day: '2026-12-01', from: '08:30', over: false, benches: [1, 2], benders: ['b1', 'b2'] },
  ],
  people: [
    {
      traineeId: 'a',
      fullName: 'Ada Finch',
      bench: 1,
      seats: [
        { sessionId: 's0', bench: 1, benderId: 'b1', byHand: false, why: '' },
        { sessionId: 's1', bench: 2, benderId: 'b2', byHand: true, why: 'Set by hand. Bender 4 for the first time.' },
      ],
      away: [],
      turns: [1, 1],
    },
    { traineeId: 'b', fullName: 'Bo Rill', bench: 2, seats: [], away: ['s1'], turns: [0, 0] },
  ],
  clashes: ['On 2026-12-01: Ada Finch and Bo Rill are both at bench 2'],
  unevenness: 0,
  spread: 1,
  repeated: 0,
  seatless: 0,
};

const COHORTS = [{ id: 'c1', name: 'First year', trainees: 2, edition: 0 }];

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
  served({ '/api/rota/{cohortId}': ROTA, '/api/rota/{cohortId}/wishes': { absences: [], apart: [] } });
});

test('labels are shortened where all begin with one word, and only then', () => {
  expect(shortLabels(ROTA.benders)).toEqual({ b1: '2', b2: '4' });
  expect(shortLabels([{ id: 'b1', label: 'Bender 2' }])).toEqual({ b1: 'Bender 2' });
  expect(shortLabels([...ROTA.benders, { id: 'b3', label: 'Heat 1' }])).toMatchObject({ b1: 'Bender 2', b3: 'Heat 1' });
});

test('a seat says why, and is changed with what was seen', async () => {
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<RotaBoard cohorts={COHORTS}>{null}</RotaBoard>);
  fireEvent.click(await screen.findByRole('button', { name: 'Ada Finch, Tue 1 Dec: bench 2, Bender 4, by hand' }));
  expect(screen.getByText('Set by hand. Bender 4 for the first time.')).toBeTruthy();
  fireEvent.click(screen.getByText('Leave it to the rota again'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/class-sessions/{id}/seats/{traineeId}', {
      params: { path: { id: 's1', traineeId: 'a' } },
      body: { seen: { bench: 2, benderId: 'b2' }, place: null },
    });
  });
});

test('what was is not changed, who is away is said, and wishes that are not met are named', async () => {
  drawnInShed(<RotaBoard cohorts={COHORTS}>{null}</RotaBoard>);
  expect(await screen.findByText('– away')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /24 Nov/ })).toBeNull();
  expect(screen.getByText(/are both at bench 2/)).toBeTruthy();
  expect(screen.getByRole('status').textContent).toContain('1 wish not met');
});

test('a rota that was worked out is kept or not', async () => {
  vi.spyOn(api, 'POST').mockImplementation(
    says({ '/api/rota/{cohortId}/proposal': { ...ROTA, clashes: [], people: [ROTA.people[0]] } }),
  );
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({ '/api/rota/{cohortId}': ROTA }));
  drawnInShed(<RotaBoard cohorts={COHORTS}>{null}</RotaBoard>);
  fireEvent.click(await screen.findByRole('button', { name: 'Work it out' }));
  fireEvent.click(await screen.findByRole('button', { name: 'As it was' }));
  expect(put).not.toHaveBeenCalled();
  fireEvent.click(screen.getByRole('button', { name: 'Work it out' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Keep this' }));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/rota/{cohortId}', {
      params: { path: { cohortId: 'c1' } },
      body: { seats: [{ sessionId: 's1', traineeId: 'a', bench: 2, benderId: 'b2' }] },
    });
  });
});
