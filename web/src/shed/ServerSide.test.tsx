import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInShed, says, served } from '../testing/inShed';
import { ServerSide } from './ServerSide';

const ALONE = {
  reached: null,
  hostName: 'lobrik.local',
  securePort: 8443,
  plainPort: 8081,
  changeable: true,
  whyNot: null,
};

const REACHED = {
  ...ALONE,
  reached: {
    secure: ['https://lobrik.local:8443', 'https://10.0.0.7:8443'],
    plain: ['http://10.0.0.7:8081/'],
    codeRows: ['101', '010', '101'],
    nameIsOurs: true,
    certificate: {
      schools: false,
      fingerprint: '35FF 9F19',
      names: ['10.0.0.7', 'lobrik.local'],
      endsAt: '2027-12-01T08:00:00Z',
    },
  },
};

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('the lead has other devices reach it, and sees where and by which fingerprint', async () => {
  served({ '/api/network': ALONE });
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({ '/api/network': REACHED }));
  drawnInShed(<ServerSide />);
  fireEvent.click(await screen.findByText('Have other devices reach it'));
  expect(await screen.findByText('https://10.0.0.7:8443')).toBeTruthy();
  expect(put).toHaveBeenCalledWith('/api/network', { body: { shared: true } });
  expect(screen.getByText('35FF 9F19')).toBeTruthy();
  expect(screen.getByRole('img', { name: 'Code that leads to the page that explains' })).toBeTruthy();
  fireEvent.click(screen.getByText('Have this machine alone reach it again'));
  await waitFor(() => {
    expect(put).toHaveBeenLastCalledWith('/api/network', { body: { shared: false } });
  });
});

test('where it is not for the lead to say, they are told whose it is', async () => {
  served({ '/api/network': { ...ALONE, changeable: false, whyNot: 'Several schools share this server' } });
  drawnInShed(<ServerSide />);
  expect(await screen.findByText('Several schools share this server.')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('a name that something else has is told of, and a certificate of the school needs no new devices', async () => {
  const { reached } = REACHED;
  served({
    '/api/network': {
      ...REACHED,
      reached: { ...reached, nameIsOurs: false, certificate: { ...reached.certificate, schools: true } },
    },
  });
  drawnInShed(<ServerSide />);
  expect(await screen.findByText(/Something else on this network has the same name/)).toBeTruthy();
  expect(screen.getByText(/It ends on/)).toBeTruthy();
  expect(screen.queryByText('A new device')).toBeNull();
});

test('a machine without an address on a network shows no code', async () => {
  served({ '/api/network': { ...REACHED, reached: { ...REACHED.reached, plain: [], codeRows: null } } });
  drawnInShed(<ServerSide />);
  expect(await screen.findByText(/no address on a network just now/)).toBeTruthy();
});
