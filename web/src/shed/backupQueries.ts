import { useQuery } from '@tanstack/react-query';
import { api, body, type Problem, type Schemas } from '../api/client';

const WHILE_DOING_MILLIS = 1_000;
const OTHERWISE_MILLIS = 60_000;

/** How backups stand, asked for often while one is being made. */
export function useBackups(enabled = true) {
  return useQuery<Schemas['BackupsView'], Problem>({
    queryKey: ['backups'],
    queryFn: () => body(api.GET('/api/backups')),
    enabled,
    refetchInterval: ({ state }) =>
      state.data !== undefined && state.data.doing !== 'NOTHING' ? WHILE_DOING_MILLIS : OTHERWISE_MILLIS,
  });
}
