import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { TurnChoice } from './TurnChoice';

afterEach(cleanup);

it('writes the degrees of the turn that is seen', () => {
  const onText = vi.fn();
  render(<TurnChoice name="Turn 1" text="" onText={onText} />);
  for (const button of screen.getAllByRole('button')) {
    fireEvent.click(button);
  }
  expect(onText.mock.calls).toEqual([['0'], ['90'], ['180'], ['270']]);
});

it('shows which one the field says, and none where it is a few degrees off', () => {
  const { rerender } = render(<TurnChoice name="Turn 1" text="180" onText={vi.fn()} />);
  expect(screen.getByRole('button', { pressed: true }).textContent).toBe('Z');
  rerender(<TurnChoice name="Turn 1" text="178" onText={vi.fn()} />);
  expect(screen.queryByRole('button', { pressed: true })).toBeNull();
});
