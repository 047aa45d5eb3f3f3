import { type RefObject, useLayoutEffect, useRef, useState } from 'react';
import type { PlaceSize } from './dimensionSpots';

/**
 * How large what stands at the places of a drawing is: known before anything is painted, and again whenever it changes.
 * A part marked `data-below` is said below its place while somebody writes there, and takes room of its own.
 */
export function usePlaceSizes(): {
  holder: RefObject<HTMLDivElement | null>;
  sizes: ReadonlyMap<string, PlaceSize>;
} {
  const holder = useRef<HTMLDivElement>(null);
  const [sizes, setSizes] = useState<ReadonlyMap<string, PlaceSize>>(new Map());
  useLayoutEffect(() => {
    const around = holder.current;
    if (around === null) {
      return undefined;
    }
    const look = () => {
      const now = measured(around);
      setSizes((before) => (same(before, now) ? before : now));
    };
    const resized = new ResizeObserver(look);
    const watch = () => {
      resized.disconnect();
      around.querySelectorAll('[data-place], [data-below]').forEach((place) => {
        resized.observe(place);
      });
      look();
    };
    const changed = new MutationObserver(watch);
    changed.observe(around, { childList: true, subtree: true });
    watch();
    return () => {
      resized.disconnect();
      changed.disconnect();
    };
  }, []);
  return { holder, sizes };
}

function measured(around: HTMLElement): Map<string, PlaceSize> {
  const sizes = new Map<string, PlaceSize>();
  around.querySelectorAll<HTMLElement>('[data-place]').forEach((place) => {
    const below = place.querySelector<HTMLElement>('[data-below]');
    sizes.set(place.dataset.place ?? '', {
      width: Math.max(place.offsetWidth, below?.offsetWidth ?? 0),
      height: place.offsetHeight,
      below: below === null || below.offsetHeight === 0 ? 0 : below.offsetHeight + 4,
    });
  });
  return sizes;
}

function same(a: ReadonlyMap<string, PlaceSize>, b: ReadonlyMap<string, PlaceSize>): boolean {
  return (
    a.size === b.size &&
    [...a].every(([id, { width, height, below }]) => {
      const other = b.get(id);
      return other !== undefined && other.width === width && other.height === height && other.below === below;
    })
  );
}
