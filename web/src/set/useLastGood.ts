import { useState } from 'react';

/** The last value that was there: while a new one is on its way, or cannot be had, the drawing keeps the old one. */
export function useLastGood<T>(value: T | undefined): T | undefined {
  const [last, setLast] = useState(value);
  if (value !== undefined && value !== last) {
    setLast(value);
    return value;
  }
  return last;
}
