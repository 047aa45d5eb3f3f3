import { useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';

export type BenderCard = Schemas['BenderCard'];
export type ConduitCard = Schemas['ConduitCard'];
export type Figures = Schemas['BenderInput'];

/** The card of every bender, and the sizes of conduit. */
export function useBenderCards() {
  return useQuery<Schemas['BenderCardsView'], Problem>({
    queryKey: ['benders'],
    queryFn: () => body(api.GET('/api/benders')),
  });
}

/** What the class's own pieces say of a bender. */
export function useClassSays(benderId: string) {
  return useQuery<Schemas['ClassSays'], Problem>({
    queryKey: ['benders', benderId, 'class'],
    queryFn: () => body(api.GET('/api/benders/{id}/class', { params: { path: { id: benderId } } })),
    staleTime: 60_000,
  });
}

/** Whatever shows benders. */
export const SHOWS_BENDERS = ['benders', 'shed', 'firstSteps'];
