import { useState } from 'react';

/**
 * The last value that was there: while a new one is on its way, or cannot be had, the drawing keeps the old one.
 *
 * @param of what it belongs to; a value for something else is not kept
 */
export function useLastGood<T>(value: T | undefined, of: string): T | undefined {
  const [last, setLast] = useState({ value, of });
  if (value !== undefined && (value !== last.value || of !== last.of)) {
    setLast({ value, of });
    return value;
  }
  return last.of === of ? last.value : undefined;
}
