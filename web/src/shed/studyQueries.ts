import { useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';

export type Study = Schemas['StudyView'];
export type StudyFeature = Schemas['StudyFeature'];
export type FeatureResult = Schemas['FeatureResult'];

/** The studies of the school, and what its readings are taken to spread by. */
export function useStudies() {
  return useQuery<Schemas['StudiesView'], Problem>({
    queryKey: ['studies'],
    queryFn: () => body(api.GET('/api/studies')),
  });
}

/** The piece that one reads next. */
export function useStudyTurn(id: string) {
  return useQuery<Schemas['StudyTurn'], Problem>({
    queryKey: ['studies', id, 'turn'],
    queryFn: () => body(api.GET('/api/studies/{id}/turn', { params: { path: { id } } })),
  });
}

/** What a closed study came to, without some pieces. */
export function useStudyResults(id: string, without: readonly number[]) {
  return useQuery<Schemas['StudyResult'], Problem>({
    queryKey: ['studies', id, 'results', without],
    queryFn: () =>
      body(api.GET('/api/studies/{id}/results', { params: { path: { id }, query: { without: [...without] } } })),
  });
}

/** Whatever shows studies. */
export const SHOWS_STUDIES = ['studies'];

/** What a study is measured with. */
export const INSTRUMENTS: Readonly<Record<Study['instrument'], string>> = {
  HAND: 'tape, level and caliper',
  GAUGE: 'gauge',
};
