import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import Wall from '../floor/Wall';
import { drawnInApp } from '../testing/inApp';
import { WhoIsNext } from './WhoIsNext';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function emptySchool(): void {
  vi.spyOn(api, 'GET').mockResolvedValue({ data: [], response: new Response() } as never);
}

test('Measure of a school without anybody says what to do first', async () => {
  emptySchool();
  drawnInApp(<WhoIsNext />);
  const start = await screen.findByRole('link', { name: 'Start a cohort on the floor' });
  expect(start.getAttribute('href')).toBe('/floor');
});

test('the wall of a school without anybody says so, and not that a signal is missing', async () => {
  emptySchool();
  drawnInApp(<Wall />);
  expect(await screen.findByText('There is nobody here yet')).toBeTruthy();
  expect(screen.queryByText(/no signal/)).toBeNull();
});
