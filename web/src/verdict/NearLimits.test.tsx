import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { NearLimits } from './NearLimits';

afterEach(cleanup);

test('what reads near its limit is told of', () => {
  render(<NearLimits near={[{ feature: 'rise', sentence: 'The rise reads exactly on its limit.' }]} />);
  expect(screen.getByRole('region', { name: 'Near a limit' }).textContent).toContain('exactly on its limit');
});

test('nothing near a limit takes no room', () => {
  const { container } = render(<NearLimits near={[]} />);
  expect(container.innerHTML).toBe('');
});
