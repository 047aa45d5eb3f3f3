import type { QueryClient } from '@tanstack/react-query';
import { api, body, type Schemas } from '../api/client';
import { refreshSoon, TOGETHER_MS } from './refresh';

type Floor = Schemas['FloorView'];
type Kit = Schemas['AttemptView'][];

/** What is still to be asked for of a cohort, and whether it is being asked for now. */
interface Asking {
  wanted: Set<string>;
  busy: boolean;
}

const asked = new WeakMap<QueryClient, Map<string, Asking>>();

/**
 * Has some benches of a floor asked for anew, and what a tablet takes along of them where it does: these alone, once for all
 * that is wanted within a moment, and one question after the other, so that no answer overtakes another.
 */
export function refreshBenches(client: QueryClient, cohortId: string, traineeIds: readonly string[]): void {
  const cohorts = asked.get(client) ?? new Map<string, Asking>();
  asked.set(client, cohorts);
  const asking = cohorts.get(cohortId) ?? { wanted: new Set<string>(), busy: false };
  cohorts.set(cohortId, asking);
  traineeIds.forEach((id) => asking.wanted.add(id));
  if (!asking.busy && asking.wanted.size > 0) {
    asking.busy = true;
    setTimeout(() => void ask(client, cohortId, asking), TOGETHER_MS);
  }
}

async function ask(client: QueryClient, cohortId: string, asking: Asking): Promise<void> {
  while (asking.wanted.size > 0) {
    const trainees = [...asking.wanted];
    asking.wanted.clear();
    const seen = (name: 'floor' | 'kit') =>
      client
        .getQueryCache()
        .find({ queryKey: [name, cohortId] })
        ?.isActive() ?? false;
    if (seen('floor') || seen('kit')) {
      await askFor(client, cohortId, trainees, seen('kit'));
    }
    for (const name of ['floor', 'kit'] as const) {
      // Nobody looks at it; whoever does next asks for all of it.
      if (!seen(name)) {
        void client.invalidateQueries({ queryKey: [name, cohortId], refetchType: 'none' });
      }
    }
  }
  asking.busy = false;
}

async function askFor(client: QueryClient, cohortId: string, trainees: string[], kit: boolean): Promise<void> {
  try {
    const part = await body(
      api.GET('/api/floor/{cohortId}/benches', { params: { path: { cohortId }, query: { trainees, kit } } }),
    );
    // What is being asked for as a whole may have been answered before this changed.
    if (client.isFetching({ queryKey: ['floor', cohortId] }) > 0) {
      refreshSoon(client, ['floor', cohortId]);
    }
    client.setQueryData<Floor>(['floor', cohortId], (floor) => floor && withBenches(floor, part, trainees));
    if (kit) {
      client.setQueryData<Kit>(['kit', cohortId], (known) => known && withKit(known, part.kit, trainees));
    }
  } catch {
    refreshSoon(client, ['floor', cohortId], ['kit', cohortId]);
  }
}

function withBenches(floor: Floor, part: Schemas['BenchesView'], trainees: readonly string[]): Floor {
  const come = new Map(part.benches.map((bench) => [bench.traineeId, bench]));
  return {
    ...floor,
    now: part.now,
    benches: floor.benches.flatMap((bench) => {
      const now = trainees.includes(bench.traineeId) ? come.get(bench.traineeId) : bench;
      return now === undefined ? [] : [now];
    }),
  };
}

function withKit(known: Kit, come: Kit, trainees: readonly string[]): Kit {
  return [...known.filter(({ trainee }) => !trainees.includes(trainee.id)), ...come];
}
