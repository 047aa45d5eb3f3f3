import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Problem } from '../api/client';

/** One change; whatever shows what it changes is asked for anew afterwards, also where somebody else was first. */
export function useKept<T = undefined>(
  change: (value: T) => Promise<unknown>,
  shownBy: readonly string[],
  onDone?: () => void,
) {
  const client = useQueryClient();
  return useMutation<unknown, Problem, T>({
    mutationFn: change,
    onSettled: () => Promise.all(shownBy.map((key) => client.invalidateQueries({ queryKey: [key] }))),
    ...(onDone === undefined ? {} : { onSuccess: onDone }),
  });
}
