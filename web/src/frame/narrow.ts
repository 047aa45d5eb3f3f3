import { useSyncExternalStore } from 'react';

const PHONE = '(max-width: 639px)';

function subscribe(onChange: () => void): () => void {
  const query = window.matchMedia(PHONE);
  query.addEventListener('change', onChange);
  return () => {
    query.removeEventListener('change', onChange);
  };
}

/** Whether the screen is a phone's: one value at a time, below the drawing. */
export function useNarrow(): boolean {
  return useSyncExternalStore(subscribe, () => window.matchMedia(PHONE).matches);
}
