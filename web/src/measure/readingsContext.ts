import { createContext, useContext } from 'react';
import type { Readings } from './useReadings';

interface AtTheBench {
  readings: Readings;
  onEnter: () => void;
  /** When this changes, the field in hand takes the focus again: a dialog was closed. */
  recall: number;
}

/**
 * What is being entered. The places on the drawing take it from here and not through the drawing, so that a key that is
 * pressed draws one field anew and not the piece.
 */
export const ReadingsContext = createContext<AtTheBench | undefined>(undefined);

export function useAtTheBench(): AtTheBench {
  const bench = useContext(ReadingsContext);
  if (bench === undefined) {
    throw new Error('only where a piece is measured');
  }
  return bench;
}
