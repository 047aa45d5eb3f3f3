import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { drawnInShed, served } from '../testing/inShed';
import { SecureNote } from './SecureNote';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

beforeEach(() => {
  vi.restoreAllMocks();
});

test('at a secure address there is nothing to say', () => {
  served({});
  vi.stubGlobal('isSecureContext', true);
  drawnInShed(<SecureNote />);
  expect(screen.queryByText('Not secure')).toBeNull();
});

test('elsewhere it says what the browser does not do, and where to go', async () => {
  served({ '/api/status': { ready: true, started: true, database: true, secureAddress: 'https://lobrik.local:8443' } });
  vi.stubGlobal('isSecureContext', false);
  drawnInShed(<SecureNote />);
  fireEvent.click(screen.getByText('Not secure'));
  const link = await screen.findByText('https://lobrik.local:8443');
  expect(link.getAttribute('href')).toBe('https://lobrik.local:8443');
});

test('where there is no secure address, whoever runs it is to be asked', async () => {
  served({ '/api/status': { ready: true, started: true, database: true, secureAddress: null } });
  vi.stubGlobal('isSecureContext', false);
  drawnInShed(<SecureNote />);
  fireEvent.click(screen.getByText('Not secure'));
  expect(await screen.findByText(/Ask whoever runs Lobrik/)).toBeTruthy();
});
