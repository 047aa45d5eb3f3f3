import type { Schemas } from '../api/client';
import { useSignedIn } from './signedIn';

export type Right = Schemas['Me']['rights'][number];

/** Whether whoever is signed in may do something. What they may not do is not offered; the server refuses it in any case. */
export function useMay(right: Right): boolean {
  // A device that was without signal may remember its account from before there were rights.
  const rights = useSignedIn().rights as readonly Right[] | undefined;
  return rights?.includes(right) ?? true;
}
