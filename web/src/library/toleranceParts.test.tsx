import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { Deductions } from './Deductions';
import { Rebending } from './Rebending';
import { weighedIn } from './weighed';
import { Weights } from './Weights';

type Figures = Schemas['ToleranceFigures'];

const figures = {
  preset: 'own',
  weights: { angle: 2, angle2: 3 },
  critical: { leg: true },
  limits: {},
  rebending: { mostEasedDeg: 5, mostAddedDeg: 10, mostTimes: 3 },
} as unknown as Figures;

afterEach(cleanup);

describe('how much a piece may be bent again', () => {
  it('changes one figure and leaves the others', () => {
    const change = vi.fn();
    render(<Rebending figures={figures} change={change} />);
    fireEvent.change(screen.getByLabelText('times in all'), { target: { value: '4' } });
    expect(change).toHaveBeenCalledWith({ rebending: { mostEasedDeg: 5, mostAddedDeg: 10, mostTimes: 4 } });
  });

  it('is nothing where it is not a number, and whole where it is one', () => {
    const change = vi.fn();
    render(<Rebending figures={figures} change={change} />);
    fireEvent.change(screen.getByLabelText('Eased open, degrees'), { target: { value: '' } });
    fireEvent.change(screen.getByLabelText('Eased open, degrees'), { target: { value: '7.6' } });
    expect(change.mock.calls).toMatchObject([
      [{ rebending: { mostEasedDeg: 0 } }],
      [{ rebending: { mostEasedDeg: 8 } }],
    ]);
  });

  it('is not asked of a set that leaves it to the usual', () => {
    render(<Rebending figures={{ ...figures, rebending: null } as Figures} change={vi.fn()} />);
    expect(screen.queryByRole('group')).toBeNull();
  });
});

describe('what each feature counts', () => {
  const draw = (problem: (name: string, side: string) => string | undefined = () => undefined, limits = {}) => {
    const change = vi.fn();
    const onLimit = vi.fn();
    const rows = weighedIn(figures);
    render(
      <Weights figures={figures} change={change} rows={rows} limits={limits} problem={problem} onLimit={onLimit} />,
    );
    return { change, onLimit };
  };

  it('is what is said of it, else of its kind, else once', () => {
    draw();
    const counts = (name: string) => screen.getByLabelText<HTMLInputElement>(`${name} counts how many times`).value;
    expect(counts('Angles')).toBe('2');
    expect(counts('Angle 2')).toBe('3');
    expect(counts('Leg')).toBe('1');
    expect(screen.getByLabelText<HTMLInputElement>('Leg outside fails the piece').checked).toBe(true);
    expect(screen.getByLabelText<HTMLInputElement>('Angle 2 outside fails the piece').checked).toBe(false);
  });

  it('changes for itself alone', () => {
    const { change, onLimit } = draw();
    fireEvent.change(screen.getByLabelText('Leg counts how many times'), { target: { value: '1.5' } });
    fireEvent.click(screen.getByLabelText('Angles outside fails the piece'));
    fireEvent.change(screen.getByLabelText('Leg, under at most'), { target: { value: '1/16' } });
    expect(change.mock.calls).toEqual([
      [{ weights: { angle: 2, angle2: 3, leg: 1.5 } }],
      [{ critical: { leg: true, angle: true } }],
    ]);
    expect(onLimit).toHaveBeenCalledWith('Leg', 'under', '1/16');
  });

  it('marks a limit that cannot be read, and none that is empty', () => {
    draw(() => 'no length', { Leg: { over: '1/0', under: '' } });
    expect(screen.getByLabelText('Leg, over at most').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByLabelText('Leg, under at most').getAttribute('aria-invalid')).toBe('false');
  });
});

describe('what a fault costs', () => {
  const faults = [
    { point: 'kink', fault: 'a kink' },
    { point: 'burr', fault: 'a burr' },
  ] as unknown as Schemas['FaultName'][];
  const judged = { ...figures, workmanship: { kink: { deduction: 10, critical: true } } } as unknown as Figures;

  it('is nothing until something is said of it', () => {
    render(<Deductions figures={judged} change={vi.fn()} faults={faults} />);
    expect(screen.getByLabelText<HTMLInputElement>('A kink: points off').value).toBe('10');
    expect(screen.getByLabelText<HTMLInputElement>('A kink: fails the piece').checked).toBe(true);
    expect(screen.getByLabelText<HTMLInputElement>('A burr: points off').value).toBe('0');
  });

  it('is changed in points and in whether the piece fails, each by itself', () => {
    const change = vi.fn();
    render(<Deductions figures={judged} change={change} faults={faults} />);
    fireEvent.click(screen.getByLabelText('A kink: fails the piece'));
    fireEvent.change(screen.getByLabelText('A burr: points off'), { target: { value: '2' } });
    const kink = { deduction: 10, critical: true };
    expect(change.mock.calls).toEqual([
      [{ workmanship: { kink: { deduction: 10, critical: false } } }],
      [{ workmanship: { kink, burr: { deduction: 2, critical: false } } }],
    ]);
  });
});
