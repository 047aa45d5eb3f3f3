import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import type { Feature } from '../api/queries';
import { SignedInContext } from '../frame/signedIn';
import { drawnIn, somebody } from '../testing/signedIn';
import { Deviation } from './Deviation';
import { Figure } from './Figure';
import { Pad } from './Pad';
import { QuantityField } from './QuantityField';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const refused = new Problem(400, '9/8 is a whole or more; did you mean 15 1/8?', [
  { pointer: '/text', code: 'improper-fraction', message: '', suggestion: '15 1/8' },
]);

describe('a quantity field', () => {
  const field = (text: string, problem: Problem | null, onText = vi.fn(), more = {}) => (
    <QuantityField label="Leg" kind="length" text={text} onText={onText} problem={problem} place="drawing" {...more} />
  );

  it('tells what is wrong once the writer pauses, and offers what was meant', () => {
    const onText = vi.fn();
    const view = drawnIn('in', field('14', null, onText));
    view.rerender(<SignedInContext value={somebody()}>{field('14 9/8', refused, onText)}</SignedInContext>);
    expect(screen.queryByRole('alert')).toBeNull();
    vi.advanceTimersByTime(600);
    view.rerender(<SignedInContext value={somebody()}>{field('14 9/8', refused, onText)}</SignedInContext>);
    expect(screen.getByRole('alert').textContent).toContain('did you mean');
    expect(screen.getByLabelText('Leg').getAttribute('aria-invalid')).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: 'Take 15 1/8' }));
    expect(onText).toHaveBeenCalledWith('15 1/8');
  });

  it('hands on what was typed as it is, Enter, and nudges', () => {
    const onText = vi.fn();
    const onEnter = vi.fn();
    const onNudge = vi.fn();
    drawnIn('in', field('14', null, onText, { onEnter, onNudge }));
    const input = screen.getByLabelText('Leg');
    fireEvent.change(input, { target: { value: '14 3/' } });
    fireEvent.keyDown(input, { key: 'Enter' });
    fireEvent.keyDown(input, { key: 'ArrowUp' });
    fireEvent.keyDown(input, { key: 'ArrowDown' });
    expect(onText).toHaveBeenCalledWith('14 3/');
    expect(onEnter).toHaveBeenCalledOnce();
    expect(onNudge.mock.calls).toEqual([[1], [-1]]);
  });

  it('finds no fault with an empty field', () => {
    drawnIn('in', field('', refused));
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('the pad', () => {
  it('writes 14 3/8 with three taps and keeps it with a fourth', () => {
    let text = '';
    const onEnter = vi.fn();
    const pad = () => (
      <SignedInContext value={somebody()}>
        <Pad
          kind="length"
          text={text}
          onText={(next) => {
            text = next;
          }}
          onEnter={onEnter}
        />
      </SignedInContext>
    );
    const view = render(pad());
    for (const key of ['1', '4', '3/8']) {
      fireEvent.click(screen.getByRole('button', { name: key }));
      view.rerender(pad());
    }
    expect(text).toBe('14 3/8');
    fireEvent.click(screen.getByRole('button', { name: 'Enter reading' }));
    expect(onEnter).toHaveBeenCalledOnce();
  });

  it('has a minus only where a reading can be less than nothing', () => {
    const onText = vi.fn();
    drawnIn('in', <Pad kind="length" signed text="1/8" onText={onText} onEnter={vi.fn()} />);
    fireEvent.click(screen.getByRole('button', { name: '−' }));
    expect(onText).toHaveBeenCalledWith('−1/8');
    cleanup();
    drawnIn('in', <Pad kind="length" text="1/8" onText={onText} onEnter={vi.fn()} />);
    expect(screen.queryByRole('button', { name: '−' })).toBeNull();
  });

  it('has no fractions where there are none to be read', () => {
    drawnIn('in', <Pad kind="angle" text="" onText={vi.fn()} onEnter={vi.fn()} />);
    expect(screen.queryByRole('button', { name: '3/8' })).toBeNull();
    cleanup();
    drawnIn('mm', <Pad kind="length" text="" onText={vi.fn()} onEnter={vi.fn()} />);
    expect(screen.queryByRole('button', { name: '3/8' })).toBeNull();
    expect(screen.getAllByRole('button')).toHaveLength(13);
  });
});

describe('a deviation', () => {
  const leg: Feature = {
    id: 'leg',
    unit: 'in',
    asked: 17.625,
    target: 17.625,
    tolerance: 0.125,
    under: 0.125,
    critical: true,
    signed: false,
    mayBeFound: false,
    history: [],
    carriedFrom: [],
    state: 'read',
    rivals: [],
    deviation: -0.1875,
    credit: 0.5,
    band: 'outside',
  };

  it('says its size with a sign, and its band by shape and word, not by colour alone', () => {
    drawnIn('in', <Deviation feature={leg} />);
    const shown = screen.getByRole('img', { name: 'deviation −3/16, outside tolerance' });
    expect(shown.textContent).toBe('✕−3/16');
  });

  it('is in the reader’s unit', () => {
    drawnIn('mm', <Deviation feature={{ ...leg, band: 'close' }} />);
    expect(screen.getByRole('img').textContent).toBe('●−4.8 mm');
  });

  it('is nothing before there is a reading', () => {
    drawnIn('in', <Deviation feature={{ ...leg, deviation: null, band: null }} />);
    expect(screen.queryByRole('img')).toBeNull();
  });
});

describe('a figure', () => {
  it('sets its fraction as one group', () => {
    const { container } = drawnIn('in', <Figure value={14.375} unit="in" />);
    expect(container.textContent).toBe('14 3/8');
    expect(container.querySelector('.fraction')?.textContent).toBe('3/8');
  });
});
