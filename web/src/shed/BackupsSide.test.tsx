import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { BackupNote } from '../frame/BackupNote';
import { TEACHES, somebody } from '../testing/signedIn';
import { drawnInShed, says, served } from '../testing/inShed';
import { BackupsSide } from './BackupsSide';

const GOOD = {
  at: '2026-12-01T11:15:02Z',
  millis: 812,
  bytes: 4_612_334,
  sealed: false,
  fault: null,
  atSecond: null,
  secondFault: null,
};

const STANDS = {
  changeable: true,
  whyNot: null,
  plan: {
    days: ['MONDAY', 'FRIDAY'],
    at: '12:15',
    keepDays: 7,
    keepMonths: 12,
    warnAfterDays: 3,
    second: null,
    secondOnItsOwnDisk: false,
    sealed: false,
  },
  warning: null,
  doing: 'NOTHING',
  next: '2026-12-04T11:15:00Z',
  lastGood: GOOD,
  made: [GOOD, { ...GOOD, at: '2026-11-27T11:15:02Z', bytes: 0, fault: 'only 41 MB are free' }],
  rehearsed: {
    at: '2026-12-01T11:16:00Z',
    millis: 14_200,
    of: GOOD.at,
    tables: 48,
    rows: 31_204,
    schools: [{ name: 'Gull Point', trainees: 37, pieces: 826, readings: 4_310 }],
    fault: null,
  },
  files: 9,
  bytes: 41_000_000,
  folder: '/var/lib/lobrik/server/backups',
  archive: { folder: '/mnt/shelf/archive', last: '2026-12-01T11:20:00Z', failing: false },
};

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('the lead sees the last good one, what failed, and that one was restored', async () => {
  served({ '/api/backups': STANDS });
  drawnInShed(<BackupsSide />);
  expect(await screen.findByText(/^The last good backup:/)).toBeTruthy();
  expect(screen.getAllByText('● 4.6 MB, in 0.8 s.')).toHaveLength(2);
  expect(screen.getByText('✕ None was made: only 41 MB are free.')).toBeTruthy();
  expect(screen.getByLabelText('Tried').textContent).toContain(
    '31\u202f204 rows of 48 tables counted and compared, the audit checked. Gull Point: 37 trainees, 826 pieces, 4\u202f310 readings.',
  );
  expect(screen.getByText(/^9 kept, 41 MB/)).toBeTruthy();
  expect(screen.getByLabelText('Archive').textContent).toContain('● Every change goes to /mnt/shelf/archive');
});

test('days, time, second place and passphrase are sent as they were chosen, and the passphrase only where there is one', async () => {
  served({ '/api/backups': STANDS });
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({ '/api/backups': STANDS }));
  drawnInShed(<BackupsSide />);
  fireEvent.click(await screen.findByLabelText('Wednesday'));
  fireEvent.click(screen.getByLabelText('Friday'));
  fireEvent.change(screen.getByLabelText('At'), { target: { value: '16:40' } });
  fireEvent.change(screen.getByLabelText(/^A second place/), { target: { value: '/mnt/shelf' } });
  fireEvent.click(screen.getByText('Do it so'));
  const wanted = {
    days: ['MONDAY', 'WEDNESDAY'],
    at: '16:40',
    keepDays: 7,
    keepMonths: 12,
    warnAfterDays: 3,
    second: '/mnt/shelf',
    passphrase: null,
  };
  await waitFor(() => {
    expect(put).toHaveBeenLastCalledWith('/api/backups', { body: wanted });
  });
  expect(await screen.findByText('● Kept.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText(/^Seal them/), { target: { value: 'weir lantern kelp' } });
  fireEvent.click(screen.getByText('Do it so'));
  await waitFor(() => {
    expect(put).toHaveBeenLastCalledWith('/api/backups', { body: { ...wanted, passphrase: 'weir lantern kelp' } });
  });
  await waitFor(() => {
    expect(screen.getByLabelText<HTMLInputElement>(/^Seal them/).value).toBe('');
  });
});

test('what is wrong with a folder is said beside it', async () => {
  served({ '/api/backups': STANDS });
  vi.spyOn(api, 'PUT').mockImplementation((() =>
    Promise.resolve({
      error: { detail: 'Something is wrong', errors: [{ pointer: '/second', code: 'x', message: 'No such folder' }] },
      response: new Response(null, { status: 400 }),
    })) as never);
  drawnInShed(<BackupsSide />);
  fireEvent.change(await screen.findByLabelText(/^A second place/), { target: { value: '/mnt/x' } });
  fireEvent.click(screen.getByText('Do it so'));
  expect((await screen.findByRole('alert')).textContent).toContain('No such folder');
});

test('one is made and one is tried when the lead says so, and not both at once', async () => {
  served({ '/api/backups': STANDS });
  const post = vi.spyOn(api, 'POST').mockImplementation(says({}));
  drawnInShed(<BackupsSide />);
  fireEvent.click(await screen.findByText('Make one now'));
  await waitFor(() => {
    expect(post).toHaveBeenCalledWith('/api/backups');
  });
  cleanup();
  served({ '/api/backups': { ...STANDS, doing: 'REHEARSAL' } });
  drawnInShed(<BackupsSide />);
  expect(await screen.findByText(/being restored on a database of its own/)).toBeTruthy();
  expect(screen.getByText<HTMLButtonElement>('Make one now').disabled).toBe(true);
});

test('on a server of several schools the lead sees how it stands and changes nothing', async () => {
  served({ '/api/backups': { ...STANDS, changeable: false, whyNot: 'Several schools share this server' } });
  drawnInShed(<BackupsSide />);
  expect(await screen.findByText('Several schools share this server.')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('the rail warns whoever leads the school, and asks for nobody else', async () => {
  served({ '/api/backups': { ...STANDS, warning: 'The last good backup is 9 days old' } });
  drawnInShed(<BackupNote />);
  expect(await screen.findByLabelText(/^The last good backup is 9 days old/)).toBeTruthy();
  cleanup();
  const get = vi.spyOn(api, 'GET');
  get.mockClear();
  drawnInShed(<BackupNote />, { me: somebody({ role: 'INSTRUCTOR', rights: TEACHES }) });
  expect(get).not.toHaveBeenCalled();
});
