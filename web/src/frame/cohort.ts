import { useCallback } from 'react';
import { useCohorts, useEarlierCohorts } from '../api/queries';
import type { Schemas } from '../api/client';
import { useAddress } from './address';

const REMEMBERED = 'lobrik-cohort';

/** The cohort that the room is about: the one in the address, else the last one chosen here, else the first. */
export function useCohort(): {
  cohorts: Schemas['CohortView'][] | undefined;
  cohort: Schemas['CohortView'] | undefined;
  choose: (id: string) => void;
} {
  const { data: going } = useCohorts();
  const [search, changeAddress] = useAddress();
  const asked = search.get('cohort');
  // One of an earlier year is on no list, but where somebody asks for it.
  const earlier = useEarlierCohorts(asked !== null && going?.every(({ id }) => id !== asked) === true);
  const cohorts = earlier?.some(({ id }) => id === asked) ? [...(going ?? []), ...earlier] : going;
  const wanted = asked ?? localStorage.getItem(REMEMBERED);
  const cohort = cohorts?.find(({ id }) => id === wanted) ?? cohorts?.[0];
  const choose = useCallback(
    (id: string) => {
      localStorage.setItem(REMEMBERED, id);
      changeAddress({ cohort: id });
    },
    [changeAddress],
  );
  return { cohorts, cohort, choose };
}
