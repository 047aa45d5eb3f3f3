import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInShed, says, served } from '../testing/inShed';
import { LeadsConfirm } from './LeadsConfirm';
import { OwnSecondFactor } from './OwnSecondFactor';

const NONE = { since: null, codesLeft: 0, leadsNeedOne: false, heldBack: false };
const ON = { since: '2026-11-28T08:00:00Z', codesLeft: 2, leadsNeedOne: true, heldBack: false };

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('a secret is shown to the camera, and codes for paper once it is confirmed', async () => {
  served({ '/api/me/second-factor': NONE });
  vi.spyOn(api, 'POST').mockImplementation(
    says({ '/api/me/second-factor': { secret: 'ABCDEFGH', address: 'otpauth://', code: ['010', '101', '010'] } }),
  );
  const put = vi
    .spyOn(api, 'PUT')
    .mockImplementation(says({ '/api/me/second-factor': { recoveryCodes: ['7K2M-9QXD-04TB', '8K2M-9QXD-04TB'] } }));
  drawnInShed(<OwnSecondFactor />);
  fireEvent.click(await screen.findByText('Set it up'));
  const picture = await screen.findByRole('img', { name: 'Code for your authenticator app' });
  expect(picture.querySelector('path')?.getAttribute('d')).toBe('M1 0h1v1h-1zM0 1h1v1h-1zM2 1h1v1h-1zM1 2h1v1h-1z');
  expect(screen.getByText('ABCD EFGH')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('The code that it shows now'), { target: { value: '123456' } });
  fireEvent.click(screen.getByText('Let it count from now on'));
  expect((await screen.findByRole('list', { name: 'Recovery codes' })).textContent).toContain('7K2M-9QXD-04TB');
  expect(put).toHaveBeenCalledWith('/api/me/second-factor', { body: { code: '123456' } });
});

test('few codes left are told of, and it is ended by password', async () => {
  served({ '/api/me/second-factor': ON });
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<OwnSecondFactor />);
  expect(await screen.findByText(/2 recovery codes are left: end it and set it up again/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Your password'), { target: { value: 'weir-lantern' } });
  fireEvent.click(screen.getByText('Ask me for no code any more'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/me/second-factor/ended', { body: { password: 'weir-lantern' } });
  });
});

test('whoever is held back is told so', async () => {
  served({ '/api/me/second-factor': { ...NONE, leadsNeedOne: true, heldBack: true } });
  drawnInShed(<OwnSecondFactor />);
  expect(await screen.findByText(/you may do what an instructor may/)).toBeTruthy();
});

test('leads are asked for one by pressing', async () => {
  served({ '/api/me/second-factor': NONE });
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<LeadsConfirm />);
  const box = await screen.findByLabelText<HTMLInputElement>('Leads need a second factor');
  await waitFor(() => {
    expect(box.disabled).toBe(false);
  });
  fireEvent.click(box);
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/leads-confirm', { body: { needed: true } });
  });
});
