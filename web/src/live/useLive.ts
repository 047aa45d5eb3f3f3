import { useQueryClient, type QueryKey } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { useOutbox } from '../queue/outboxContext';
import { refreshSoon } from './refresh';
import { screenId } from './screen';

interface Changed {
  cohortId: string;
  attemptId: string | null;
  screenId: string | null;
}

/**
 * Listens to what changes in a cohort, and has the screens ask for it. After a lost connection everything is asked for
 * again, so that nothing is missed. A window that nobody sees does not listen.
 *
 * @returns whether the connection stands
 */
export function useLive(cohortId: string | undefined, onGauge?: (gauge: Schemas['GaugeView']) => void): boolean {
  const client = useQueryClient();
  const outbox = useOutbox();
  const [connected, setConnected] = useState(false);
  useEffect(() => {
    if (cohortId === undefined) {
      return undefined;
    }
    let source: EventSource | undefined;
    const refresh = (...others: QueryKey[]) => {
      refreshSoon(client, ['floor', cohortId], ['kit', cohortId], ...others);
    };
    const open = () => {
      source?.close();
      source = new EventSource(`/api/live?screen=${screenId()}&cohort=${cohortId}`);
      source.addEventListener('hello', () => {
        setConnected(true);
        refresh();
        void client.invalidateQueries({ queryKey: ['attempt'], refetchType: 'active' });
        outbox.hurry();
      });
      source.addEventListener('changed', (event: MessageEvent<string>) => {
        const { attemptId, screenId: writer } = JSON.parse(event.data) as Changed;
        // What this window wrote itself came back with the answer.
        refresh(...(attemptId === null || writer === screenId() ? [] : [['attempt', attemptId]]));
      });
      source.addEventListener('gauge', (event: MessageEvent<string>) => {
        onGauge?.(JSON.parse(event.data) as Schemas['GaugeView']);
      });
      source.addEventListener('error', () => {
        setConnected(false);
      });
    };
    const look = () => {
      if (document.visibilityState === 'visible') {
        open();
      } else {
        source?.close();
        setConnected(false);
      }
    };
    // A stream that the browser gave up for good is opened anew.
    const again = setInterval(() => {
      if (document.visibilityState === 'visible' && source?.readyState === EventSource.CLOSED) {
        open();
      }
    }, 3_000);
    look();
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(again);
      document.removeEventListener('visibilitychange', look);
      source?.close();
    };
  }, [cohortId, client, outbox, onGauge]);
  return connected;
}
