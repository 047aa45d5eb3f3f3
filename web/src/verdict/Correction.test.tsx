import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeAll, expect, it, vi } from 'vitest';
import type { Attempt, Feature } from '../api/queries';
import { loadBenchCore } from '../benchcore/useBenchCore';
import type { Outbox } from '../queue/outbox';
import { OutboxContext } from '../queue/outboxContext';
import { drawnIn } from '../testing/signedIn';
import { Correction } from './Correction';

beforeAll(async () => {
  // There is nothing to scroll in the tests' page.
  Element.prototype.scrollIntoView = () => undefined;
  await loadBenchCore();
});
afterEach(cleanup);

const reading = { id: 'r1', value: 17.5, typed: '17 1/2' } as NonNullable<Feature['reading']>;
const leg = { id: 'leg', unit: 'in', asked: 17.625, target: 17.625, tolerance: 0.125, reading } as Feature;
const attempt = { id: 'a1', trainee: { fullName: 'Ada Finch' } } as Attempt;

function opened(of: Attempt = attempt, feature: Feature = leg) {
  const keep = vi.fn().mockResolvedValue(undefined);
  const onDone = vi.fn();
  drawnIn(
    'in',
    <OutboxContext value={{ keep } as unknown as Outbox}>
      <Correction attempt={of} feature={feature} bends={1} onDone={onDone} />
    </OutboxContext>,
  );
  return { keep, onDone };
}

it('opens with the focus in its field', () => {
  opened();
  expect(document.activeElement).toBe(screen.getByLabelText('Leg, right reading'));
});

it('offers what usually happened, and keeps the reason that was pressed with the figure', async () => {
  const { keep, onDone } = opened();
  for (const usual of ['Tape tilted', 'Misread', 'Wrong feature', 'Typed wrong']) {
    expect(screen.getByRole('button', { name: usual })).toBeTruthy();
  }
  fireEvent.change(screen.getByLabelText('Leg, right reading'), { target: { value: '17 5/8' } });
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep the correction' }).disabled).toBe(true);
  fireEvent.click(screen.getByRole('button', { name: 'Tape tilted' }));
  fireEvent.click(screen.getByRole('button', { name: 'Keep the correction' }));
  await waitFor(() => {
    expect(onDone).toHaveBeenCalled();
  });
  const [entry] = keep.mock.calls[0] as [{ task: { body: object } }];
  expect(entry.task.body).toMatchObject({ feature: 'leg', text: '17 5/8', corrects: 'r1', reason: 'Tape tilted' });
});

it('is by protractor where what it corrects was, and of the same stage', async () => {
  const over = { ...attempt, bench: { floor: { deg: 0.5 } } } as Attempt;
  const angle = { ...leg, id: 'angle1', unit: 'deg', target: 90 } as Feature;
  const { keep, onDone } = opened(over, { ...angle, reading: { ...reading, value: 90, level: null, stage: 2 } });
  fireEvent.change(screen.getByLabelText('Angle, right reading'), { target: { value: '91' } });
  fireEvent.click(screen.getByRole('button', { name: 'Misread' }));
  fireEvent.click(screen.getByRole('button', { name: 'Keep the correction' }));
  await waitFor(() => {
    expect(onDone).toHaveBeenCalled();
  });
  const [entry] = keep.mock.calls[0] as [{ task: { body: object } }];
  expect(entry.task.body).toMatchObject({ byLevel: false, stage: 2 });
});

it('takes own words for what happened', () => {
  opened();
  fireEvent.change(screen.getByLabelText('Why is it corrected?'), { target: { value: 'The stop had moved' } });
  expect(screen.getByRole('button', { name: 'Misread' }).getAttribute('aria-pressed')).toBe('false');
});

it('says what is no length, and keeps nothing', () => {
  const { keep } = opened();
  fireEvent.change(screen.getByLabelText('Leg, right reading'), { target: { value: '17 9/0' } });
  fireEvent.click(screen.getByRole('button', { name: 'Misread' }));
  fireEvent.click(screen.getByRole('button', { name: 'Keep the correction' }));
  expect(keep).not.toHaveBeenCalled();
});
