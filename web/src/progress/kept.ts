import { useEffect, useRef } from 'react';

/**
 * Keeps how far something was scrolled while one looks at something else, so that coming back finds the place again.
 *
 * @param key of the place
 * @param ready once there is something to scroll
 */
export function useKeptScroll(key: string, ready: boolean) {
  const ref = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const box = ref.current;
    if (box === null || !ready) {
      return;
    }
    const [left = 0, top = 0] = (sessionStorage.getItem(key) ?? '').split(' ').map(Number);
    box.scrollTo({ left, top });
    const keep = () => {
      sessionStorage.setItem(key, `${String(box.scrollLeft)} ${String(box.scrollTop)}`);
    };
    box.addEventListener('scroll', keep, { passive: true });
    return () => {
      box.removeEventListener('scroll', keep);
    };
  }, [key, ready]);
  return ref;
}
