import { Link } from 'react-router';
import { useAddress } from '../frame/address';
import { Choice, Header } from '../frame/Header';
import { GivenOut } from './GivenOut';
import { Shelf } from './Shelf';
import { Tolerances } from './Tolerances';

const SIDES = [
  { value: 'exercises', name: 'Exercises' },
  { value: 'given', name: 'Given out' },
  { value: 'tolerances', name: 'Tolerances' },
] as const;

/** The library of exercises, and what was given out of it. */
export default function LibraryScreen() {
  const [search, changeAddress] = useAddress();
  const side = SIDES.find(({ value }) => value === search.get('side'))?.value ?? 'exercises';
  return (
    <div className="flex min-h-full flex-col">
      <Header
        title="Library"
        about={
          <Choice
            label="Shown"
            options={SIDES}
            value={side}
            onChange={(next) => {
              changeAddress({ side: next === 'exercises' ? undefined : next }, { replace: false });
            }}
          />
        }
      >
        <Link to="/set" className="btn h-11 px-5 text-lg btn-neutral">
          Set a new one
        </Link>
      </Header>
      {side === 'exercises' && <Shelf />}
      {side === 'given' && <GivenOut />}
      {side === 'tolerances' && <Tolerances />}
    </div>
  );
}
