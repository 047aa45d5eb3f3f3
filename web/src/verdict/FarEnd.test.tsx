import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { DisplayUnitContext } from '../frame/signedIn';
import { FarEnd } from './FarEnd';

afterEach(cleanup);

const farEnd = {
  sentence: 'Most of it came in at leg 2.',
  shares: [
    { place: 'Leg 2', brings: '1/2 in up', farIn: 0.5 },
    { place: 'Bend 2, angle', brings: '1/8 in to the left', farIn: 0.125 },
  ],
};

it('gives each place along the run with what it moves the far end by, the widest as a whole bar', () => {
  render(
    <DisplayUnitContext value="in">
      <FarEnd farEnd={farEnd} />
    </DisplayUnitContext>,
  );
  expect(screen.getByText('Most of it came in at leg 2.')).toBeTruthy();
  expect(screen.getAllByRole('rowheader').map(({ textContent }) => textContent)).toEqual([
    'Leg 21/2 in up',
    'Bend 2, angle1/8 in to the left',
  ]);
  const bars = screen.getAllByRole('row').map((row) => row.querySelector<HTMLElement>('td span')?.style.width);
  expect(bars).toEqual(['100%', '25%']);
});

it('has a sentence and no table where nothing is off by what a tape reads', () => {
  render(<FarEnd farEnd={{ sentence: 'The far end is where it should be.', shares: [] }} />);
  expect(screen.queryByRole('table')).toBeNull();
});

it.each([null, undefined])('has nothing to say of anything but a run: %s', (none) => {
  const { container } = render(<FarEnd farEnd={none} />);
  expect(container.textContent).toBe('');
});
