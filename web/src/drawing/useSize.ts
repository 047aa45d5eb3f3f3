import { useCallback, useState } from 'react';

/** The size of an element in pixels, as it changes. Put the ref on the element. */
export function useSize<T extends Element>(): {
  ref: (element: T | null) => (() => void) | undefined;
  width: number;
  height: number;
} {
  const [size, setSize] = useState({ width: 0, height: 0 });
  const ref = useCallback((element: T | null) => {
    if (element === null) {
      return undefined;
    }
    // At once, not with the observer's first report a frame later: fields on the drawing take the first key.
    const { width, height } = element.getBoundingClientRect();
    setSize({ width, height });
    const observer = new ResizeObserver(([entry]) => {
      if (entry !== undefined) {
        setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
      }
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
    };
  }, []);
  return { ref, ...size };
}
