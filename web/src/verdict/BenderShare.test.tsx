import { cleanup, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { drawnIn } from '../testing/signedIn';
import { BenderShare } from './BenderShare';

const share = {
  sentence: 'Bender 7 adds 1/4 in to legs; without that the other leg is outside all the same.',
  leftOut: false,
  features: [
    { feature: 'leg', unit: 'in' as const, adds: 0.25, own: 0.0625, within: true },
    { feature: 'otherLeg', unit: 'in' as const, adds: -0.25, own: 0.5, within: false },
  ],
};

afterEach(cleanup);

describe('the bender’s share', () => {
  it('is told apart from what the hands did, feature by feature', () => {
    drawnIn('in', <BenderShare share={share} bends={1} />);
    expect(screen.getByText(share.sentence)).toBeTruthy();
    const [leg, other] = screen.getAllByRole('row').slice(1);
    expect(leg?.textContent).toMatch(/Leg.*\+1\/4.*within.*\+1\/16/);
    expect(other?.textContent).toMatch(/Other leg.*[−-]1\/4.*outside.*\+1\/2/);
  });

  it('says whether the points leave it out', () => {
    drawnIn('in', <BenderShare share={share} bends={1} />);
    expect(screen.getByText(/count what was read/)).toBeTruthy();
    cleanup();
    drawnIn('in', <BenderShare share={{ ...share, leftOut: true }} bends={1} />);
    expect(screen.getByText(/leave the bender’s share out/)).toBeTruthy();
  });
});
