import { useCallback, useSyncExternalStore } from 'react';

const PHONE_PX = 640;

/** Whether the screen is narrower than so many pixels of a page. */
export function useNarrowerThan(pixels: number): boolean {
  const media = `(max-width: ${String(pixels - 1)}px)`;
  const subscribe = useCallback(
    (onChange: () => void) => {
      const query = window.matchMedia(media);
      query.addEventListener('change', onChange);
      return () => {
        query.removeEventListener('change', onChange);
      };
    },
    [media],
  );
  return useSyncExternalStore(subscribe, () => window.matchMedia(media).matches);
}

/** Whether the screen is a phone's: one value at a time, below the drawing. */
export function useNarrow(): boolean {
  return useNarrowerThan(PHONE_PX);
}
