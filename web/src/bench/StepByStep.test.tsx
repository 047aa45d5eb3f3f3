import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
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
  pullToDeg: null,
  travelIn: null,
  heatFromIn: null,
  heatToIn: null,
  warmSeconds: null,
  coolSeconds: null,
  ...more,
});

const plan = {
  marks: [
    { number: 1, back: null },
    { number: 2, back: { bend: 1, figureIn: 12 } },
  ],
  steps: [step(1), step(2, { hookTowards: 'far', endForEnd: true, turnDeg: 180 })],
  tool: 'shoe',
  before: [],
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

it('has the machine looked over, point by point, before anything is bent', () => {
  const machine = {
    ...plan,
    tool: 'machine',
    before: ['Wheels locked', 'Said who gives the orders'],
    steps: [step(1, { leverDeg: 93.5, restDeg: 90, pullToDeg: 93.5, travelIn: 9.1875 }), step(2)],
  } as Schemas['LayoutAnswer'];
  render(
    <DisplayUnitContext value="in">
      <StepByStep job={job} plan={machine} />
    </DisplayUnitContext>,
  );
  expect(screen.queryByText(/Bend 1 of 2/)).toBeNull();
  const go = screen.getByRole<HTMLButtonElement>('button', { name: '2 still to look at' });
  expect(go.disabled).toBe(true);
  fireEvent.click(screen.getByLabelText('Wheels locked'));
  fireEvent.click(screen.getByLabelText('Said who gives the orders'));
  fireEvent.click(screen.getByLabelText('Wheels locked'));
  expect(screen.getByRole<HTMLButtonElement>('button', { name: '1 still to look at' }).disabled).toBe(true);
  fireEvent.click(screen.getByLabelText('Wheels locked'));
  fireEvent.click(screen.getByRole('button', { name: 'All right: first bend' }));
  expect(screen.getByRole('heading', { name: 'Bend 1 of 2' })).toBeTruthy();
  expect(screen.getByText(/Front of shoe on ring 1/)).toBeTruthy();
  expect(screen.getByText(/under load/).textContent).toContain('ram out 9 3/16');
  expect(screen.getByText(/it rests at/).textContent).toContain('90°');
  fireEvent.click(screen.getByText('Bent, next'));
  expect(screen.getByText(/no travel is known for it/)).toBeTruthy();
});

it('times warming and cooling of what is bent with heat', () => {
  vi.useFakeTimers({ now: 0 });
  const shaken = vi.fn();
  vi.stubGlobal('navigator', { vibrate: shaken });
  const heated = {
    ...plan,
    tool: 'former',
    steps: [
      step(1, {
        reference: 'middle',
        hookTowards: null,
        leverDeg: 30,
        heatFromIn: 8,
        heatToIn: 12.5,
        warmSeconds: 150,
        coolSeconds: 5,
      }),
    ],
  } as Schemas['LayoutAnswer'];
  render(
    <DisplayUnitContext value="in">
      <StepByStep job={job} plan={heated} />
    </DisplayUnitContext>,
  );
  expect(screen.getByText(/Middle of the curve on ring 1/)).toBeTruthy();
  expect(screen.queryByText(/towards the/)).toBeNull();
  expect(screen.getByText(/Warm from/).textContent).toContain('8 to 12 1/2');
  expect(screen.getByLabelText('Warming, left').textContent).toBe('2:30');
  const [warm, cool] = screen.getAllByRole('button', { name: 'Start' });
  fireEvent.click(cool as HTMLElement);
  act(() => {
    vi.advanceTimersByTime(2000);
  });
  expect(screen.getByLabelText('Cooling, left').textContent).toBe('0:03');
  fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
  expect(screen.getByLabelText('Cooling, left').textContent).toBe('0:05');
  fireEvent.click(cool as HTMLElement);
  act(() => {
    vi.advanceTimersByTime(6000);
  });
  expect(screen.getByText(/Cooling: time is over/)).toBeTruthy();
  expect(shaken).toHaveBeenCalledOnce();
  expect(warm?.textContent).toBe('Start');
  vi.unstubAllGlobals();
  vi.useRealTimers();
});
