import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeAll, expect, it, vi } from 'vitest';
import { api, type Schemas } from '../api/client';
import { soon } from '../testing/soon';
import { GroupDialog } from './GroupDialog';

type Cohort = Schemas['CohortView'];

beforeAll(() => {
  // What the tests' page cannot do.
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
});

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const cohort = (id: string, ...names: string[]): Cohort =>
  ({ id, name: id, trainees: names.map((fullName) => ({ id: fullName, fullName })) }) as unknown as Cohort;

const FIRST = cohort('First year', 'Kezia Mallow', 'Bo Rill');
const SECOND = cohort('Second year', 'Wilf Okonde');

function dialog(onMade: (id: string) => void) {
  const client = new QueryClient();
  return (cohorts: readonly Cohort[]) => (
    <QueryClientProvider client={client}>
      <GroupDialog cohorts={cohorts} onMade={onMade} onClose={() => undefined} />
    </QueryClientProvider>
  );
}

const names = () => screen.queryAllByRole('checkbox').map((box) => box.parentElement?.textContent);

it('makes a group of those who are ticked', async () => {
  const put = vi.spyOn(api, 'PUT').mockResolvedValue({ data: { id: 'made' }, response: new Response() } as never);
  const onMade = vi.fn();
  render(dialog(onMade)([FIRST]));
  fireEvent.change(screen.getByLabelText('Name of the group'), { target: { value: 'Saddles again' } });
  fireEvent.click(screen.getByLabelText('Bo Rill'));
  fireEvent.click(screen.getByText('Make the group'));
  await soon(() => {
    expect(onMade).toHaveBeenCalledWith('made');
  });
  expect(put.mock.calls[0]?.[1]).toMatchObject({
    body: { cohortId: 'First year', name: 'Saddles again', traineeIds: ['Bo Rill'] },
  });
});

it('shows who can be in it also when the cohorts come after it was opened', () => {
  const at = dialog(vi.fn());
  const { rerender } = render(at([]));
  expect(names()).toEqual([]);
  rerender(at([FIRST, SECOND]));
  expect(names()).toEqual(['Kezia Mallow', 'Bo Rill']);
});

it('asks for the cohort where there are several, and forgets who was ticked in another', () => {
  render(dialog(vi.fn())([FIRST, SECOND]));
  fireEvent.change(screen.getByLabelText('Name of the group'), { target: { value: 'Again' } });
  fireEvent.click(screen.getByLabelText('Bo Rill'));
  fireEvent.change(screen.getByLabelText('Cohort of the group'), { target: { value: 'Second year' } });
  expect(names()).toEqual(['Wilf Okonde']);
  expect(screen.getByText('Make the group')).toHaveProperty('disabled', true);
});
