import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Attempt } from '../api/queries';
import { drawnInApp } from '../testing/inApp';
import { keeping } from '../testing/keeping';
import { LookOver } from './LookOver';

const point = (id: string, good: string, more = {}) => ({
  point: id,
  good,
  critical: false,
  deduction: 4,
  finding: null,
  own: null,
  rivals: [],
  ...more,
});

const found = (result: 'good' | 'fault') => ({ finding: { id: `f-${result}`, result, note: null } });

function attempt(points: readonly unknown[]): Attempt {
  return {
    id: 'a',
    trainee: { fullName: 'Ada Finch' },
    plan: { marks: [{ number: 1 }] },
    bench: { points, rework: [], notes: [], photos: [], waste: null, minutes: null },
  } as unknown as Attempt;
}

const keep = keeping();
const kept = () => keep.mock.calls.map(([task]) => task);

const pressed = (name: string) => screen.getByRole('button', { name }).getAttribute('aria-pressed') === 'true';

describe('what is looked over', () => {
  it('is found by one press, and says what a fault costs', () => {
    drawnInApp(<LookOver attempt={attempt([point('kink', 'No kink', found('fault')), point('burr', 'Reamed')])} />);
    expect(screen.getByText(/−4/)).toBeTruthy();
    expect(pressed('No kink: fault')).toBe(true);
    expect(pressed('Reamed: good')).toBe(false);
    fireEvent.click(screen.getByRole('button', { name: 'Reamed: good' }));
    expect(kept()).toEqual([
      {
        kind: 'fact',
        body: {
          fact: { kind: 'finding', point: 'burr', result: 'good', note: null },
          corrects: null,
          takenAt: expect.any(String) as unknown,
        },
      },
    ]);
  });

  it('pressed once more as it is found already, writes nothing', () => {
    drawnInApp(<LookOver attempt={attempt([point('kink', 'No kink', found('good'))])} />);
    fireEvent.click(screen.getByRole('button', { name: 'No kink: good' }));
    expect(kept()).toEqual([]);
  });

  it('changes by a correction of what was found', () => {
    drawnInApp(<LookOver attempt={attempt([point('kink', 'No kink', found('good'))])} />);
    fireEvent.click(screen.getByRole('button', { name: 'No kink: fault' }));
    expect(kept()).toMatchObject([{ body: { fact: { result: 'fault' }, corrects: 'f-good' } }]);
  });

  it('is good in one press as far as nobody looked', () => {
    const points = [point('kink', 'No kink', found('fault')), point('burr', 'Reamed'), point('paint', 'Not scraped')];
    drawnInApp(<LookOver attempt={attempt(points)} />);
    fireEvent.click(screen.getByRole('button', { name: 'The rest is good' }));
    expect(kept()).toMatchObject([
      { body: { fact: { point: 'burr', result: 'good' } } },
      { body: { fact: { point: 'paint', result: 'good' } } },
    ]);
  });

  it('in dispute is decided by setting aside the finding that does not count', () => {
    const rivals = [
      { id: 'r1', result: 'good', takenBy: 'Runa Tolvane' },
      { id: 'r2', result: 'fault', takenBy: 'Dessa Marlow' },
    ];
    drawnInApp(<LookOver attempt={attempt([point('kink', 'No kink', { rivals })])} />);
    expect(screen.getByText(/two people disagree/).textContent).toContain('Dessa Marlow ✕');
    fireEvent.click(screen.getByRole('button', { name: 'No kink: good' }));
    expect(kept()).toEqual([{ kind: 'setAside', recordId: 'r2', reason: 'No kink: looked at again' }]);
  });

  it('keeps the note on a fault once the field is left, and only if it says something else', () => {
    drawnInApp(<LookOver attempt={attempt([point('kink', 'No kink', found('fault'))])} />);
    const note = screen.getByLabelText('Note on: No kink');
    fireEvent.blur(note);
    expect(kept()).toEqual([]);
    fireEvent.change(note, { target: { value: ' second bend ' } });
    fireEvent.blur(note);
    expect(kept()).toMatchObject([{ body: { fact: { note: 'second bend' }, corrects: 'f-fault' } }]);
  });
});
