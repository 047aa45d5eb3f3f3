import {
  skipToken,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
  type UseQueryResult,
} from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from './client';

export type LayoutRequest = Schemas['LayoutRequest'];
export type LayoutAnswer = Schemas['LayoutAnswer'];
export type Attempt = Schemas['AttemptView'];
export type Feature = Schemas['FeatureView'];
export type BareUnit = 'in' | 'mm';

/** Whoever is signed in; an error with status 401 when nobody is. */
export function useMe() {
  return useQuery<Schemas['Me'], Problem>({
    queryKey: ['me'],
    queryFn: () => body(api.GET('/api/me')),
    retry: (tries, problem) => problem.status === 0 && tries < 3,
    staleTime: Infinity,
  });
}

export function useCohorts() {
  return useQuery<Schemas['CohortView'][], Problem>({
    queryKey: ['cohorts'],
    queryFn: () => body(api.GET('/api/cohorts')),
  });
}

export function useFloor(cohortId: string | undefined) {
  return useQuery<Schemas['FloorView'], Problem>({
    queryKey: ['floor', cohortId],
    queryFn: () => body(api.GET('/api/floor/{cohortId}', { params: { path: { cohortId: cohortId ?? '' } } })),
    enabled: cohortId !== undefined,
    // Somebody else may be measuring in the same room.
    refetchInterval: 5000,
  });
}

export function useShed() {
  return useQuery<Schemas['Shed'], Problem>({
    queryKey: ['shed'],
    queryFn: () => body(api.GET('/api/shed')),
    staleTime: Infinity,
  });
}

/** A text in a field that takes a length or an angle. */
export interface Typed {
  /** A distance may also be two readings of a tape. */
  kind: 'length' | 'angle' | 'distance';
  text: string;
  bare: BareUnit;
}

/** What was typed into some fields, as numbers of inches or degrees, in their order. Empty text asks nothing. */
export function useQuantities(typed: readonly Typed[]): UseQueryResult<Schemas['QuantityAnswer'], Problem>[] {
  return useQueries({
    queries: typed.map(({ kind, text, bare }) => ({
      queryKey: ['quantity', kind, text, bare],
      queryFn: () => body(api.POST('/api/calc/quantity', { body: { kind, text, bare } })),
      enabled: text.trim() !== '',
      retry: false,
      staleTime: Infinity,
    })),
  }) as UseQueryResult<Schemas['QuantityAnswer'], Problem>[];
}

/** A bend laid out. */
export function useLayout(request: LayoutRequest | undefined) {
  return useQuery<LayoutAnswer, Problem>({
    queryKey: ['layout', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/calc/layout', { body: request })),
    retry: false,
    staleTime: Infinity,
  });
}

/** Why each number of a layout is what it is. */
export function useWhy(request: LayoutRequest | undefined) {
  return useQuery<Schemas['ExplanationAnswer'][], Problem>({
    queryKey: ['why', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/calc/why', { body: request })),
    retry: false,
    staleTime: Infinity,
  });
}

/** Situations, cards and presets that a school chooses from. */
export function useTables(measuredIn?: number) {
  return useQuery<Schemas['TablesAnswer'], Problem>({
    queryKey: ['tables', measuredIn],
    queryFn: () =>
      body(api.GET('/api/calc/tables', { params: { query: measuredIn === undefined ? {} : { measuredIn } } })),
    staleTime: Infinity,
  });
}

/** The exercises of the library. */
export function useLibrary() {
  return useQuery<Schemas['EntryView'][], Problem>({
    queryKey: ['library'],
    queryFn: () => body(api.GET('/api/library')),
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

/** What was given out last. */
export function useGivings() {
  return useQuery<Schemas['GivenView'][], Problem>({
    queryKey: ['givings'],
    queryFn: () => body(api.GET('/api/givings')),
  });
}

/** What each of some trainees would be given. */
export function usePreview(request: Schemas['PreviewRequest'] | undefined) {
  return useQuery<Schemas['Preview'], Problem>({
    queryKey: ['preview', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/givings/preview', { body: request })),
    retry: false,
    staleTime: Infinity,
  });
}

/** Conduits side by side, bent alike. */
export function useParallelRuns(request: Schemas['ParallelRunsRequest'] | undefined) {
  return useQuery<Schemas['Run'][], Problem>({
    queryKey: ['parallel-runs', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/calc/parallel-runs', { body: request })),
    retry: false,
    staleTime: Infinity,
  });
}

export function useAttempt(id: string | undefined) {
  return useQuery<Attempt, Problem>({
    queryKey: ['attempt', id],
    queryFn: () => body(api.GET('/api/attempts/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  });
}

/** Opens an attempt at what a trainee is on, or goes on with the one that is not complete. */
export function useOpenAttempt() {
  const client = useQueryClient();
  return useMutation<Attempt, Problem, string | { traineeId: string; assignmentId: string }>({
    mutationFn: (what) =>
      body(
        api.PUT('/api/attempts/{id}', {
          params: { path: { id: crypto.randomUUID() } },
          body: typeof what === 'string' ? { traineeId: what } : what,
        }),
      ),
    onSuccess: (attempt) => client.setQueryData(['attempt', attempt.id], attempt),
  });
}

export interface NewReading {
  /** Made once for what was typed, so that a repeated request adds nothing. */
  key: string;
  feature: string;
  text: string;
  bare: BareUnit;
  corrects?: string;
  reason?: string;
}

export function useKeepReading(attemptId: string) {
  const client = useQueryClient();
  return useMutation<Attempt, Problem, NewReading>({
    mutationFn: ({ key, ...reading }) =>
      body(api.PUT('/api/attempts/{id}/readings/{key}', { params: { path: { id: attemptId, key } }, body: reading })),
    // The key makes repeating safe; a server that restarts is back within seconds.
    retry: (tries, problem) => problem.status === 0 && tries < 20,
    retryDelay: 500,
    networkMode: 'always',
    onSuccess: (attempt) => {
      client.setQueryData(['attempt', attempt.id], attempt);
      void client.invalidateQueries({ queryKey: ['floor'] });
      void client.invalidateQueries({ queryKey: ['progress'] });
    },
    onError: (problem) => {
      // Somebody else was quicker: show what is there now.
      if (problem.status === 409) {
        void client.invalidateQueries({ queryKey: ['attempt', attemptId] });
      }
    },
  });
}

export function useTraineeProgress(id: string | undefined) {
  return useQuery<Schemas['TraineeProgress'], Problem>({
    queryKey: ['progress', 'trainee', id],
    queryFn: () => body(api.GET('/api/trainees/{id}/progress', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  });
}

export function useCohortProgress(id: string | undefined) {
  return useQuery<Schemas['CohortProgress'], Problem>({
    queryKey: ['progress', 'cohort', id],
    queryFn: () => body(api.GET('/api/cohorts/{id}/progress', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  });
}
