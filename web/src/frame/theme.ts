import { useCallback, useSyncExternalStore } from 'react';

export type Theme = 'film' | 'shed';

const CHANGED = 'lobrik-theme-changed';

function current(): Theme {
  return document.documentElement.dataset.theme === 'shed' ? 'shed' : 'film';
}

function subscribe(onChange: () => void): () => void {
  window.addEventListener(CHANGED, onChange);
  return () => {
    window.removeEventListener(CHANGED, onChange);
  };
}

/** The theme in force, and how to take the other one. The choice is kept on this device: glare is where the device is. */
export function useTheme(): { theme: Theme; toggle: () => void } {
  const theme = useSyncExternalStore(subscribe, current);
  const toggle = useCallback(() => {
    const next: Theme = current() === 'film' ? 'shed' : 'film';
    document.documentElement.dataset.theme = next;
    localStorage.setItem('lobrik-theme', next);
    window.dispatchEvent(new Event(CHANGED));
  }, []);
  return { theme, toggle };
}
