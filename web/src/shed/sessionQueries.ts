import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';

export type ClassSession = Schemas['ClassSessionView'];
export type Attending = Schemas['Attending'];
export type Rota = Schemas['RotaView'];
export type RotaPerson = Schemas['RotaPerson'];
export type RotaSession = Schemas['RotaSession'];

/** The sessions of the school on some days. */
export function useSessions(first: string | undefined, last: string | undefined) {
  return useQuery<Schemas['TimetableView'], Problem>({
    queryKey: ['sessions', first, last],
    queryFn: () =>
      body(api.GET('/api/class-sessions', { params: { query: { first: first ?? '', last: last ?? '' } } })),
    enabled: first !== undefined && last !== undefined,
    placeholderData: keepPreviousData,
  });
}

/** Rooms, holidays, and who may hold sessions. */
export function useTimetableSetting() {
  return useQuery<Schemas['TimetableSetting'], Problem>({
    queryKey: ['timetableSetting'],
    queryFn: () => body(api.GET('/api/timetable/setting')),
  });
}

/** A session from close by: plan, people, seats. */
export function useSessionSheet(id: string) {
  return useQuery<Schemas['SessionSheet'], Problem>({
    queryKey: ['sessionSheet', id],
    queryFn: () => body(api.GET('/api/class-sessions/{id}', { params: { path: { id } } })),
  });
}

/** What a planned session takes from the rack. */
export function useSessionConduit(id: string) {
  return useQuery<Schemas['ConduitTaken'][], Problem>({
    queryKey: ['sessionConduit', id],
    queryFn: () => body(api.GET('/api/class-sessions/{id}/conduit', { params: { path: { id } } })),
  });
}

/** Who of a cohort sits where. */
export function useRota(cohortId: string | undefined) {
  return useQuery<Rota, Problem>({
    queryKey: ['rota', cohortId],
    queryFn: () => body(api.GET('/api/rota/{cohortId}', { params: { path: { cohortId: cohortId ?? '' } } })),
    enabled: cohortId !== undefined,
  });
}

/** How often somebody was there. */
export function useAttendance(traineeId: string) {
  return useQuery<Schemas['AttendanceCount'], Problem>({
    queryKey: ['attendance', traineeId],
    queryFn: () => body(api.GET('/api/trainees/{id}/attendance', { params: { path: { id: traineeId } } })),
  });
}

/** Who of a cohort will not be there, and who does not share a bench. */
export function useRotaWishes(cohortId: string) {
  return useQuery<Schemas['RotaWishes'], Problem>({
    queryKey: ['rotaWishes', cohortId],
    queryFn: () => body(api.GET('/api/rota/{cohortId}/wishes', { params: { path: { cohortId } } })),
  });
}

/** Whatever shows sessions. */
export const SHOWS_SESSIONS = ['sessions', 'sessionSheet', 'sessionConduit', 'rota', 'floor'];

/** Whatever shows who sits where. */
export const SHOWS_SEATS = ['rota', 'rotaWishes', 'sessionSheet', 'floor'];
