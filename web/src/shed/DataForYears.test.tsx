import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { somebody } from '../testing/signedIn';
import { drawnInShed, says, served } from '../testing/inShed';
import { RetentionRules } from './RetentionRules';
import { WholeSchool } from './WholeSchool';

const LEFT = { kind: 'PEOPLE_LEFT', months: 24, byCalendar: false, edition: 3, lastAt: null, lastTaken: null };
const PHOTOS = {
  kind: 'PHOTOS',
  months: null,
  byCalendar: false,
  edition: 0,
  lastAt: '2026-11-20T08:00:00Z',
  lastTaken: 1,
};

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('who would go is named, and goes once somebody is sure: as many as were seen', async () => {
  served({
    '/api/retention': [LEFT],
    '/api/retention/{kind}/preview': {
      before: '2024-12-01T08:00:00Z',
      count: 2,
      oldest: '2023-06-01T08:00:00Z',
      names: ['Ada Finch', 'Bo Rill'],
    },
  });
  const post = vi.spyOn(api, 'POST').mockImplementation(says({}));
  drawnInShed(<RetentionRules />);
  expect(await screen.findByText(/2 people are older than 24 months.*Ada Finch, Bo Rill/)).toBeTruthy();
  fireEvent.click(screen.getByText('Take it away…'));
  fireEvent.click(screen.getByText(/2 people for good/));
  await waitFor(() => {
    expect(post).toHaveBeenCalledWith('/api/retention/{kind}/runs', {
      params: { path: { kind: 'PEOPLE_LEFT' } },
      body: { seen: 2 },
    });
  });
});

test('another length is looked at before it is kept, and nothing can be taken away by it yet', async () => {
  const get = vi.fn((path: string, { params }: { params?: { query?: { months?: number } } } = {}) => ({
    data:
      path === '/api/retention'
        ? [LEFT]
        : {
            before: '2025-12-01T08:00:00Z',
            count: params?.query?.months === 12 ? 5 : 0,
            oldest: '2023-06-01T08:00:00Z',
            names: [],
          },
    response: new Response(null, { status: 200 }),
  }));
  served({});
  vi.spyOn(api, 'GET').mockImplementation(((...args: Parameters<typeof get>) =>
    Promise.resolve(get(...args))) as never);
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  drawnInShed(<RetentionRules />);
  expect(await screen.findByText('Nothing is older than 24 months.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Months'), { target: { value: '12' } });
  expect(await screen.findByText(/5 people are older than 12 months/)).toBeTruthy();
  expect(screen.queryByText('Take it away…')).toBeNull();
  fireEvent.click(screen.getByText('Keep so long'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/retention/{kind}', {
      params: { path: { kind: 'PEOPLE_LEFT' } },
      body: { edition: 3, months: 12, byCalendar: false },
    });
  });
});

test('what is kept for ever says so, and what went last', async () => {
  served({
    '/api/retention': [PHOTOS],
    '/api/retention/{kind}/preview': { before: '2024-12-01T08:00:00Z', count: 0, oldest: null, names: [] },
  });
  drawnInShed(<RetentionRules />);
  const rule = within(await screen.findByRole('listitem'));
  expect(rule.getByText(/Kept for ever/).textContent).toContain('1 photograph went on');
});

test('an auditor reads the rules and changes none', async () => {
  served({ '/api/retention': [LEFT] });
  drawnInShed(<RetentionRules />, {
    me: somebody({ role: 'AUDITOR', rights: ['OWN_ACCOUNT', 'READ', 'READ_RECORDS', 'READ_EVERY_COHORT'] }),
  });
  expect(await screen.findByText(/Kept for 24 months/)).toBeTruthy();
  expect(screen.queryByText('Keep so long')).toBeNull();
});

test('a school is brought in where there is nothing yet: looked into, then as one of its leads', async () => {
  served({ '/api/kept-cohorts': [] });
  const put = vi.spyOn(api, 'PUT').mockImplementation(
    says({
      '/api/school/file': {
        name: 'Gull Point',
        trainees: 12,
        attempts: 300,
        readings: 2000,
        leads: [{ id: 'l1', fullName: 'Ida Rook', signInName: 'lead' }],
      },
    }),
  );
  drawnInShed(<WholeSchool />);
  const file = new File(['zip'], 'School.zip');
  fireEvent.change(await screen.findByLabelText('File of a school'), { target: { files: [file] } });
  expect((await screen.findByText('Gull Point')).parentElement?.textContent).toContain(
    '12 trainees, 300 pieces, 2000 readings',
  );
  fireEvent.click(screen.getByText('Bring it in'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledTimes(2);
  });
  expect(put.mock.calls[0]?.[1]).toMatchObject({ params: { query: {} } });
  expect(put.mock.calls[1]?.[1]).toMatchObject({ params: { query: { as: 'l1' } }, body: file });
});

test('where there are cohorts, nothing is brought in', async () => {
  served({ '/api/kept-cohorts': [{ id: 'c1', name: 'First year' }] });
  drawnInShed(<WholeSchool />);
  expect((await screen.findByText('Take it all out')).getAttribute('href')).toBe('/api/school/file');
  expect(screen.queryByText('Bring a school in')).toBeNull();
});
