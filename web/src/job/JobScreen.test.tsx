import { QueryClient } from '@tanstack/react-query';
import { cleanup, screen, within } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { api } from '../api/client';
import * as narrow from '../frame/narrow';
import { drawnInApp } from '../testing/inApp';
import { JobList } from './JobList';
import JobScreen from './JobScreen';
import { OfJob } from './OfJob';
import type { Job } from './queries';

const get = vi.spyOn(api, 'GET');

const sheet = {
  assignmentId: 'a1',
  givingId: 'g1',
  code: 'ABCD-EFGH-JKLM',
  traineeId: 't1',
  fullName: 'Hollis Varne',
  bench: 1,
  attemptId: 'at1',
  measured: true,
  points: 87.5,
  passed: false,
};

const job = {
  id: 'job-1',
  title: 'From the panel round the cold store',
  conduitLabel: '3/4 EMT',
  benderLabel: 'Bender 1',
  definition: {},
  outsideDiameterIn: 0.922,
  givenAt: '2026-11-27T08:00:00Z',
  plan: { marks: [], walls: [], dimensions: [], features: [], shape: { centreline: [], arcs: [] } },
  pieces: [
    { number: 1, fromIn: 0, lengthIn: 119.875, fromLeg: 1, couplingIn: null, bends: [1], definition: {}, sheet },
    {
      number: 2,
      fromIn: 119.875,
      lengthIn: 90,
      fromLeg: 2,
      couplingIn: 63,
      bends: [2],
      definition: {},
      sheet: { ...sheet, fullName: 'Ingrid Pell', attemptId: null, measured: false, points: null, passed: null },
    },
    { number: 3, fromIn: 210, lengthIn: 20, fromLeg: 3, couplingIn: 40, bends: [], definition: null, sheet: null },
  ],
  cuts: [{ lengthIn: 120, leftOver: false, pieces: [1], leftIn: 0.0625 }],
  fittings: [
    { what: 'connectors', count: 2 },
    { what: 'couplings', count: 2 },
  ],
  strapsIn: [36, 150],
  pullBoxOnLegs: [],
  assembly: {
    complete: false,
    enters: false,
    sentence: 'Put together it does not go in: the far end is 3/4 in to the right. Piece 1 spent most of it.',
    spent: [
      { piece: 1, measured: true, straight: false, brings: '3/4 in to the right', farIn: 0.75 },
      { piece: 2, measured: false, straight: false, brings: '', farIn: 0 },
      { piece: 3, measured: false, straight: true, brings: '', farIn: 0 },
    ],
    made: { lengthIn: 230, centreline: [], arcs: [], pose: {} },
  },
} as unknown as Job;

beforeEach(() => {
  vi.spyOn(narrow, 'useNarrow').mockReturnValue(false);
  get.mockReset().mockImplementation(((path: string) =>
    Promise.resolve({
      data:
        path === '/api/jobs'
          ? [{ id: 'job-1', title: job.title, givenAt: job.givenAt, trainees: ['Hollis Varne', 'Ingrid Pell'] }]
          : path.startsWith('/api/jobs/of/')
            ? { jobId: 'job-1' }
            : job,
      response: new Response(),
    })) as never);
});

afterEach(cleanup);

/** The screen at its address: the app that parts are drawn in stands at the root. */
function opened(shown: Job = job) {
  const client = new QueryClient();
  client.setQueryData(['jobs', undefined], shown);
  return drawnInApp(
    <Routes>
      <Route path="*" element={<JobScreen />} />
    </Routes>,
    client,
  );
}

it('says whether the run goes in, what each piece spent, and which are not measured', () => {
  opened();
  const together = screen.getByRole('region', { name: 'Put together' });
  expect(together.textContent).toContain('pieces not measured are taken as they should be');
  expect(within(together).getByText(/does not go in/).textContent).toContain('✕');
  expect(
    within(together)
      .getAllByRole('rowheader')
      .map(({ textContent }) => textContent),
  ).toEqual(['Piece 13/4 in to the right', 'Piece 2not measured', 'Piece 3as cut']);
});

it('leads from a piece to its verdict, and says whose it is, or that it is only cut', () => {
  opened();
  const pieces = within(screen.getByRole('region', { name: 'Pieces' })).getAllByRole('listitem');
  expect(
    within(pieces[0] as HTMLElement)
      .getByRole('link')
      .getAttribute('href'),
  ).toBe('/verdict/at1');
  expect(pieces[1]?.textContent).toContain('sheet ABCD-EFGH-JKLM');
  expect(pieces[1]?.textContent).toContain('from a coupling 63 on leg 2');
  expect(pieces[2]?.textContent).toContain('cut only');
});

it('has the cut list and what is needed besides', () => {
  opened();
  const needed = screen.getByRole('region', { name: 'Cut list and fittings' }).textContent;
  expect(needed).toContain('Stick of 120: piece 1, 1/16 left');
  expect(needed).toContain('2 connectors, 2 couplings; straps at 36, 150');
});

it('waits for the first piece before it puts anything together', () => {
  opened({ ...job, assembly: null });
  expect(screen.getByText(/No piece is measured yet/)).toBeTruthy();
});

it('is listed with who bends it, and found from a piece of it', async () => {
  drawnInApp(
    <>
      <JobList />
      <OfJob assignmentId="a1" />
    </>,
  );
  expect((await screen.findByRole('link', { name: job.title })).getAttribute('href')).toBe('/jobs/job-1');
  expect(screen.getByText('Hollis Varne, Ingrid Pell')).toBeTruthy();
  expect((await screen.findByRole('link', { name: /whole run/ })).getAttribute('href')).toBe('/jobs/job-1');
});
