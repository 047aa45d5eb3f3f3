import { useSyncExternalStore } from 'react';

let waiting: ServiceWorker | undefined;
const listeners = new Set<() => void>();

function found(worker: ServiceWorker | null): void {
  if (worker !== null) {
    waiting = worker;
    listeners.forEach((tell) => {
      tell();
    });
  }
}

/** Has the browser keep the application, so that it opens without signal, and what was written down, under any pressure. */
export async function keepForOffline(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) {
    return;
  }
  try {
    const registration = await navigator.serviceWorker.register('/sw.js');
    found(registration.waiting);
    registration.addEventListener('updatefound', () => {
      const next = registration.installing;
      next?.addEventListener('statechange', () => {
        // The very first one takes over by itself; a later one waits, and nothing is reloaded under somebody's hands.
        if (next.state === 'installed' && navigator.serviceWorker.controller !== null) {
          found(next);
        }
      });
    });
    await navigator.storage.persist();
  } catch {
    // Where it cannot be kept (no https away from this machine, a private window), the application works with signal only.
  }
}

/** Loads the page anew; what waits on this device stays. */
export function loadAnew(): void {
  window.location.reload();
}

/** A newer version of the application that waits, as a function that takes it into use; nothing if there is none. */
export function useNewVersion(): (() => void) | undefined {
  const worker = useSyncExternalStore(
    (onChange) => {
      listeners.add(onChange);
      return () => {
        listeners.delete(onChange);
      };
    },
    () => waiting,
  );
  return worker === undefined
    ? undefined
    : () => {
        navigator.serviceWorker.addEventListener('controllerchange', loadAnew);
        worker.postMessage({ type: 'SKIP_WAITING' });
      };
}
