import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { InItsFittings } from './InItsFittings';

afterEach(cleanup);

it('says that a run goes in, by sign and word, and nothing to do', () => {
  render(<InItsFittings fit={{ enters: true, sentence: 'It goes into both fittings.', ways: [] }} />);
  expect(screen.getByText(/goes into both fittings/).textContent).toContain('●');
  expect(screen.queryByRole('list')).toBeNull();
});

it('lists what would make it fit, the least work first', () => {
  render(
    <InItsFittings
      fit={{ enters: false, sentence: 'It does not go in.', ways: ['Cut 1 in off the far end.', 'Open bend 2 by 3°.'] }}
    />,
  );
  expect(screen.getByText(/does not go in/).textContent).toContain('✕');
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual([
    'Cut 1 in off the far end.',
    'Open bend 2 by 3°.',
  ]);
});

it('has nothing to say of anything but a run', () => {
  const { container } = render(<InItsFittings fit={null} />);
  expect(container.textContent).toBe('');
});
