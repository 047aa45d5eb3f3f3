import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { DisplayUnitContext } from '../frame/signedIn';
import { BendingSteps } from './BendingSteps';
import { BendPicture } from './BendPicture';

const MOMENT = { bentDeg: 0, centreline: [], lever: null };

const bend = (
  mark: number,
  turnSeenDeg: number,
  more: Partial<Schemas['ShownBendAnswer']> = {},
): Schemas['ShownBendAnswer'] => ({
  mark,
  stance: 'onTheFloor',
  fromDatumEnd: false,
  turnSeenDeg,
  arcs: mark,
  moments: [MOMENT, { ...MOMENT, bentDeg: 90 }],
  ...more,
});

const step = (mark: number, lean = 0) => ({
  mark,
  positionIn: 10 * mark,
  reference: 'arrow',
  hookTowards: 'datum',
  endForEnd: false,
  turnDeg: mark === 2 ? -90 : 0,
  restDeg: 90,
  leverDeg: 90,
  standing: { stance: 'onTheFloor', leverLeanDeg: lean, overFloorIn: null },
});

const plan = {
  marks: [
    { number: 1, back: null },
    { number: 2, back: null },
  ],
  steps: [step(1), step(2, 6)],
  tool: 'shoe',
} as unknown as Schemas['LayoutAnswer'];

vi.stubGlobal(
  'ResizeObserver',
  class {
    observe = () => undefined;
    disconnect = () => undefined;
  },
);

beforeEach(() => {
  vi.useFakeTimers();
});

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function shown() {
  render(
    <DisplayUnitContext value="in">
      <BendingSteps bends={[bend(1, 0), bend(2, 90)]} plan={plan} diameter={0.922} />
    </DisplayUnitContext>,
  );
}

const press = (name: string) => {
  fireEvent.click(screen.getByRole('button', { name }));
};

describe('the bending, shown', () => {
  it('goes one step a press, and says which way the piece is turned as who stands there sees it', () => {
    shown();
    expect(screen.getByText('Bend 1 of 2')).toBeDefined();
    expect(screen.queryByText(/seen from where you stand/)).toBeNull();
    press('Next bend');
    expect(screen.getByText('Bend 2 of 2')).toBeDefined();
    expect(screen.getByText('90° clockwise')).toBeDefined();
    // Counted from the datum end it is the other way round; only one of them is said.
    expect(screen.queryByText(/anticlockwise/)).toBeNull();
    expect(screen.getByText(/Lean the lever 6°/)).toBeDefined();
    expect(screen.getByRole('button', { name: 'Next bend' })).toHaveProperty('disabled', true);
    press('Bend before');
    expect(screen.getByText('Bend 1 of 2')).toBeDefined();
  });

  it('plays by itself to the next bend, stops where it is paused, and at the end', () => {
    shown();
    press('Play');
    const wait = (pictures: number) => {
      for (let i = 0; i < pictures; i++) {
        act(() => {
          vi.advanceTimersByTime(180);
        });
      }
    };
    wait(9);
    expect(screen.getByText('Bend 2 of 2')).toBeDefined();
    press('Pause');
    wait(60);
    expect(screen.getByRole('button', { name: 'Play' })).toBeDefined();
    press('Play');
    wait(60);
    expect(screen.getByText('Bend 2 of 2')).toBeDefined();
    expect(screen.getByRole('button', { name: 'Play' })).toBeDefined();
    // Played again, it begins with the first bend.
    press('Play');
    expect(screen.getByText('Bend 1 of 2')).toBeDefined();
  });

  it('stands where its slider is put', () => {
    shown();
    press('Next bend');
    const slider = screen.getByRole('slider');
    fireEvent.change(slider, { target: { value: '5' } });
    expect(slider).toHaveProperty('value', '5');
    // Eight pictures of the turn, and two of the bend.
    expect(slider.getAttribute('max')).toBe('9');
  });
});

describe('one bend on a phone', () => {
  it('says the turn with where one stands, and is seen from the side as well', () => {
    render(<BendPicture bend={bend(2, -90, { fromDatumEnd: true })} diameter={0.922} />);
    expect(screen.getByText('90° anticlockwise')).toBeDefined();
    expect(screen.getByText(/at the datum end/)).toBeDefined();
    press('From the side');
    expect(screen.getByRole('button', { name: 'From the side' }).getAttribute('aria-pressed')).toBe('true');
  });

  it('says nothing of a turn where there is none', () => {
    render(<BendPicture bend={bend(1, 0)} diameter={0.922} />);
    expect(screen.queryByText(/Turn it/)).toBeNull();
  });
});
