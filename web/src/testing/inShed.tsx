import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import type { Schemas } from '../api/client';
import { api } from '../api/client';
import { drawnFor, somebody, TEACHES } from './signedIn';

/** Whoever leads the school. */
export const LEADS = somebody({ role: 'LEAD', rights: [...TEACHES, 'LEAD', 'READ_RECORDS', 'READ_EVERY_COHORT'] });

/** What the server says to a path. */
export function says(bodies: Readonly<Record<string, unknown>>) {
  return ((path: string) =>
    Promise.resolve({ data: bodies[path], response: new Response(null, { status: 200 }) })) as never;
}

/** What is asked of the server, by path. */
export function served(bodies: Readonly<Record<string, unknown>>): void {
  HTMLDialogElement.prototype.showModal = vi.fn();
  vi.stubGlobal('matchMedia', () => ({
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }));
  vi.spyOn(api, 'GET').mockImplementation(says(bodies));
}

/** Draws a side of the shed at an address. */
export function drawnInShed(
  children: ReactNode,
  { me = LEADS, at = '/shed' }: { me?: Schemas['Me']; at?: string } = {},
) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  window.history.replaceState(null, '', at);
  return drawnFor(
    me,
    <MemoryRouter initialEntries={[at]}>
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    </MemoryRouter>,
  );
}
