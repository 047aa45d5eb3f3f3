import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { drawnIn } from '../testing/signedIn';
import { NoCohort } from './NoCohort';
import { Week } from './Week';

afterEach(cleanup);

it('tells an empty school what to do first, and offers both ways', () => {
  drawnIn(
    'in',
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <NoCohort />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  expect(screen.getByRole('heading', { name: 'There is nobody here yet' })).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Start a cohort on the floor' }).getAttribute('href')).toBe('/floor');
  expect(screen.getByLabelText('Roster file')).toBeTruthy();
});

const matrix = (resting: boolean): Schemas['MatrixView'] => ({
  cohortId: 'c',
  cohortName: 'Autumn intake',
  families: [],
  rows: [{ traineeId: 't', fullName: 'Ada Finch', bench: 1, lastAt: null, resting, cells: [] }],
  pieces: 0,
  slips: [],
  catchingUpPercent: null,
  leftOut: 0,
});

it('says of nobody that they rest on their first day, and names who does', () => {
  const week = (resting: boolean) => {
    drawnIn(
      'in',
      <MemoryRouter>
        <Week matrix={matrix(resting)} />
      </MemoryRouter>,
    );
    const said = screen.queryByText('Ada Finch');
    cleanup();
    return said;
  };
  expect(week(false)).toBeNull();
  expect(week(true)).not.toBeNull();
});
