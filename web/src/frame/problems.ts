import type { Problem } from '../api/client';

/** What is wrong with one field of a form, by its pointer. */
export function problemAt(problem: Problem | null, pointer: string): string | undefined {
  return problem?.errors.find((error) => error.pointer === pointer)?.message;
}

/** What is wrong and belongs to none of a form's fields. */
export function problemBeside(problem: Problem | null, pointers: readonly string[]): string | undefined {
  if (problem === null || problem.errors.some((error) => pointers.includes(error.pointer))) {
    return undefined;
  }
  return problem.message;
}
