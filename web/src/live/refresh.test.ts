import { QueryClient } from '@tanstack/react-query';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { refreshSoon } from './refresh';

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
