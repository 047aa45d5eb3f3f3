import { cleanup } from '@testing-library/react';
import { afterEach, beforeEach, vi } from 'vitest';
import type { Task } from '../queue/entries';
import * as outbox from '../queue/outboxContext';

/** Takes the outbox's place in the tests of a file: what is kept there, in its order. */
export function keeping() {
  const keep = vi.fn<(task: Task) => Promise<string>>();
  beforeEach(() => {
    keep.mockReset().mockResolvedValue('key');
    vi.spyOn(outbox, 'useKeep').mockReturnValue(keep);
  });
  afterEach(() => {
    cleanup();
    vi.restoreAllMocks();
  });
  return keep;
}
