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

/** For a screen without an account: the unit that everything on it is in. */
export const DisplayUnitContext = createContext<'in' | 'mm' | undefined>(undefined);

/** Inches or millimetres, as the screen has them, or as the account prefers. */
export function useDisplayUnit(): 'in' | 'mm' {
  const ofScreen = useContext(DisplayUnitContext);
  const me = useContext(SignedInContext);
  if (ofScreen === undefined && me === undefined) {
    throw new Error('only within the frame, where somebody is signed in, or where a screen names its unit');
  }
  return ofScreen ?? me?.unit ?? 'in';
}
