import { skipToken, useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';

export type Job = Schemas['JobView'];

/** A run that was given out piece by piece; while somebody looks, what was measured meanwhile is asked for now and then. */
export function useJob(id: string | undefined) {
  return useQuery<Job, Problem>({
    queryKey: ['jobs', id],
    queryFn: id === undefined ? skipToken : () => body(api.GET('/api/jobs/{id}', { params: { path: { id } } })),
    refetchInterval: 15_000,
  });
}

/** The last runs that were given out piece by piece. */
export function useJobs() {
  return useQuery<Schemas['JobListed'][], Problem>({
    queryKey: ['jobs'],
    queryFn: () => body(api.GET('/api/jobs')),
  });
}

/** The job that a piece was given out with. */
export function useJobOf(assignmentId: string | undefined) {
  return useQuery<Schemas['JobOfPiece'], Problem>({
    queryKey: ['jobs', 'of', assignmentId],
    queryFn:
      assignmentId === undefined
        ? skipToken
        : () => body(api.GET('/api/jobs/of/{assignmentId}', { params: { path: { assignmentId } } })),
    staleTime: Infinity,
  });
}

/** What the school cuts and fastens its runs by. */
export function useRunRules() {
  return useQuery<Schemas['RunRulesView'], Problem>({
    queryKey: ['runRules'],
    queryFn: () => body(api.GET('/api/run-rules')),
    staleTime: 60_000,
  });
}
