import type { Schemas } from '../api/client';

export type Role = Schemas['Me']['role'];

/** What somebody is at a school, and what that lets them do, in a few words. */
export const ROLES: Record<Role, { name: string; does: string }> = {
  LEAD: { name: 'Lead', does: 'keeps the school: people, rules, benders, records' },
  INSTRUCTOR: { name: 'Instructor', does: 'sets, gives out, measures and signs in the cohorts that they teach' },
  ASSISTANT: { name: 'Assistant', does: 'measures in the cohorts that they help with, signs nothing' },
  AUDITOR: { name: 'Auditor', does: 'reads everything, changes nothing' },
  TRAINEE: { name: 'Trainee', does: 'sees their own page' },
};

/** Those that the lead invites; a trainee's account is made on the trainee's page. */
export const STAFF: readonly Role[] = ['LEAD', 'INSTRUCTOR', 'ASSISTANT', 'AUDITOR'];
