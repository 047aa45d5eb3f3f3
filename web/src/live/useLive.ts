import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { useOutbox } from '../queue/outboxContext';
import { refreshBenches } from './benches';
import { refreshSoon } from './refresh';
import { screenId } from './screen';

/** What changed: whose benches, or null for anybody's; and what other windows wrote at. */
interface Changed {
  traineeIds: string[] | null;
  attemptIds: string[];
}

/** Behind a proxy a server that ended is an answer, and a browser gives up what has one. */
const LOOKED_AT_EACH_MILLIS = 1_000;

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
    const refreshAll = () => {
      refreshSoon(client, ['floor', cohortId], ['kit', cohortId]);
    };
    const open = () => {
      source?.close();
      source = new EventSource(`/api/live?screen=${screenId()}&cohort=${cohortId}`);
      source.addEventListener('hello', () => {
        setConnected(true);
        refreshAll();
        void client.invalidateQueries({ queryKey: ['attempt'], refetchType: 'active' });
        outbox.hurry();
      });
      source.addEventListener('changed', (event: MessageEvent<string>) => {
        const { traineeIds, attemptIds } = JSON.parse(event.data) as Changed;
        if (traineeIds === null) {
          refreshAll();
        } else {
          refreshBenches(client, cohortId, traineeIds);
        }
        refreshSoon(client, ...attemptIds.map((id) => ['attempt', id]));
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
    }, LOOKED_AT_EACH_MILLIS);
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
