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

/** What the school is set up with. */
export function useSchool() {
  return useQuery<Schemas['SchoolView'], Problem>({
    queryKey: ['school'],
    queryFn: () => body(api.GET('/api/school')),
  });
}

export type KeptCohort = Schemas['KeptCohort'];

/** The cohorts that one may see, with those of earlier years. */
export function useKeptCohorts() {
  return useQuery<KeptCohort[], Problem>({
    queryKey: ['keptCohorts'],
    queryFn: () => body(api.GET('/api/kept-cohorts')),
  });
}

export type Enrolled = Schemas['Enrolled'];

/** Some trainees: by name or number, of one cohort or all, there or left, from so many on. */
export function useTrainees(wanted: { text: string; cohort: string | undefined; left: boolean; from: number }) {
  const { cohort, ...query } = wanted;
  return useQuery<Schemas['EnrolledPage'], Problem>({
    queryKey: ['trainees', wanted],
    queryFn: () =>
      body(api.GET('/api/trainees', { params: { query: { ...query, ...(cohort === undefined ? {} : { cohort }) } } })),
    placeholderData: keepPreviousData,
  });
}

/** Whatever shows who is in which cohort. */
export const WHO_IS_WHERE = ['keptCohorts', 'trainees', 'cohorts', 'floor', 'progress', 'kit'];

/** One's own second factor, and whether the school asks its leads for one. */
export function useSecondFactor() {
  return useQuery<Schemas['State'], Problem>({
    queryKey: ['secondFactor'],
    queryFn: () => body(api.GET('/api/me/second-factor')),
  });
}
