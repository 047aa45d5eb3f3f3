import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Attempt } from '../api/queries';
import * as outbox from '../queue/outboxContext';
import { drawnInApp } from '../testing/inApp';
import { OwnArithmetic } from './OwnArithmetic';

const attempt = {
  id: 'a',
  trainee: { fullName: 'Ada Finch' },
  plan: { marks: [{ number: 1, back: null }], cutLengthIn: 36.5 },
  bench: {
    own: {
      id: 'o',
      takenBy: 'the trainee',
      points: 70,
      marks: [{ mark: 1, text: '11 3/4', from: 'end', deviationIn: 0.125, band: 'within' }],
      cut: { text: '37', deviationIn: 0.5, band: 'outside' },
    },
  },
} as unknown as Attempt;

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

describe('the trainee’s own figures', () => {
  it('are shown with the cut, each with how far it is off', () => {
    drawnInApp(<OwnArithmetic attempt={attempt} />);
    const [mark, cut] = screen.getAllByRole('row');
    expect(mark?.textContent).toContain('11 3/4');
    expect(cut?.textContent).toContain('37');
    expect(screen.getByLabelText(/deviation \+1\/2, outside tolerance/)).toBeTruthy();
  });

  it('keep their cut when a mark is corrected', () => {
    const keep = vi.fn(() => Promise.resolve(undefined as never));
    vi.spyOn(outbox, 'useKeep').mockReturnValue(keep);
    drawnInApp(<OwnArithmetic attempt={attempt} />);
    fireEvent.click(screen.getByText('Correct them…'));
    fireEvent.change(screen.getByLabelText('Own figure for mark 1'), { target: { value: '11 5/8' } });
    fireEvent.click(screen.getByText('Keep the figures'));
    expect(keep).toHaveBeenCalledWith(
      expect.objectContaining({
        body: expect.objectContaining({
          fact: { kind: 'figures', marks: [{ mark: 1, text: '11 5/8' }], cut: { text: '37' } },
          corrects: 'o',
        }) as unknown,
      }),
    );
  });
});
