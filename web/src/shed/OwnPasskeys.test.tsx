import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { passkeyWords } from '../session/passkeys';
import { drawnInShed, says, served } from '../testing/inShed';
import { OwnPasskeys } from './OwnPasskeys';

const KEY = {
  id: 'k1',
  label: 'The tablet at bench 4',
  createdAt: '2026-11-20T08:00:00Z',
  lastUsedAt: '2026-11-28T08:00:00Z',
};

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

beforeEach(() => {
  vi.restoreAllMocks();
});

test('where no key can belong to the address, it says how to open Lobrik instead', async () => {
  served({ '/api/me/passkeys': [] });
  drawnInShed(<OwnPasskeys />);
  expect(await screen.findByText(/open Lobrik by a name and a secure address/)).toBeTruthy();
  expect(screen.queryByText('Make a passkey here')).toBeNull();
});

test('a key is taken away by itself', async () => {
  served({ '/api/me/passkeys': [KEY] });
  const taken = vi.spyOn(api, 'DELETE').mockImplementation(says({}));
  drawnInShed(<OwnPasskeys />);
  fireEvent.click(await screen.findByRole('button', { name: 'Take The tablet at bench 4 away' }));
  await waitFor(() => {
    expect(taken).toHaveBeenCalledWith('/api/me/passkeys/{passkey}', { params: { path: { passkey: 'k1' } } });
  });
});

test('the device is asked what the server asks, and its answer is kept under a name', async () => {
  class Made {
    static parseCreationOptionsFromJSON = vi.fn((options: unknown) => ({ parsed: options }));
    toJSON = () => ({ id: 'made' });
  }
  vi.stubGlobal('PublicKeyCredential', Made);
  vi.stubGlobal('isSecureContext', true);
  vi.stubGlobal('navigator', { userAgent: '', credentials: { create: () => Promise.resolve(new Made()) } });
  served({ '/api/me/passkeys': [] });
  vi.spyOn(api, 'POST').mockImplementation(says({ '/api/me/passkeys': { question: 'q1', options: { rp: 'here' } } }));
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<OwnPasskeys />);
  fireEvent.change(await screen.findByLabelText('What this device is called'), { target: { value: 'My phone' } });
  fireEvent.click(screen.getByText('Make a passkey here'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/me/passkeys', {
      body: { question: 'q1', label: 'My phone', credential: { id: 'made' } },
    });
  });
  expect(Made.parseCreationOptionsFromJSON).toHaveBeenCalledWith({ rp: 'here' });
});

test('a device that was not asked to the end says so in our words', () => {
  const away = new Error('The operation either timed out or was not allowed.');
  away.name = 'NotAllowedError';
  expect(passkeyWords(away)).toContain('has no passkey for this address');
  expect(passkeyWords(new Error('This passkey opens nothing here'))).toBe('This passkey opens nothing here');
});
