import { useAddress } from '../frame/address';
import { Choice, Header } from '../frame/Header';
import { type Right, useMay } from '../frame/rights';
import { Cohorts } from './Cohorts';
import { People } from './People';
import { Records } from './Records';
import { School } from './School';
import { You } from './You';

const SIDES = [
  { value: 'school', name: 'School', needs: 'READ', Screen: School },
  { value: 'cohorts', name: 'Cohorts', needs: 'READ', Screen: Cohorts },
  { value: 'people', name: 'People', needs: 'READ_RECORDS', Screen: People },
  { value: 'records', name: 'Records', needs: 'READ_RECORDS', Screen: Records },
  { value: 'you', name: 'Your account', needs: 'OWN_ACCOUNT', Screen: You },
] as const satisfies readonly { value: string; name: string; needs: Right; Screen: () => React.ReactNode }[];

/** What the school consists of, kept by the people who answer for it. */
export default function ShedScreen() {
  const [search, changeAddress] = useAddress();
  const readsRecords = useMay('READ_RECORDS');
  const sides = SIDES.filter(({ needs }) => needs !== 'READ_RECORDS' || readsRecords);
  const side = sides.find(({ value }) => value === search.get('side')) ?? sides[0];
  return (
    <div className="flex h-full flex-col">
      <Header
        title="Shed"
        about={
          sides.length > 1 && (
            <Choice
              label="Shown"
              options={sides}
              value={side?.value}
              onChange={(next) => {
                changeAddress({ side: next }, { replace: false });
              }}
            />
          )
        }
      />
      {side !== undefined && <side.Screen />}
    </div>
  );
}
