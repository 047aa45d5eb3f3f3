import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { keepNewest, refreshSoon } from './refresh';

beforeEach(() => {
  vi.useFakeTimers();
});

afterEach(() => {
  vi.useRealTimers();
});

test('what several want anew within a moment is asked for once', () => {
  const client = new QueryClient();
  const asked = vi.spyOn(client, 'invalidateQueries');
  refreshSoon(client, ['floor', 'first year'], ['attempt', 'one']);
  refreshSoon(client, ['floor', 'first year']);
  expect(asked).not.toHaveBeenCalled();
  vi.advanceTimersByTime(200);
  expect(asked.mock.calls.map(([filters]) => filters?.queryKey)).toEqual([
    ['floor', 'first year'],
    ['attempt', 'one'],
  ]);
});

test('what is wanted later is asked for again', () => {
  const client = new QueryClient();
  const asked = vi.spyOn(client, 'invalidateQueries');
  refreshSoon(client, ['floor']);
  vi.advanceTimersByTime(200);
  refreshSoon(client, ['floor']);
  vi.advanceTimersByTime(200);
  expect(asked).toHaveBeenCalledTimes(2);
});

test('an answer that was overtaken does not undo what came after it', async () => {
  const client = new QueryClient();
  keepNewest(client);
  const key = ['attempt', 'one'];
  let answer: (attempt: object) => void = () => undefined;
  const asked = client.fetchQuery({
    queryKey: key,
    queryFn: () =>
      new Promise<object>((done) => {
        answer = done;
      }),
  });
  client.setQueryData(key, { edition: 7, score: null });
  client.setQueryData(key, { edition: 8, score: 94 });
  client.setQueryData(key, { edition: 7, score: null });
  vi.useRealTimers();
  answer({ edition: 6, score: null });
  await asked;
  expect(client.getQueryData(key)).toEqual({ edition: 8, score: 94 });
  client.setQueryData(key, { edition: 9, score: 100 });
  expect(client.getQueryData(key)).toEqual({ edition: 9, score: 100 });
});
