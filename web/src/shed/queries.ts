import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';
import type { Role } from './roles';

export type Person = Schemas['Person'];

/** Some of the school's people: those whose names have a text in them, from so many on. */
export function usePeople(text: string, role: Role | undefined, from: number) {
  return useQuery<Schemas['PeoplePage'], Problem>({
    queryKey: ['people', text, role, from],
    queryFn: () =>
      body(api.GET('/api/people', { params: { query: { text, from, ...(role === undefined ? {} : { role }) } } })),
    placeholderData: keepPreviousData,
  });
}

/** All cohorts of the school, with the accounts of those who teach them. */
export function useCohortStaff() {
  return useQuery<Schemas['Staffed'][], Problem>({
    queryKey: ['cohortStaff'],
    queryFn: () => body(api.GET('/api/cohort-staff')),
  });
}
