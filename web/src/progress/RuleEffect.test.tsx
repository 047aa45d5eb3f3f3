import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { drawnInShed, says } from '../testing/inShed';
import { percent, RuleEffect } from './RuleEffect';

const RULE = {
  passes: 3,
  of: 4,
  days: 2,
  lengthIn: 0.125,
  angleDeg: 2,
  dogLegDeg: 2,
  withoutRebending: 1,
  steadyPasses: 3,
};

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

test('what a rule does is asked for once it is opened, and names the smallest rule', async () => {
  const post = vi.spyOn(api, 'POST').mockImplementation(
    says({
      '/api/sign-off-rules/effect': {
        piecesADay: 2,
        cleanShare: 0.8,
        after: [8, 12, 20],
        chances: [{ passRate: 0.5, within: [0.4, 0.61, 0.003] }],
        smallest: { figures: { ...RULE, passes: 5, of: 6 }, risk: 0.043 },
      },
    }),
  );
  drawnInShed(<RuleEffect figures={RULE} open />);
  expect(await screen.findByText('5 of 6')).toBeTruthy();
  expect(screen.getByText('61 %')).toBeTruthy();
  expect(screen.getByText('< 1 %')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('at most so often'), { target: { value: '0.01' } });
  await waitFor(() => {
    expect(post).toHaveBeenLastCalledWith('/api/sign-off-rules/effect', {
      body: { figures: RULE, passRate: 0.7, pieces: 12, risk: 0.01 },
    });
  });
});

test('closed, it asks nothing', () => {
  const post = vi.spyOn(api, 'POST').mockImplementation(says({}));
  drawnInShed(<RuleEffect figures={RULE} />);
  expect(post).not.toHaveBeenCalled();
});

test('shares are told in whole per cent, and never as nothing for what is little', () => {
  expect([0, 0.001, 0.046, 0.999, 1].map(percent)).toEqual(['0 %', '< 1 %', '5 %', '> 99 %', '100 %']);
});
