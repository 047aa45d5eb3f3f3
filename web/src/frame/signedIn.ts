import { createContext, useContext } from 'react';
import type { Schemas } from '../api/client';

/** Whoever is signed in, for every screen inside the frame. */
export const SignedInContext = createContext<Schemas['Me'] | undefined>(undefined);

export function useSignedIn(): Schemas['Me'] {
  const me = useContext(SignedInContext);
  if (me === undefined) {
    throw new Error('only within the frame, where somebody is signed in');
  }
  return me;
}

/** Inches or millimetres, as the account prefers. */
export function useDisplayUnit(): 'in' | 'mm' {
  return useSignedIn().unit;
}
