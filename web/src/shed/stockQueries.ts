import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';

export type StockedConduit = Schemas['StockedConduit'];
export type StockEntry = Schemas['StockEntryView'];

/** What is on the rack. */
export function useStock() {
  return useQuery<Schemas['StockView'], Problem>({
    queryKey: ['stock'],
    queryFn: () => body(api.GET('/api/stock')),
  });
}

/** What came and went of one kind of conduit, from so many on. */
export function useStockEntries(conduitId: string, from: number) {
  return useQuery<Schemas['StockEntries'], Problem>({
    queryKey: ['stock', conduitId, from],
    queryFn: () =>
      body(api.GET('/api/stock/{conduitId}/entries', { params: { path: { conduitId }, query: { from } } })),
    placeholderData: keepPreviousData,
  });
}

/** What was used up and wasted on some days. */
export function useStockUse(first: string, last: string) {
  return useQuery<Schemas['StockUseView'], Problem>({
    queryKey: ['stock', 'use', first, last],
    queryFn: () => body(api.GET('/api/stock-use', { params: { query: { first, last } } })),
    enabled: first !== '' && last !== '',
    placeholderData: keepPreviousData,
  });
}

/** Whatever shows the rack. */
export const SHOWS_STOCK = ['stock', 'sessionConduit'];
