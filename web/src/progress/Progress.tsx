import { useAddress } from '../frame/address';
import { useCohort } from '../frame/cohort';
import { CohortChoice } from '../frame/CohortChoice';
import { Choice, Header } from '../frame/Header';
import { Benders } from './Benders';
import { Files } from './Files';
import { Matrix } from './Matrix';
import { NoCohort } from './NoCohort';
import { Order } from './Order';
import { Plan } from './Plan';
import { Rules } from './Rules';

const SIDES = [
  { value: 'matrix', name: 'Cohort' },
  { value: 'plan', name: 'Next session' },
  { value: 'benders', name: 'Benders' },
  { value: 'order', name: 'Order' },
  { value: 'rules', name: 'Sign-off rules' },
  { value: 'files', name: 'Files' },
] as const;

type Side = (typeof SIDES)[number]['value'];

/** Progress of a cohort: where everybody stands, what they bend next, what the benders add, and the files. */
export default function Progress() {
  const room = useCohort();
  const [search, changeAddress] = useAddress();
  const empty = room.cohorts?.length === 0;
  const side: Side = SIDES.find(({ value }) => value === search.get('side'))?.value ?? 'matrix';
  return (
    <div className="flex h-full flex-col">
      <Header
        title="Progress"
        about={
          <div className="relative max-w-[calc(100vw-1.5rem)] overflow-x-auto">
            <Choice
              label="Shown"
              options={SIDES}
              value={side}
              onChange={(value) => {
                changeAddress({ side: value }, { replace: false });
              }}
            />
          </div>
        }
      >
        {(side === 'matrix' || side === 'plan' || side === 'files') && <CohortChoice {...room} />}
      </Header>
      <div className="min-h-0 flex-1">
        {empty && (side === 'matrix' || side === 'plan' || side === 'files') && <NoCohort />}
        {!empty && side === 'matrix' && <Matrix cohortId={room.cohort?.id} />}
        {!empty && side === 'plan' && <Plan cohortId={room.cohort?.id} />}
        {side === 'benders' && <Benders />}
        {side === 'order' && <Order />}
        {side === 'rules' && <Rules />}
        {room.cohort !== undefined && side === 'files' && <Files cohort={room.cohort} />}
      </div>
    </div>
  );
}
