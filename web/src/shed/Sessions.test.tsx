import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInShed, says, served } from '../testing/inShed';
import { somebody } from '../testing/signedIn';
import { Sessions } from './Sessions';

const SESSION = {
  id: 's1',
  cohortId: 'c1',
  cohortName: 'First year',
  mine: true,
  seriesId: 'x',
  day: '2026-12-01',
  from: '08:30',
  until: '11:30',
  roomId: 'r1',
  roomName: 'Quay bay',
  instructorName: 'Runa Tolvane',
  benches: [1, 2, 3, 4],
  benders: ['b1'],
  note: '',
  beginsByItself: false,
  planned: true,
  clashes: [],
  edition: 2,
};

const WORLD = {
  '/api/kept-cohorts': [{ id: 'c1', name: 'First year', trainees: 2, edition: 0 }],
  '/api/timetable/setting': {
    rooms: [{ id: 'r1', name: 'Quay bay', benches: 4, places: 2, putAway: false, edition: 0 }],
    holidays: [{ id: 'h1', name: 'Slipway fair', firstDay: '2026-12-03', lastDay: '2026-12-04' }],
    teachers: [{ id: 't1', fullName: 'Runa Tolvane' }],
  },
  '/api/class-sessions': {
    today: '2026-12-01',
    sessions: [
      SESSION,
      { ...SESSION, id: 's2', day: '2026-12-08', clashes: ['Quay bay, benches 1–4: Second year at 09:00'] },
      { ...SESSION, id: 's3', day: '2026-12-15', calledOff: 'no heating' },
    ],
  },
  '/api/class-sessions/{id}': {
    id: 's1',
    edition: 2,
    plan: [{ entryId: 'e1', title: 'Up to the quay lamp', varied: false, traineeIds: ['a', 'b'] }],
    people: [
      { traineeId: 'b', fullName: 'Bo Rill', bench: 2, noted: false },
      { traineeId: 'a', fullName: 'Ada Finch', bench: 1, benderId: 'b1', state: 'HERE', noted: true },
    ],
  },
  '/api/class-sessions/{id}/conduit': [
    {
      conduitLabel: '3/4 EMT',
      pieces: 2,
      inPiecesIn: 60,
      newSticks: 1,
      leftOvers: 1,
      onRack: 0,
      isEnough: false,
    },
  ],
  '/api/benders': {
    benders: [{ id: 'b1', label: 'Shoe 1', conduitLabel: '3/4 EMT', state: 'IN_USE', revisions: [] }],
    conduits: [],
  },
};

const AT = '/shed?side=sessions&week=2026-12-01';

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
  served(WORLD);
});

test('the calendar says in words what is begun, planned, in the way and called off, and when it is closed', async () => {
  drawnInShed(<Sessions />, { at: AT });
  const calendar = within(await screen.findByRole('region', { name: 'Calendar' }));
  expect(await calendar.findByRole('button', { name: /08:30.*First year.*, planned/ })).toBeTruthy();
  expect(calendar.getByRole('button', { name: /something is in its way/ })).toBeTruthy();
  expect(calendar.getByRole('button', { name: /called off/ })).toBeTruthy();
  expect(calendar.getAllByText('closed: Slipway fair')).toHaveLength(2);
});

test('a session shows what is bent, what that takes and who is there, and is begun', async () => {
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<Sessions />, { at: `${AT}&session=s1` });
  expect(await screen.findByText(/Up to the quay lamp/)).toBeTruthy();
  expect(await screen.findByText(/1 stick and 1 left over from before/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Begin: give this out' }));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/class-sessions/{id}/begun', { params: { path: { id: 's1' } } });
  });
});

test('who is there is noted one by one, or all others at once', async () => {
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<Sessions />, { at: `${AT}&session=s1` });
  const people = within(await screen.findByRole('region', { name: 'Who is there' }));
  expect(people.getAllByRole('listitem').map((item) => item.textContent?.slice(0, 8))).toEqual([
    '1Ada Fin',
    '2Bo Rill',
  ]);
  fireEvent.click(people.getByRole('button', { name: 'The other 1 are here' }));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/class-sessions/{id}/attendance/{traineeId}', {
      params: { path: { id: 's1', traineeId: 'b' } },
      body: { state: 'HERE' },
    });
  });
});

test('sessions to add leave out holidays unless somebody takes them in', async () => {
  vi.spyOn(api, 'POST').mockImplementation(
    says({
      '/api/class-sessions/check': [
        { day: '2026-12-01', holiday: false, clashes: [] },
        { day: '2026-12-08', holiday: true, clashes: ['The school is closed: Slipway fair'] },
        { day: '2026-12-15', holiday: false, clashes: [] },
      ],
    }),
  );
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<Sessions />, { at: AT });
  fireEvent.click(await screen.findByRole('button', { name: 'Add sessions' }));
  fireEvent.click(await screen.findByText('Add these 2'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledTimes(1);
  });
  expect(put.mock.calls[0]?.[1]).toMatchObject({
    body: { days: ['2026-12-01', '2026-12-15'], session: { cohortId: 'c1', benches: [1, 2, 3, 4], roomId: 'r1' } },
  });
});

test('whoever only helps changes nothing in the calendar', async () => {
  drawnInShed(<Sessions />, {
    at: `${AT}&session=s1`,
    me: somebody({ role: 'ASSISTANT', rights: ['OWN_ACCOUNT', 'READ', 'MEASURE'] }),
  });
  expect(await screen.findByText(/Up to the quay lamp/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Add sessions' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Begin: give this out' })).toBeNull();
  expect(await screen.findByLabelText('Bo Rill is')).toBeTruthy();
});

test('without a cohort the way to one is shown', async () => {
  served({ ...WORLD, '/api/kept-cohorts': [] });
  drawnInShed(<Sessions />, { at: AT });
  expect(await screen.findByText(/there is none yet/)).toBeTruthy();
});
