import 'fake-indexeddb/auto';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Problem } from '../api/client';
import { SignedInContext } from '../frame/signedIn';
import { alone } from '../testing/inApp';
import * as offline from './offline';
import { Outbox } from './outbox';
import { OutboxContext } from './outboxContext';
import * as sending from './sending';
import * as store from './store';
import { Waiting } from './Waiting';
import { somebody } from '../testing/signedIn';

const me = somebody({ accountId: 'me' });

beforeEach(() => {
  alone();
  HTMLDialogElement.prototype.showModal = vi.fn();
});

afterEach(async () => {
  cleanup();
  vi.restoreAllMocks();
  for (const { seq } of await store.all()) {
    await store.remove(seq);
  }
});

async function waiting(failure: Problem) {
  vi.spyOn(sending, 'send').mockRejectedValue(failure);
  const outbox = new Outbox({ onAttempt: vi.fn(), onMoved: vi.fn() });
  await outbox.signedIn('me');
  await outbox.keep({
    key: 'a',
    accountId: 'me',
    accountName: 'Runa Tolvane',
    attemptId: 'attempt-1',
    about: 'Ada Finch',
    at: '2026-01-02T03:04:05Z',
    task: { kind: 'reading', body: { feature: 'leg', text: '14 3/8' } },
  });
  render(
    <SignedInContext value={me}>
      <OutboxContext value={outbox}>
        <Waiting />
      </OutboxContext>
    </SignedInContext>,
  );
  fireEvent.click(await screen.findByTestId('waiting'));
  return outbox;
}

test('what the server cannot take now is said, and that nothing else waits for it', async () => {
  await waiting(new Problem(500, 'The server could not do this.'));
  await waitFor(() => {
    expect(screen.getByText(/It is tried again by itself; nothing else waits for it/)).toBeTruthy();
  });
});

test('what the server cannot take again and again waits for help, and can be tried now', async () => {
  const now = vi.spyOn(Date, 'now');
  const outbox = await waiting(new Problem(500, 'The server could not do this.'));
  for (let i = 1; i < 7; i++) {
    now.mockReturnValue(i * 60_000);
    outbox.hurry();
    await outbox.tried();
  }
  now.mockRestore();
  await waitFor(() => {
    expect(screen.getByText(/Waits for help: the server could not take it 6 times/)).toBeTruthy();
  });
  expect(screen.getByTestId('waiting').textContent).toContain('1 needs help');
  expect(screen.queryByText('Give it up')).toBeNull();
  vi.spyOn(sending, 'send').mockResolvedValue({ id: 'attempt-1' } as sending.Answer);
  fireEvent.click(screen.getByText('Try it now'));
  await waitFor(() => {
    expect(screen.queryByText(/Waits for help/)).toBeNull();
  });
});

test('what the server turns down is asked about', async () => {
  await waiting(new Problem(409, 'This attempt is verified and locked'));
  await waitFor(() => {
    expect(screen.getByText(/This attempt is verified and locked/)).toBeTruthy();
  });
  expect(screen.getByText('Give it up')).toBeTruthy();
});

test('screens that are too old for the server say so, and are loaded anew by one button', async () => {
  await waiting(new Problem(426, 'These screens are of an earlier Lobrik'));
  expect(await screen.findByText(/All of this is safe here, and goes out once they are loaded anew/)).toBeTruthy();
  expect(screen.getByTestId('waiting').textContent).toContain('load anew');
  const load = vi.spyOn(offline, 'loadAnew').mockReturnValue();
  fireEvent.click(screen.getByText('Load anew'));
  expect(load).toHaveBeenCalled();
});
