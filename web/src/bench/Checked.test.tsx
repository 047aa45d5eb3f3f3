import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { DisplayUnitContext } from '../frame/signedIn';
import { Checked } from './Checked';

const checked = (more: Partial<Schemas['CheckedAnswer']>) =>
  ({
    points: 50.4,
    passed: false,
    what: 'The take-up of 6 in was not deducted.',
    bender: null,
    then: null,
    next: null,
    plan: { marks: [{ number: 1 }] },
    made: null,
    drawnTimes: 1,
    features: [
      { id: 'mark1', unit: 'in', target: 17.625, value: 17.625, deviation: 0, band: 'close', carried: 'ownFigure' },
      { id: 'leg', unit: 'in', target: 17.625, value: 23.625, deviation: 6, band: 'outside', carried: null },
      { id: 'angle1', unit: 'deg', target: 90, value: null, deviation: null, band: null, carried: null },
    ],
    ...more,
  }) as unknown as Schemas['CheckedAnswer'];

function shown(more: Partial<Schemas['CheckedAnswer']> = {}) {
  render(
    <DisplayUnitContext value="in">
      <Checked job={{} as never} checked={checked(more)} />
    </DisplayUnitContext>,
  );
}

afterEach(cleanup);

describe('what became of a piece', () => {
  it('is told in plain words with every size, right, made and off', () => {
    shown();
    expect(screen.getByText('50')).toBeTruthy();
    expect(screen.getByText(/not yet/)).toBeTruthy();
    expect(screen.getByText('The take-up of 6 in was not deducted.')).toBeTruthy();
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows[0]?.textContent).toContain('to where you worked it out');
    expect(rows[1]?.textContent).toMatch(/Leg.*17.*23.*\+6/);
    expect(rows[2]?.textContent).toContain('–');
  });

  it('tells a mark as it was measured: from the back of the bend before', () => {
    const mark = { id: 'mark2', unit: 'in', target: 20, value: 20.25, deviation: 0.25, band: 'within', backOf: 1 };
    shown({ features: [mark as unknown as Schemas['CheckedFeature']] });
    expect(screen.getAllByRole('row')[1]?.textContent).toMatch(/from the back of bend 1.*20.*20/);
  });

  it('says what the bender adds, what to do with this piece, and what next time', () => {
    shown({ bender: 'Bender 7 adds 1/4 in to legs; without that yours is within.', then: 'Scrap.', next: 'Say it.' });
    expect(screen.getByText(/Bender 7 adds/)).toBeTruthy();
    expect(screen.getByText('This piece:').parentElement?.textContent).toContain('Scrap.');
    expect(screen.getByText('Next time:').parentElement?.textContent).toContain('Say it.');
  });
});
