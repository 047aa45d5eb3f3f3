import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../api/client';
import { refreshBenches } from './benches';

beforeEach(() => {
  vi.useFakeTimers();
});

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

const bench = (traineeId: string, state: string) => ({ traineeId, state });
const kept = (id: string, trainee: string) => ({ id, trainee: { id: trainee } });

/** A client that knows a floor of two, and its kit; somebody looks at what is named. */
function known(...looked: ('floor' | 'kit')[]) {
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: Infinity, retry: false } } });
  client.setQueryData(['floor', 'c'], { now: '1', benches: [bench('ada', 'bending'), bench('bo', 'bending')] });
  client.setQueryData(['kit', 'c'], [kept('1', 'ada'), kept('2', 'bo')]);
  const whole = vi.fn(() => Promise.resolve({ now: '9', benches: [] }));
  looked.forEach((name) =>
    new QueryObserver(client, { queryKey: [name, 'c'], queryFn: whole }).subscribe(() => undefined),
  );
  return { client, whole };
}

function answers(...parts: { benches: unknown[]; kit: unknown[] }[]) {
  const get = vi.spyOn(api, 'GET');
  parts.forEach((part) =>
    get.mockResolvedValueOnce({ data: { now: '2', ...part }, response: new Response() } as never),
  );
  return get;
}

test('one bench is asked for, not the floor and the kit', async () => {
  const { client, whole } = known('floor', 'kit');
  const get = answers({ benches: [bench('bo', 'called')], kit: [kept('3', 'bo')] });
  refreshBenches(client, 'c', ['bo']);
  refreshBenches(client, 'c', ['bo']);
  await vi.advanceTimersByTimeAsync(300);
  expect(get).toHaveBeenCalledTimes(1);
  expect(get.mock.calls[0]?.[1]).toMatchObject({ params: { query: { trainees: ['bo'], kit: true } } });
  expect(client.getQueryData(['floor', 'c'])).toEqual({
    now: '2',
    benches: [bench('ada', 'bending'), bench('bo', 'called')],
  });
  expect(client.getQueryData(['kit', 'c'])).toEqual([kept('1', 'ada'), kept('3', 'bo')]);
  expect(whole).not.toHaveBeenCalled();
});

test('who is not in the cohort any more is taken off the floor', async () => {
  const { client } = known('floor');
  answers({ benches: [], kit: [] });
  refreshBenches(client, 'c', ['bo']);
  await vi.advanceTimersByTimeAsync(300);
  expect(client.getQueryData(['floor', 'c'])).toMatchObject({ benches: [bench('ada', 'bending')] });
});

test('one question follows the other, so that no answer overtakes another', async () => {
  const { client } = known('floor');
  let first: (answer: unknown) => void = () => undefined;
  const get = vi
    .spyOn(api, 'GET')
    .mockReturnValueOnce(new Promise((answer) => (first = answer)) as never)
    .mockResolvedValueOnce({
      data: { now: '3', benches: [bench('ada', 'help')], kit: [] },
      response: new Response(),
    } as never);
  refreshBenches(client, 'c', ['ada']);
  await vi.advanceTimersByTimeAsync(300);
  refreshBenches(client, 'c', ['ada']);
  await vi.advanceTimersByTimeAsync(1000);
  expect(get).toHaveBeenCalledTimes(1);
  first({ data: { now: '2', benches: [bench('ada', 'called')], kit: [] }, response: new Response() });
  await vi.advanceTimersByTimeAsync(300);
  expect(get).toHaveBeenCalledTimes(2);
  expect(client.getQueryData(['floor', 'c'])).toMatchObject({ now: '3', benches: [bench('ada', 'help'), {}] });
});

test('where nobody looks nothing is asked for, and whoever looks next asks for all of it', async () => {
  const { client } = known();
  const get = answers();
  refreshBenches(client, 'c', ['bo']);
  await vi.advanceTimersByTimeAsync(300);
  expect(get).not.toHaveBeenCalled();
  expect(client.getQueryState(['floor', 'c'])?.isInvalidated).toBe(true);
  expect(client.getQueryState(['kit', 'c'])?.isInvalidated).toBe(true);
});

test('what cannot be had in part is asked for as a whole', async () => {
  const { client, whole } = known('floor');
  vi.spyOn(api, 'GET').mockRejectedValue(new Error('no signal'));
  refreshBenches(client, 'c', ['bo']);
  await vi.advanceTimersByTimeAsync(600);
  expect(whole).toHaveBeenCalled();
});
