import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { Outbox } from '../queue/outbox';
import { alone } from '../testing/inApp';
import { OutboxContext } from '../queue/outboxContext';
import { drawnIn } from '../testing/signedIn';
import { soon } from '../testing/soon';
import { FindPerson } from './FindPerson';

beforeEach(() => {
  // A page made for tests has no windows over windows.
  HTMLDialogElement.prototype.showModal = vi.fn();
});

beforeEach(alone);

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function draw() {
  const client = new QueryClient();
  client.setQueryData(
    ['cohorts'],
    [
      { id: 'a', name: 'First year', groups: [], trainees: [{ id: '1', fullName: 'Kezia Mallow', bench: 1 }] },
      { id: 'b', name: 'Second year', groups: [], trainees: [{ id: '3', fullName: 'Ulf Brackenby', bench: 7 }] },
    ],
  );
  const closed = vi.fn();
  drawnIn(
    'in',
    <QueryClientProvider client={client}>
      <OutboxContext value={new Outbox({ onAttempt: vi.fn(), onMoved: vi.fn() })}>
        <MemoryRouter>
          <FindPerson onClose={closed} />
        </MemoryRouter>
      </OutboxContext>
    </QueryClientProvider>,
  );
  return closed;
}

test('somebody of another cohort is found, and Enter measures them', async () => {
  const opened = vi.spyOn(api, 'PUT').mockResolvedValue({ data: { id: 'attempt' }, response: new Response() } as never);
  const closed = draw();
  fireEvent.change(screen.getByLabelText('Name, of any cohort'), { target: { value: 'brack' } });
  expect(screen.getByText('Second year, bench 7')).toBeTruthy();
  expect(screen.queryByText('Kezia Mallow')).toBeNull();
  fireEvent.submit(screen.getByLabelText('Name, of any cohort'));
  await soon(() => {
    expect(closed).toHaveBeenCalled();
  });
  expect(opened.mock.calls[0]?.[1]).toMatchObject({ body: { traineeId: '3' } });
});

test('where nobody has the name, it is said', () => {
  draw();
  fireEvent.change(screen.getByLabelText('Name, of any cohort'), { target: { value: 'zz' } });
  expect(screen.getByRole('status', { hidden: true }).textContent).toContain('Nobody whom you may see');
});
