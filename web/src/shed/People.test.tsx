import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInShed, LEADS } from '../testing/inShed';
import { somebody } from '../testing/signedIn';
import { People } from './People';

const AUDITS = somebody({ role: 'AUDITOR', rights: ['OWN_ACCOUNT', 'READ', 'READ_RECORDS', 'READ_EVERY_COHORT'] });

const PERSON = {
  id: 'p1',
  fullName: 'Wim Askel',
  signInName: 'wim',
  role: 'ASSISTANT',
  state: 'INVITED',
  edition: 3,
  invitedUntil: '2099-01-01T00:00:00Z',
};

function answers(bodies: Record<string, unknown>) {
  return ((path: string) =>
    Promise.resolve({ data: bodies[path], response: new Response(null, { status: 200 }) })) as never;
}

function drawn(me: typeof LEADS) {
  drawnInShed(<People />, { me, at: '/shed?side=people' });
}

afterEach(cleanup);

beforeEach(() => {
  HTMLDialogElement.prototype.showModal = vi.fn();
  vi.restoreAllMocks();
  vi.spyOn(api, 'GET').mockImplementation(
    answers({
      '/api/people': { people: [PERSON], all: 1 },
      '/api/cohort-staff': [{ cohortId: 'c1', name: 'First year', staff: ['p1'] }],
      '/api/people/{id}/sessions': [],
    }),
  );
});

test('a lead sees who is invited, what they are and which cohorts are theirs, and may change it', async () => {
  drawn(LEADS);
  expect(await screen.findByText('Wim Askel')).toBeTruthy();
  expect(screen.getByText('First year')).toBeTruthy();
  expect(screen.getByText(/invited, until/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Change Wim Askel' })).toBeTruthy();
});

test('an auditor sees the same and changes nothing', async () => {
  drawn(AUDITS);
  expect(await screen.findByText('Wim Askel')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Invite somebody' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'Change Wim Askel' })).toBeNull();
});

test('an invitation proposes a name to sign in with, and tells its code', async () => {
  const put = vi
    .spyOn(api, 'PUT')
    .mockImplementation(
      answers({ '/api/people/{id}': { invitation: { code: '7K2M-9QXD', expiresAt: '2099-01-01T00:00:00Z' } } }),
    );
  drawn(LEADS);
  fireEvent.click(await screen.findByRole('button', { name: 'Invite somebody' }));
  fireEvent.change(screen.getByLabelText('Full name'), { target: { value: 'Zoë Rill' } });
  fireEvent.click(screen.getByText('Make the invitation'));
  expect(await screen.findByText('7K2M-9QXD')).toBeTruthy();
  expect(put.mock.calls[0]?.[1]).toMatchObject({
    body: { fullName: 'Zoë Rill', signInName: 'zoe.rill', role: 'INSTRUCTOR' },
  });
});

test('a name that is taken is said at its field', async () => {
  const problem = { detail: 'taken', errors: [{ pointer: '/signInName', code: 'name-taken', message: 'is taken' }] };
  vi.spyOn(api, 'PUT').mockImplementation((() =>
    Promise.resolve({ error: problem, response: new Response(null, { status: 400 }) })) as never);
  drawn(LEADS);
  fireEvent.click(await screen.findByRole('button', { name: 'Invite somebody' }));
  fireEvent.change(screen.getByLabelText('Full name'), { target: { value: 'Wim' } });
  fireEvent.click(screen.getByText('Make the invitation'));
  expect(await screen.findByText(/is taken/)).toBeTruthy();
});
