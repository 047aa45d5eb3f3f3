import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { Outbox } from '../queue/outbox';
import { OutboxContext } from '../queue/outboxContext';
import { drawnIn } from './signedIn';

/** Draws a part of a screen within what all screens have around them: an account, a place, an outbox, what is known. */
export function drawnInApp(children: ReactNode, client = new QueryClient()) {
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
