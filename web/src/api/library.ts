import { type InfiniteData, keepPreviousData, skipToken, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from './client';

/** What is looked for in the library; whatever is empty is not asked for. */
export interface Wanted {
  find: string;
  kind: string;
  level: string;
  /** Whether what was put away is found as well. */
  retired: boolean;
}

/** As the server takes it. */
export function searchOf({ find, kind, level, retired }: Wanted) {
  const said = { find: find.trim(), kind, level };
  return { ...Object.fromEntries(Object.entries(said).filter(([, text]) => text !== '')), retired };
}

/** The exercises of the library that are looked for, a page at a time. */
export function useLibrary(wanted: Wanted) {
  const query = searchOf(wanted);
  return useInfiniteQuery<Schemas['ShelfView'], Problem, InfiniteData<Schemas['ShelfView']>, unknown[], string | null>({
    queryKey: ['library', 'shelf', query],
    queryFn: ({ pageParam }) =>
      body(api.GET('/api/library', { params: { query: pageParam === null ? query : { ...query, after: pageParam } } })),
    initialPageParam: null,
    getNextPageParam: ({ entries, more }) => (more ? (entries.at(-1)?.id ?? null) : null),
    // What was found before stays until the next is there: the list does not blink with every key.
    placeholderData: keepPreviousData,
  });
}

/** One of them with its versions. */
export function useEntry(id: string | undefined) {
  return useQuery<Schemas['EntryDetail'], Problem>({
    queryKey: ['library', id],
    queryFn: id === undefined ? skipToken : () => body(api.GET('/api/library/{id}', { params: { path: { id } } })),
    // The desk takes it once; a later version must not replace what is being edited.
    staleTime: 0,
    refetchOnWindowFocus: false,
  });
}

/**
 * What was given out last, so many at once.
 *
 * @param before the last of the page before; the newest without it
 */
export function useGivings(before?: string) {
  return useQuery<Schemas['GivenView'][], Problem>({
    queryKey: before === undefined ? ['givings'] : ['givings', before],
    queryFn: () => body(api.GET('/api/givings', { params: { query: { before } } })),
  });
}
