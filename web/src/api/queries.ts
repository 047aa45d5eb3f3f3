import {
  type InfiniteData,
  keepPreviousData,
  type QueryClient,
  skipToken,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useSignedIn } from '../frame/signedIn';
import { useOutbox } from '../queue/outboxContext';
import { api, body, Problem, type Schemas } from './client';
import { refreshBenches } from '../live/benches';

export type LayoutRequest = Schemas['LayoutRequest'];
export type LayoutAnswer = Schemas['LayoutAnswer'];
export type Attempt = Schemas['AttemptView'];
/** With where a mark's figures are measured from, and how far the back lies from the end, where there are two ways. */
export type Feature = Schemas['FeatureView'] & { taken?: { bend: number; from: 'end' | 'back'; offset: number } };
export type BareUnit = 'in' | 'mm';

/** What is needed without signal stays in memory, and so on disk, for a week. */
const LONG = 7 * 24 * 3_600_000;

/** Whoever is signed in; an error with status 401 when nobody is. */
export function useMe() {
  return useQuery<Schemas['Me'], Problem>({
    queryKey: ['me'],
    queryFn: () => body(api.GET('/api/me')),
    // Whoever was signed in goes on without signal; whether they still are shows with the next answer.
    retry: false,
    staleTime: 60_000,
    gcTime: LONG,
  });
}

export function useCohorts() {
  return useQuery<Schemas['CohortView'][], Problem>({
    queryKey: ['cohorts'],
    queryFn: () => body(api.GET('/api/cohorts')),
    gcTime: LONG,
  });
}

export function useFloor(cohortId: string | undefined) {
  return useQuery<Schemas['FloorView'], Problem>({
    queryKey: ['floor', cohortId],
    queryFn: () => body(api.GET('/api/floor/{cohortId}', { params: { path: { cohortId: cohortId ?? '' } } })),
    enabled: cohortId !== undefined,
    // The room is told of changes; this is for the time in which it cannot be.
    refetchInterval: 15_000,
    gcTime: LONG,
  });
}

/** What a tablet takes along in case that it loses the signal: each trainee's attempt, or a blank one. */
export function useKit(cohortId: string | undefined) {
  return useQuery<Attempt[], Problem>({
    queryKey: ['kit', cohortId],
    queryFn: () => body(api.GET('/api/cohorts/{id}/kit', { params: { path: { id: cohortId ?? '' } } })),
    enabled: cohortId !== undefined,
    staleTime: 60_000,
    gcTime: LONG,
  });
}

export function useShed() {
  return useQuery<Schemas['Shed'], Problem>({
    queryKey: ['shed'],
    queryFn: () => body(api.GET('/api/shed')),
    staleTime: Infinity,
  });
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

/** What the set method itself misses of what is asked, before anything is given out. */
export function useForesight(request: LayoutRequest | undefined, tolerances: Schemas['ToleranceInput'] | null) {
  return useQuery<Schemas['ForesightView'], Problem>({
    queryKey: ['foresight', request, tolerances],
    queryFn:
      request === undefined || tolerances === null
        ? skipToken
        : () => body(api.POST('/api/library/foresight', { body: { definition: request, tolerances } })),
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

/** The sets of tolerances that pieces are judged by. */
export function useJudgingPresets() {
  return useQuery<Schemas['Presets'], Problem>({
    queryKey: ['judging-presets'],
    queryFn: () => body(api.GET('/api/judging-presets')),
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
export function useAlongside(request: Schemas['AlongsideRequest'] | undefined) {
  return useQuery<Schemas['ConduitAlongside'][], Problem>({
    queryKey: ['alongside', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/calc/parallel-runs', { body: request })),
    retry: false,
    staleTime: Infinity,
  });
}

export function useAttempt(id: string | undefined) {
  const client = useQueryClient();
  return useQuery<Attempt, Problem>({
    queryKey: ['attempt', id],
    queryFn: () => body(api.GET('/api/attempts/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
    // One that was begun without signal is not known to the server yet; it is in the kit.
    placeholderData: () => client.getQueryData<Attempt>(['attempt', id]) ?? inKit(client, (each) => each.id === id),
    retry: (tries, problem) => problem.status === 0 && tries < 1,
    gcTime: LONG,
  });
}

function inKit(client: QueryClient, wanted: (attempt: Attempt) => boolean): Attempt | undefined {
  return client
    .getQueriesData<Attempt[]>({ queryKey: ['kit'] })
    .flatMap(([, kit]) => kit ?? [])
    .find(wanted);
}

/** Something that a trainee has in hand; without an assignment whatever comes first. */
export interface WorkInHand {
  traineeId: string;
  assignmentId?: string | null;
  /** Another try is meant, after a piece that is finished. */
  again?: boolean;
}

/**
 * Opens an attempt at what a trainee is on, or goes on with the one that is not complete. Without signal it is begun from
 * what the tablet took along.
 */
export function useOpenAttempt() {
  const client = useQueryClient();
  const outbox = useOutbox();
  const me = useSignedIn();
  return useMutation<Attempt, Problem, WorkInHand>({
    mutationFn: async ({ traineeId, assignmentId: wanted, again = false }) => {
      if (again) {
        // With its last reading still on the way, the server would go on with the piece that is finished.
        await outbox.tried();
      }
      try {
        return await body(
          api.PUT('/api/attempts/{id}', {
            params: { path: { id: crypto.randomUUID() } },
            body: { traineeId, assignmentId: wanted ?? null },
          }),
        );
      } catch (failure) {
        const taken = inKit(
          client,
          ({ trainee, assignmentId }) => trainee.id === traineeId && (wanted == null || wanted === assignmentId),
        );
        if (!(failure instanceof Problem) || failure.status !== 0 || taken === undefined) {
          throw failure;
        }
        await outbox.keep({
          key: taken.id,
          accountId: me.accountId,
          accountName: me.fullName,
          attemptId: taken.id,
          about: taken.trainee.fullName,
          at: new Date().toISOString(),
          task: { kind: 'open', traineeId: taken.trainee.id, assignmentId: taken.assignmentId },
        });
        return client.getQueryData<Attempt>(['attempt', taken.id]) ?? taken;
      }
    },
    onSuccess: (attempt) => client.setQueryData(['attempt', attempt.id], attempt),
  });
}

/**
 * How good a piece is, why, where its deviations came from and what to do about it.
 *
 * @param attempt as the server has it: a reading that still waits here is not judged yet
 */
export function useJudgement(attempt: Attempt) {
  const { features, bench } = attempt;
  const said = [
    ...features.map(({ reading }) => reading?.id),
    ...bench.points.map(({ finding }) => finding?.id),
    bench.own?.id,
    bench.rework.length,
  ].join();
  return useQuery<Schemas['Judgement'], Problem>({
    queryKey: ['judgement', attempt.id, said],
    queryFn: () => body(api.GET('/api/attempts/{id}/judgement', { params: { path: { id: attempt.id } } })),
    // While the next one is worked out, the last one stands.
    placeholderData: (last) => last,
    staleTime: 60_000,
  });
}

/**
 * What a piece would have been under each set of tolerances.
 *
 * @param points that it has: with a reading corrected, the comparison is another
 */
export function useComparison(attemptId: string, points: number, wanted: boolean) {
  return useQuery<Schemas['MarksheetView'][], Problem>({
    queryKey: ['comparison', attemptId, points],
    queryFn: () => body(api.GET('/api/attempts/{id}/comparison', { params: { path: { id: attemptId } } })),
    enabled: wanted,
  });
}

/** Notes what the server answered to something that was written down: what may have changed, on top of what is known already. */
export function noteAnswer(client: QueryClient, answer: Attempt | Schemas['AttemptChange']): void {
  client.setQueryData<Attempt>(['attempt', answer.id], (known) =>
    'plan' in answer ? answer : known === undefined ? undefined : { ...known, ...answer },
  );
}

/** Verifies an attempt, opens it again, decides between readings: what needs an answer at once. */
export function useDecide(attemptId: string) {
  const client = useQueryClient();
  return useMutation<Schemas['AttemptChange'], Problem, Decision>({
    mutationFn: (decision) => {
      switch (decision.kind) {
        case 'seal': {
          const path = { id: attemptId, key: crypto.randomUUID() };
          const { sealed, reason } = decision;
          return body(
            api.PUT('/api/attempts/{id}/seals/{key}', { params: { path }, body: { sealed, reason: reason ?? null } }),
          );
        }
        case 'setAside':
          return body(
            api.PUT('/api/attempts/{id}/set-aside/{recordId}', {
              params: { path: { id: attemptId, recordId: decision.recordId } },
              body: { reason: decision.reason },
            }),
          );
        case 'step':
          return body(
            api.PUT('/api/attempts/{id}/steps/{key}', {
              params: { path: { id: attemptId, key: crypto.randomUUID() } },
              body: { step: decision.step },
            }),
          );
      }
    },
    onSuccess: (change) => {
      noteAnswer(client, change);
      refreshBenches(client, change.trainee.cohortId, [change.trainee.id]);
    },
  });
}

/** What is decided about an attempt. */
export type Decision =
  | { kind: 'seal'; sealed: boolean; reason?: string }
  | { kind: 'setAside'; recordId: string; reason: string }
  | { kind: 'step'; step: Schemas['StepView']['step'] };

export type TraineePage = Schemas['TraineeProgress'];

/** A trainee's progress. */
export function useTraineeProgress(id: string | undefined) {
  return useQuery<TraineePage, Problem>({
    queryKey: ['progress', 'trainee', id],
    queryFn: () => body(api.GET('/api/trainees/{id}/progress', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  });
}

/** Which pieces of a matrix are shown; what is left out takes all. */
export interface MatrixFilter {
  from?: string;
  to?: string;
  bender?: string;
  conduit?: string;
  preset?: string;
}

/** Trainees by kinds of bend. */
export function useMatrix(cohortId: string | undefined, filter: MatrixFilter) {
  return useQuery<Schemas['MatrixView'], Problem>({
    queryKey: ['progress', 'matrix', cohortId, filter],
    queryFn: () =>
      body(api.GET('/api/cohorts/{id}/matrix', { params: { path: { id: cohortId ?? '' }, query: filter } })),
    enabled: cohortId !== undefined,
    placeholderData: (last) => last,
  });
}

/** What a cohort bends next. */
export function usePlan(cohortId: string | undefined) {
  return useQuery<Schemas['PlanView'], Problem>({
    queryKey: ['progress', 'plan', cohortId],
    queryFn: () => body(api.GET('/api/cohorts/{id}/plan', { params: { path: { id: cohortId ?? '' } } })),
    enabled: cohortId !== undefined,
  });
}

/** The benders compared. */
export function useBenderComparison() {
  return useQuery<Schemas['ComparisonView'][], Problem>({
    queryKey: ['progress', 'benders'],
    queryFn: () => body(api.GET('/api/benders/comparison')),
  });
}

/** Whether points leave out what a bender is known to add. */
export function useBenderInPoints() {
  return useQuery<Schemas['PointsChoice'], Problem>({
    queryKey: ['progress', 'benders', 'points'],
    queryFn: () => body(api.GET('/api/benders/points')),
  });
}

/** What is asked for a sign-off. */
export function useSignOffRules() {
  return useQuery<Schemas['RulesView'], Problem>({
    queryKey: ['progress', 'rules'],
    queryFn: () => body(api.GET('/api/sign-off-rules')),
  });
}
