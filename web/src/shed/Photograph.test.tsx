import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { Portrait } from '../frame/Portrait';
import { drawnInShed, says } from '../testing/inShed';
import { Photograph } from './Photograph';
import type { Enrolled } from './queries';

const ELIN: Enrolled = {
  id: 't1',
  fullName: 'Elin Varga',
  bench: 4,
  cohortId: 'c1',
  cohortName: 'First year',
  joinedAt: '2026-09-01T08:00:00Z',
  largerPrint: false,
  extraTimePct: 0,
  edition: 1,
};

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('where none is kept there is no picture, and nothing to take away', () => {
  const { container } = drawnInShed(<Photograph trainee={ELIN} />);
  expect(container.querySelector('img')).toBeNull();
  expect(screen.getByText('Choose a photograph')).toBeTruthy();
  expect(screen.queryByText('Take it away')).toBeNull();
});

test('a file is sent as it is', async () => {
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<Photograph trainee={ELIN} />);
  const file = new File(['x'], 'elin.jpg', { type: 'image/jpeg' });
  fireEvent.change(screen.getByLabelText('Photograph of Elin Varga'), { target: { files: [file] } });
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith(
      '/api/trainees/{id}/portrait',
      expect.objectContaining({ params: { path: { id: 't1' } }, body: file }),
    );
  });
});

test('one that is kept is shown, another is asked for anew, and it can be taken away', async () => {
  const taken = vi.spyOn(api, 'DELETE').mockImplementation(says({}));
  const { container } = drawnInShed(<Photograph trainee={{ ...ELIN, portraitAt: '2026-11-20T08:00:00Z' }} />);
  expect(container.querySelector('img')?.getAttribute('src')).toBe(
    '/api/trainees/t1/portrait?at=2026-11-20T08%3A00%3A00Z',
  );
  fireEvent.click(screen.getByText('Take it away'));
  await waitFor(() => {
    expect(taken).toHaveBeenCalledWith('/api/trainees/{id}/portrait', { params: { path: { id: 't1' } } });
  });
});

test('what a device remembers of an earlier build has no picture', () => {
  const { container } = drawnInShed(<Portrait id="t1" portraitAt={undefined} className="" />);
  expect(container.querySelector('img')).toBeNull();
});
