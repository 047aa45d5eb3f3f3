import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { Problem } from '../api/client';

/** One change; whatever shows what it changes is asked for anew afterwards, also where somebody else was first. */
export function useKept<T = undefined>(
  change: (value: T) => Promise<unknown>,
  shownBy: readonly string[],
  onDone?: () => void,
) {
  const client = useQueryClient();
  const askAnew = () => Promise.all(shownBy.map((key) => client.invalidateQueries({ queryKey: [key] })));
  return useMutation<unknown, Problem, T>({
    mutationFn: change,
    onSuccess: async () => {
      // What is opened next is opened as it is now: nobody types into what is about to be shown anew.
      await askAnew();
      onDone?.();
    },
    onError: askAnew,
  });
}
