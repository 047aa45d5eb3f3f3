import type { Middleware } from 'openapi-fetch';
import { useSyncExternalStore } from 'react';

/** Less than this is what messages take, and what clocks differ by that are right. */
const WORTH_TELLING = 60;

let ahead = 0;
const told = new Set<() => void>();

/**
 * Says with everything that is sent what time it is here, so that the server can put right when something was written down; and
 * notices by its answers how far this device's clock is off.
 */
export const timed: Middleware = {
  onRequest({ request }) {
    if (request.method !== 'GET') {
      request.headers.set('X-Lobrik-Sent-At', new Date().toISOString());
    }
    return request;
  },
  onResponse({ response }) {
    const there = Date.parse(response.headers.get('Date') ?? '');
    if (Number.isFinite(there)) {
      noticed((Date.now() - there) / 1000);
    }
  },
};

function noticed(seconds: number) {
  const now = Math.abs(seconds) < WORTH_TELLING ? 0 : Math.round(seconds / 60) * 60;
  if (now !== ahead) {
    ahead = now;
    told.forEach((tell) => {
      tell();
    });
  }
}

function subscribe(tell: () => void) {
  told.add(tell);
  return () => {
    told.delete(tell);
  };
}

/** By how many seconds this device's clock is ahead of the server's, below 0 behind it, to the minute; 0 while it is about right. */
export function useClockAhead(): number {
  return useSyncExternalStore(subscribe, () => ahead);
}

/** How far off a clock is, in words: "3 h 12 min behind". */
export function offInWords(seconds: number): string {
  const minutes = Math.round(Math.abs(seconds) / 60);
  const days = Math.floor(minutes / 1440);
  const hours = Math.floor((minutes % 1440) / 60);
  const parts =
    days > 1
      ? [`${String(days)} days`]
      : [
          days * 24 + hours > 0 ? `${String(days * 24 + hours)} h` : '',
          minutes % 60 > 0 ? `${String(minutes % 60)} min` : '',
        ];
  return `${parts.filter((part) => part !== '').join(' ')} ${seconds > 0 ? 'ahead' : 'behind'}`;
}
