// @vitest-environment jsdom
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type Schemas } from '../api/client';
import { Outbox } from '../queue/outbox';
import { drawnInApp } from '../testing/inApp';
import { BenchRow } from './BenchRow';
import { StepDialog } from './StepDialog';

beforeEach(() => {
  HTMLDialogElement.prototype.showModal = vi.fn();
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const bench: Schemas['BenchView'] = {
  traineeId: 'ada',
  fullName: 'Ada Finch',
  bench: 4,
  state: 'bending',
  since: '2026-01-02T03:04:05Z',
  assignmentId: 'first',
  exerciseTitle: 'Up from the box',
  others: [
    { assignmentId: 'second', exerciseTitle: 'Over the duct', state: 'notStarted', since: '2026-01-02T03:05:05Z' },
  ],
};

test('what is in hand besides is named, and one press measures that', async () => {
  const put = vi.spyOn(api, 'PUT').mockReturnValue(new Promise(() => undefined));
  drawnInApp(<BenchRow bench={bench} now={0} waiting={0} />);
  fireEvent.click(screen.getByRole('button', { name: 'Measure Over the duct of Ada Finch: Not started' }));
  await waitFor(() => {
    expect(put).toHaveBeenCalled();
  });
  expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { traineeId: 'ada', assignmentId: 'second' } });
});

test('the first one is measured by its own button', async () => {
  const put = vi.spyOn(api, 'PUT').mockReturnValue(new Promise(() => undefined));
  drawnInApp(<BenchRow bench={bench} now={0} waiting={0} />);
  fireEvent.click(screen.getByRole('button', { name: 'Measure' }));
  await waitFor(() => {
    expect(put).toHaveBeenCalled();
  });
  expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { traineeId: 'ada', assignmentId: 'first' } });
});

test('another try is begun once the last reading of the one before has arrived', async () => {
  const put = vi.spyOn(api, 'PUT').mockReturnValue(new Promise(() => undefined));
  let arrived = (): void => undefined;
  vi.spyOn(Outbox.prototype, 'tried').mockReturnValue(
    new Promise((done) => {
      arrived = done;
    }),
  );
  const attempt = { id: 'attempt', points: 100, passed: true } as Schemas['BenchView']['attempt'];
  drawnInApp(<BenchRow bench={{ ...bench, state: 'done', attempt }} now={0} waiting={1} />);
  fireEvent.click(screen.getByRole('button', { name: 'Measure another try of Ada Finch' }));
  await waitFor(() => {
    expect(Outbox.prototype.tried).toHaveBeenCalled();
  });
  expect(put).not.toHaveBeenCalled();
  arrived();
  await waitFor(() => {
    expect(put).toHaveBeenCalled();
  });
});

test('going on leads to the piece that it names, whatever arrives meanwhile', () => {
  const attempt = { id: 'begun', measured: 3, features: 4 } as Schemas['BenchView']['attempt'];
  drawnInApp(<BenchRow bench={{ ...bench, state: 'measuring', attempt }} now={0} waiting={1} />);
  expect(screen.getByRole('link', { name: /Go on/ }).getAttribute('href')).toBe('/measure/begun');
});

test('what nobody waits for any more is taken off the list; why it cannot be is said', async () => {
  const taken = vi.spyOn(api, 'DELETE').mockResolvedValue({
    error: { detail: 'Ada Finch has readings of it already', errors: [] },
    response: new Response(null, { status: 409 }),
  } as never);
  drawnInApp(<StepDialog bench={bench} onClose={vi.fn()} />);
  const dialog = within(screen.getByRole('dialog', { hidden: true }));
  fireEvent.click(dialog.getByText('Take it off the list'));
  await waitFor(() => {
    expect(taken).toHaveBeenCalled();
  });
  expect(taken.mock.calls[0]?.[1]).toMatchObject({ params: { path: { id: 'first' } } });
  expect((await dialog.findByRole('alert', { hidden: true })).textContent).toContain('has readings of it already');
});
