import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { DisplayUnitContext } from '../frame/signedIn';
import { Entering } from './Entering';

afterEach(cleanup);

const read = [
  { value: 0.25, problem: null },
  { value: undefined, problem: new Problem(400, '“wide” is no angle', []) },
];

it('has what the far end and the last leg may be off, and says what cannot be read', () => {
  render(
    <DisplayUnitContext value="in">
      <Entering texts={{ play: '1/4', square: 'wide' }} read={read} onText={vi.fn()} />
    </DisplayUnitContext>,
  );
  expect(screen.getByLabelText<HTMLInputElement>(/Far end off/).value).toBe('1/4');
  expect(screen.getByText(/“wide” is no angle/)).toBeTruthy();
});

it('hands on what is typed, by its name', () => {
  const onText = vi.fn();
  render(
    <DisplayUnitContext value="in">
      <Entering texts={{ play: '1/4', square: '2' }} read={[]} onText={onText} />
    </DisplayUnitContext>,
  );
  fireEvent.change(screen.getByLabelText(/Last leg out of square/), { target: { value: '1' } });
  expect(onText).toHaveBeenCalledWith('square', '1');
});
