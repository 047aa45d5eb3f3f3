import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { Outbox } from '../queue/outbox';
import { OutboxContext } from '../queue/outboxContext';
import { drawnIn } from './signedIn';

/** No window hears of another: those of other tests run beside this one. */
export function alone(): void {
  vi.stubGlobal('BroadcastChannel', undefined);
}

/** Draws a part of a screen within what all screens have around them: an account, a place, an outbox, what is known. */
export function drawnInApp(children: ReactNode, client = new QueryClient()) {
  alone();
  const outbox = new Outbox({ onAttempt: () => undefined, onMoved: () => undefined });
  return drawnIn(
    'in',
    <MemoryRouter>
      <QueryClientProvider client={client}>
        <OutboxContext value={outbox}>{children}</OutboxContext>
      </QueryClientProvider>
    </MemoryRouter>,
  );
}
