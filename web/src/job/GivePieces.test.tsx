import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../api/client';
import * as cohorts from '../frame/cohort';
import { drawnInApp } from '../testing/inApp';
import { GivePieces } from './GivePieces';

const put = vi.spyOn(api, 'PUT');

const division = {
  pieces: [
    { number: 1, fromIn: 0, lengthIn: 118, bends: [{ bend: 1 }] },
    { number: 2, fromIn: 118, lengthIn: 20, bends: [] },
    { number: 3, fromIn: 138, lengthIn: 90, bends: [{ bend: 2 }] },
  ],
} as unknown as Schemas['DivideAnswer'];

const onGiven = vi.fn();

const exercise = { title: 'Round the store' } as Schemas['ExerciseInput'];

beforeEach(() => {
  put.mockReset().mockResolvedValue({ data: { id: 'job-1' }, response: new Response() } as never);
  vi.spyOn(cohorts, 'useCohort').mockReturnValue({
    cohort: {
      id: 'c',
      name: 'Third year',
      trainees: [
        { id: 'hollis', fullName: 'Hollis Varne', bench: 1 },
        { id: 'ingrid', fullName: 'Ingrid Pell', bench: 2 },
      ],
    },
  } as never);
  drawnInApp(
    <GivePieces
      division={division}
      exercise={() => exercise}
      entry={{ id: 'e1', version: 3 }}
      onGiven={onGiven}
      rules={{ kerfIn: 1 / 16 }}
    />,
  );
});

afterEach(cleanup);

it('asks who bends each piece that has bends, one after the other along the benches', () => {
  const whose = screen.getAllByRole<HTMLSelectElement>('combobox').map(({ value }) => value);
  expect(whose).toEqual(['hollis', 'ingrid']);
  expect(screen.queryByLabelText('Piece 2')).toBeNull();
});

it('gives the run with its rules, and leads to the job', async () => {
  fireEvent.change(screen.getByLabelText('Piece 3'), { target: { value: 'hollis' } });
  fireEvent.click(screen.getByRole('button', { name: 'Give the pieces' }));
  expect((await screen.findByRole('link', { name: 'To the job' })).getAttribute('href')).toBe('/jobs/job-1');
  expect(put).toHaveBeenCalledExactlyOnceWith('/api/jobs/{id}', {
    params: { path: { id: expect.any(String) as string } },
    body: {
      libraryId: 'e1',
      basedOn: 3,
      exercise,
      rules: { kerfIn: 1 / 16 },
      pieces: [
        { number: 1, traineeId: 'hollis' },
        { number: 3, traineeId: 'hollis' },
      ],
    },
  });
  expect(onGiven).toHaveBeenCalledExactlyOnceWith({ id: 'job-1' });
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Give the pieces' }).disabled).toBe(true);
});

it('says why the server does not take it', async () => {
  put.mockReset().mockResolvedValue({
    error: { detail: 'No piece of this run has a ninety to bend', errors: [] },
    response: new Response(null, { status: 409 }),
  } as never);
  fireEvent.click(screen.getByRole('button', { name: 'Give the pieces' }));
  expect(await screen.findByText(/No piece of this run has a ninety/)).toBeTruthy();
});
