import { vi } from 'vitest';

/** How long a test waits for what must come, in ms: far beyond what it takes, as a busy machine takes many times that. */
export const PATIENCE_MS = 60_000;

/** Waits until this holds. */
export function soon<T>(look: () => T | Promise<T>): Promise<T> {
  return vi.waitFor(look, { timeout: PATIENCE_MS, interval: 20 });
}
