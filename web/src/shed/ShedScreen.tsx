import { useAddress } from '../frame/address';
import { Choice, Header } from '../frame/Header';
import { useNarrowerThan } from '../frame/narrow';
import { type Right, useMay } from '../frame/rights';
import { BackupsSide } from './BackupsSide';
import { Benders } from './Benders';
import { Cohorts } from './Cohorts';
import { People } from './People';
import { Records } from './Records';
import { School } from './School';
import { ServerSide } from './ServerSide';
import { Sessions } from './Sessions';
import { Stock } from './Stock';
import { You } from './You';

const SIDES = [
  { value: 'school', name: 'School', needs: 'READ', Screen: School },
  { value: 'cohorts', name: 'Cohorts', needs: 'READ', Screen: Cohorts },
  { value: 'sessions', name: 'Sessions', needs: 'READ', Screen: Sessions },
  { value: 'benders', name: 'Benders', needs: 'READ', Screen: Benders },
  { value: 'stock', name: 'Stock', needs: 'READ', Screen: Stock },
  { value: 'people', name: 'People', needs: 'READ', Screen: People },
  { value: 'records', name: 'Records', needs: 'READ_RECORDS', Screen: Records },
  { value: 'server', name: 'Server', needs: 'LEAD', Screen: ServerSide },
  { value: 'backups', name: 'Backups', needs: 'LEAD', Screen: BackupsSide },
  { value: 'you', name: 'Your account', needs: 'OWN_ACCOUNT', Screen: You },
] as const satisfies readonly { value: string; name: string; needs: Right; Screen: () => React.ReactNode }[];

/** So much a name takes in the row of sides, and so much the rest: a narrower screen, or one that is zoomed, has a list in its place. */
const SIDE_PX = 98;
const RAIL_AND_TITLE_PX = 200;

/** What the school consists of, kept by the people who answer for it. */
export default function ShedScreen() {
  const [search, changeAddress] = useAddress();
  const may: Partial<Record<Right, boolean>> = { READ_RECORDS: useMay('READ_RECORDS'), LEAD: useMay('LEAD') };
  const sides = SIDES.filter(({ needs }) => may[needs] !== false);
  const side = sides.find(({ value }) => value === search.get('side')) ?? sides[0];
  const narrow = useNarrowerThan(RAIL_AND_TITLE_PX + sides.length * SIDE_PX);
  const show = (next: string) => {
    changeAddress({ side: next }, { replace: false });
  };
  return (
    <div className="flex h-full flex-col">
      <Header
        title="Shed"
        about={
          sides.length > 1 &&
          (narrow ? (
            <select
              aria-label="Shown"
              value={side?.value}
              onChange={(event) => {
                show(event.target.value);
              }}
              className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
            >
              {sides.map(({ value, name }) => (
                <option key={value} value={value}>
                  {name}
                </option>
              ))}
            </select>
          ) : (
            <Choice label="Shown" options={sides} value={side?.value} onChange={show} />
          ))
        }
      />
      {side !== undefined && <side.Screen />}
    </div>
  );
}
