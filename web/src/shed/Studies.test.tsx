import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { somebody } from '../testing/signedIn';
import { drawnInShed, LEADS, says, served } from '../testing/inShed';
import { People } from './People';

// Reading a text is the core's, tried where it is; here a number is a number.
vi.mock('../benchcore/useQuantities', () => ({
  useQuantities: (typed: { text: string }[]) =>
    typed.map(({ text }) => ({ value: text === '' || isNaN(Number(text)) ? undefined : Number(text), problem: null })),
}));

const LEG = { feature: 'leg', title: 'Leg', unit: 'in', tolerance: 0.125 };
const ANGLE = { feature: 'angle', title: 'Angle', unit: 'deg', tolerance: 2 };

const GOING_ON = {
  id: 's1',
  title: 'Stubs on the trestle',
  instrument: 'HAND',
  pieces: 4,
  repeats: 2,
  asked: [LEG, ANGLE],
  readers: [
    { id: 'a1', fullName: 'Dessa Quillow', done: 3 },
    { id: 'a2', fullName: 'Runa Tolvane', done: 8 },
  ],
  ofEach: 8,
  mine: 3,
  madeAt: '2026-11-28T08:00:00Z',
  closedAt: null,
};

const USUAL = { known: [], takenAt: null, takenBy: null };

function studies(all: readonly unknown[], spread: unknown = USUAL) {
  return {
    studies: all,
    offered: [LEG, ANGLE],
    readers: [
      { id: 'a1', fullName: 'Dessa Quillow' },
      { id: 'a2', fullName: 'Runa Tolvane' },
    ],
    spread,
  };
}

const RESULT = {
  feature: LEG,
  lines: [{ of: 'pieces', squares: 12, freedom: 3, meanSquare: 4 }],
  peopleByChance: 0.001,
  togetherByChance: 0.6,
  pooled: true,
  repeatability: 0.02,
  low: 0.015,
  high: 0.03,
  reproducibility: 0.04,
  spread: 0.045,
  usual: 0.03125,
  pieceSpread: 1,
  share: 0.85,
  toldApart: 31,
  verdict: '85 % of the tolerance goes to reading: too much to judge single readings by.',
  cause: 'Most of it is that people read differently.',
  readers: [
    {
      id: 'a1',
      fullName: 'Dessa Quillow',
      bias: 0.03125,
      low: 0.02,
      high: 0.04,
      spread: 0.02,
      off: true,
      words: 'reads 1/32 in long',
      offPiece: [
        [0.01, 0.03],
        [0.005, 0.025],
        [0.005, 0.025],
      ],
    },
    {
      id: 'a2',
      fullName: 'Runa Tolvane',
      bias: -0.03125,
      low: -0.04,
      high: 0.01,
      spread: 0.01,
      off: false,
      words: 'reads as all do',
      offPiece: [
        [-0.02, -0.02],
        [-0.015, -0.015],
        [-0.015, -0.015],
      ],
    },
  ],
};

const AT = '/shed?side=people&view=readers';

afterEach(cleanup);

beforeEach(() => {
  vi.restoreAllMocks();
});

test('whoever reads gets one piece at a time and sees no figure, neither theirs nor anybody’s', async () => {
  const post = vi.spyOn(api, 'POST').mockImplementation(says({}));
  served({
    '/api/studies': studies([GOING_ON]),
    '/api/studies/{id}/turn': { piece: 3, round: 1, done: 3, ofEach: 8 },
  });
  drawnInShed(<People />, { at: AT });
  const reading = within(await screen.findByRole('form', { name: 'Your reading' }));
  expect(reading.getByText('Piece 3')).toBeTruthy();
  expect(reading.getByText('time 1 of 2')).toBeTruthy();
  const write = reading.getByRole<HTMLButtonElement>('button', { name: /Write down/ });
  fireEvent.change(reading.getByLabelText('Leg'), { target: { value: '13.5' } });
  expect(write.disabled).toBe(true);
  fireEvent.change(reading.getByLabelText('Angle'), { target: { value: '89' } });
  fireEvent.click(write);
  await waitFor(() => {
    expect(post).toHaveBeenCalledWith('/api/studies/{id}/figures', {
      params: { path: { id: 's1' } },
      body: {
        piece: 3,
        round: 1,
        figures: [
          { feature: 'leg', value: 13.5 },
          { feature: 'angle', value: 89 },
        ],
      },
    });
  });
  expect(screen.getByLabelText('Runa Tolvane: 8 of 8')).toBeTruthy();
});

test('whoever keeps no records sees the studies alone, and closes none', async () => {
  served({
    '/api/studies': studies([{ ...GOING_ON, mine: 8 }]),
  });
  drawnInShed(<People />, { me: somebody({ role: 'ASSISTANT', rights: ['OWN_ACCOUNT', 'READ', 'MEASURE'] }), at: AT });
  expect(await screen.findByText(/You have read everything/)).toBeTruthy();
  expect(screen.queryByText('Accounts')).toBeNull();
  expect(screen.queryByText(/Close it/)).toBeNull();
});

test('what came out is told feature by feature, and the lead takes it, without what was left out', async () => {
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  served({
    '/api/studies': studies([{ ...GOING_ON, closedAt: '2026-11-29T08:00:00Z' }]),
    '/api/studies/{id}/results': { pieces: [1, 2, 3], incomplete: [4], without: [], features: [RESULT] },
  });
  drawnInShed(<People />, { me: LEADS, at: AT });
  const leg = within(await screen.findByRole('region', { name: 'Leg' }));
  expect(leg.getByText(/85 % of the tolerance/)).toBeTruthy();
  expect(leg.getByText(/reads 1\/32 in long/).textContent).toContain('▲');
  expect(leg.getByRole('img').getAttribute('aria-label')).toContain('Readings of 3 pieces by 2 people');
  expect(leg.getByRole('img').querySelectorAll('text').length).toBe(3 + 3 + 12);
  expect(screen.getByText(/Not everybody read piece 4/)).toBeTruthy();
  fireEvent.click(screen.getByLabelText('Leave out piece 2'));
  fireEvent.click(await screen.findByText('Weigh readings by this from now on'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/reading-spread', { body: { studyId: 's1', without: [2] } });
  });
});

test('what readings are weighed by is told, and given up again', async () => {
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  served({
    '/api/studies': studies([], {
      known: [{ feature: 'leg', title: 'Leg', unit: 'in', instrument: 'GAUGE', spread: 0.0625, usual: 0.03125 }],
      takenAt: '2026-11-29T08:00:00Z',
      takenBy: 'Oskar Brindlemay',
    }),
  });
  drawnInShed(<People />, { at: AT });
  const spread = within(await screen.findByRole('region', { name: 'What readings are weighed by' }));
  expect(spread.getByRole('row', { name: /Leg gauge/ }).textContent).toContain('1/16');
  fireEvent.click(spread.getByText('Weigh as is usual again'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledWith('/api/reading-spread', { body: {} });
  });
});

test('a study is begun of what is read of how many pieces, by whom', async () => {
  const put = vi.spyOn(api, 'PUT').mockImplementation(says({}));
  served({ '/api/studies': studies([]) });
  drawnInShed(<People />, { at: AT });
  expect(await screen.findByText(/How far can a reading be trusted/)).toBeTruthy();
  fireEvent.click(screen.getByText('Begin a study'));
  fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: 'Trestle' } });
  fireEvent.change(screen.getByLabelText('Tolerance ±'), { target: { value: '0.0625' } });
  fireEvent.click(screen.getByText('Read something else too'));
  expect(screen.getAllByLabelText('Feature')).toHaveLength(2);
  fireEvent.click(screen.getByLabelText('Dessa Quillow'));
  expect(screen.getByText<HTMLButtonElement>(/^Begin: 16 readings/).disabled).toBe(true);
  fireEvent.click(screen.getByLabelText('Runa Tolvane'));
  fireEvent.click(screen.getByText('Begin: 32 readings of a piece in all'));
  await waitFor(() => {
    expect(put).toHaveBeenCalledTimes(1);
  });
  expect(put.mock.calls[0]?.[1]).toMatchObject({
    body: {
      title: 'Trestle',
      pieces: 8,
      repeats: 2,
      readers: ['a1', 'a2'],
      asked: [
        { feature: 'leg', tolerance: 0.0625 },
        { feature: 'angle', tolerance: 2 },
      ],
    },
  });
});
