import { cleanup, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { drawnInShed, served } from '../testing/inShed';
import { ServerStand } from './ServerStand';

const WELL = {
  concerns: [],
  since: '2026-12-01T07:00:00Z',
  recordForm: '36',
  diskFreeBytes: 68_400_000_000,
  diskBytes: 252_000_000_000,
  databaseBytes: 43_100_000,
  answersMillis: 1,
  servers: 1,
  backupsElsewhere: false,
  connected: [
    { accountId: 'a', fullName: 'Dessa Quillow', devices: 1 },
    { accountId: 'b', fullName: 'Runa Tolvane', devices: 3 },
  ],
  lastBackup: null,
};

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('a server that is well says so, with its figures and who is connected', async () => {
  served({ '/api/server': WELL });
  drawnInShed(<ServerStand />);
  expect(await screen.findByText('● All is well')).toBeTruthy();
  expect(screen.getByText('68 GB')).toBeTruthy();
  expect(screen.getByText('of 252 GB')).toBeTruthy();
  expect(screen.getByText('43 MB')).toBeTruthy();
  expect(
    screen.getByText('Here in the last five minutes: Dessa Quillow (on 1 device), Runa Tolvane (on 3 devices).'),
  ).toBeTruthy();
  expect(screen.getByText('none')).toBeTruthy();
});

test('one of several servers says so, and that another makes the backups', async () => {
  served({ '/api/server': { ...WELL, servers: 2, backupsElsewhere: true } });
  drawnInShed(<ServerStand />);
  expect(await screen.findByText('Servers')).toBeTruthy();
  expect(screen.getByText('2')).toBeTruthy();
  expect(screen.getByText('at another server')).toBeTruthy();
  expect(screen.queryByText('none')).toBeNull();
});

test('what is not well is said in the first place, each for itself', async () => {
  served({
    '/api/server': { ...WELL, concerns: ['The disk is nearly full', 'The last backup failed'], connected: [] },
  });
  drawnInShed(<ServerStand />);
  expect(await screen.findByText('▲ The disk is nearly full.')).toBeTruthy();
  expect(screen.getByText('▲ The last backup failed.')).toBeTruthy();
  expect(screen.queryByText('● All is well')).toBeNull();
  expect(screen.getByText('Nobody was here in the last five minutes.')).toBeTruthy();
});
