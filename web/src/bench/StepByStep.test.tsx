import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { DisplayUnitContext } from '../frame/signedIn';
import { StepByStep } from './StepByStep';

const step = (mark: number, more: Partial<Schemas['StepAnswer']> = {}): Schemas['StepAnswer'] => ({
  mark,
  positionIn: 10 * mark,
  reference: 'arrow',
  hookTowards: 'datum',
  endForEnd: false,
  turnDeg: 0,
  restDeg: 30,
  leverDeg: 32,
  ...more,
});

const plan = {
  marks: [
    { number: 1, back: null },
    { number: 2, back: { bend: 1, figureIn: 12 } },
  ],
  steps: [step(1), step(2, { hookTowards: 'far', endForEnd: true, turnDeg: 180 })],
} as unknown as Schemas['LayoutAnswer'];

const job = { outsideDiameterIn: 0.922, divisionIn: 1 / 16 } as Schemas['SheetJob'];

// Nothing has a size here, so nothing is drawn.
vi.stubGlobal(
  'ResizeObserver',
  class {
    observe(): void {}
    disconnect(): void {}
  },
);

afterEach(cleanup);

it('tells one bend at a time, on and back, and what comes after the last', () => {
  render(
    <DisplayUnitContext value="in">
      <StepByStep job={job} plan={plan} />
    </DisplayUnitContext>,
  );
  expect(screen.getByRole('heading', { name: 'Bend 1 of 2' })).toBeTruthy();
  expect(screen.getByText(/towards the datum end/)).toBeTruthy();
  expect(screen.getByText(/so that it rests at/)).toBeTruthy();
  expect(screen.queryByText(/end for end/)).toBeNull();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Back' }).disabled).toBe(true);
  fireEvent.click(screen.getByText('Bent, next'));
  expect(screen.getByRole('heading', { name: 'Bend 2 of 2' })).toBeTruthy();
  expect(screen.getByText(/turn it end for end/)).toBeTruthy();
  expect(screen.getByText(/from the back of bend 1/)).toBeTruthy();
  fireEvent.click(screen.getByText('Back'));
  expect(screen.getByRole('heading', { name: 'Bend 1 of 2' })).toBeTruthy();
  fireEvent.click(screen.getByText('Bent, next'));
  fireEvent.click(screen.getByText('Bent, all done'));
  expect(screen.getByText(/Come and check/)).toBeTruthy();
  fireEvent.click(screen.getByText('Back to the last bend'));
  expect(screen.getByRole('heading', { name: 'Bend 2 of 2' })).toBeTruthy();
});
