import { useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from './client';

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

/** Trainees by families of bends. */
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

/** In which order bends are learnt. */
export function useCurriculum() {
  return useQuery<Schemas['CurriculumView'], Problem>({
    queryKey: ['progress', 'curriculum'],
    queryFn: () => body(api.GET('/api/curriculum')),
  });
}

/** What is asked for a sign-off. */
export function useSignOffRules() {
  return useQuery<Schemas['RulesView'], Problem>({
    queryKey: ['progress', 'rules'],
    queryFn: () => body(api.GET('/api/sign-off-rules')),
  });
}
