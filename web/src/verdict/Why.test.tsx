import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { Why } from './Why';

const cause = (id: string, title: string, probability: number): Schemas['CauseAnswer'] => ({
  id,
  bendNumber: null,
  amount: null,
  probability,
  title,
  what: `${title}, in a sentence.`,
  evidence: 'The landing reads 34 1/2 in.',
});

const named = { named: true, headline: 'Shrink forgotten', sentence: 'The shrink was not added.' };
const unnamed = { named: false, headline: 'No clear cause', sentence: 'No single cause stands out.' };

function shown(finding: Schemas['FindingWords'], causes: Schemas['CauseAnswer'][], further: string | null = null) {
  render(
    <Why
      finding={finding}
      diagnosis={{
        causes,
        clear: finding.named,
        further: further === null ? null : { feature: 'rise', text: further },
      }}
    />,
  );
}

afterEach(cleanup);

describe('why a piece is as it is', () => {
  it('names the cause with its evidence, and lists what else it could be', () => {
    shown(named, [cause('shrink-omitted', 'Shrink forgotten', 0.9), cause('burned-inch', 'Tape', 0.08)]);
    expect(screen.getByRole('heading', { name: 'Shrink forgotten' })).toBeTruthy();
    expect(screen.getByText('The landing reads 34 1/2 in.')).toBeTruthy();
    expect(screen.getByRole('rowheader', { name: 'Tape' })).toBeTruthy();
  });

  it('names both of two that happened together', () => {
    shown(named, [cause('shrink-omitted', 'Shrink forgotten', 1), cause('angle-off', 'Bend 2 over-bent', 0.97)]);
    expect(screen.getAllByRole('heading')).toHaveLength(2);
    // What speaks for the one speaks for both.
    expect(screen.getAllByText('The landing reads 34 1/2 in.')).toHaveLength(1);
  });

  it('names none where none stands out, and says what would decide', () => {
    shown(
      unnamed,
      [cause('angle-off', 'Bend 2 over-bent', 0.4), cause('misread-fraction', 'Mark 1 misread', 0.3)],
      'Measure angle 2.',
    );
    expect(screen.getByRole('heading', { name: 'No clear cause' })).toBeTruthy();
    expect(screen.getAllByRole('rowheader')).toHaveLength(2);
    expect(screen.getByText('Measure angle 2.')).toBeTruthy();
  });

  it('leaves out what is hardly likely', () => {
    shown(named, [cause('dog-leg', 'Dog leg', 0.98), cause('angle-off', 'Bend 1 over-bent', 0.01)]);
    expect(screen.queryByRole('rowheader')).toBeNull();
  });

  it('says no more than that all is within tolerance where no cause was sought', () => {
    render(<Why finding={{ ...unnamed, headline: 'Everything is within tolerance' }} diagnosis={null} />);
    expect(screen.getByRole('heading', { name: 'Everything is within tolerance' })).toBeTruthy();
    expect(screen.queryByRole('table')).toBeNull();
  });
});
