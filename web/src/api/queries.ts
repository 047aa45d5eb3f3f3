import { type QueryClient, skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useSignedIn } from '../frame/signedIn';
import { useOutbox } from '../queue/outboxContext';
import { api, body, Problem, type Schemas } from './client';
import { refreshBenches } from '../live/benches';
import { newId } from './newId';

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

/** The cohorts of earlier years, where somebody looks for one. */
export function useEarlierCohorts(wanted: boolean): Schemas['CohortView'][] | undefined {
  return useQuery<Schemas['CohortView'][], Problem>({
    queryKey: ['cohorts', 'earlier'],
    queryFn: () => body(api.GET('/api/cohorts', { params: { query: { archived: true } } })),
    enabled: wanted,
  }).data;
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

/** What a run is made from: pieces and couplings, sticks, straps, pull points. */
export function useDivision(request: Schemas['DivideRequest'] | undefined) {
  return useQuery<Schemas['DivideAnswer'], Problem>({
    queryKey: ['divide', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/calc/divide', { body: request })),
    retry: false,
    staleTime: Infinity,
  });
}

/** How each bend of a layout is seen while it is made. */
export function useBending(request: LayoutRequest | undefined) {
  return useQuery<Schemas['ShownBendAnswer'][], Problem>({
    queryKey: ['bending', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/calc/bending', { body: request })),
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

/** What each of some trainees would be given. */
export function usePreview(request: Schemas['PreviewRequest'] | undefined) {
  return useQuery<Schemas['Preview'], Problem>({
    queryKey: ['preview', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/givings/preview', { body: request })),
    retry: false,
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

/** Every angle, way and tool that would do at the same place. */
export function useAlternatives(request: Schemas['CompareRequest'] | undefined) {
  return useQuery<Schemas['CompareAnswer'], Problem>({
    queryKey: ['compare', request],
    queryFn: request === undefined ? skipToken : () => body(api.POST('/api/calc/compare', { body: request })),
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
            params: { path: { id: newId() } },
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
          const path = { id: attemptId, key: newId() };
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
              params: { path: { id: attemptId, key: newId() } },
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
