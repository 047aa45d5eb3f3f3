import { useState } from 'react';
import { useAddress } from '../frame/address';
import { Choice } from '../frame/Header';
import { useMay } from '../frame/rights';
import { SearchField } from '../frame/SearchField';
import { Select } from '../frame/Select';
import { BUTTON } from '../library/button';
import { day } from './days';
import { InviteDialog } from './InviteDialog';
import { LeadsConfirm } from './LeadsConfirm';
import { PersonDialog } from './PersonDialog';
import { useCohortStaff, usePeople, type Person } from './queries';
import { type Role, ROLES } from './roles';
import { Pages } from './Pages';
import { Studies } from './Studies';

const PAGE = 100;

const EVERYBODY = { value: '', name: 'Everybody' };

const VIEWS = [
  { value: 'accounts', name: 'Accounts' },
  { value: 'readers', name: 'Measuring the measurers' },
] as const;

/** Who is at the school, and how they read. Who may sign in is seen by those who read records alone. */
export function People() {
  const [search, changeAddress] = useAddress();
  const readsRecords = useMay('READ_RECORDS');
  if (!readsRecords) {
    return <Studies />;
  }
  const view = search.get('view') === 'readers' ? 'readers' : 'accounts';
  const choice = (
    <Choice
      label="View"
      options={VIEWS}
      value={view}
      onChange={(value) => {
        changeAddress({ view: value }, { replace: false });
      }}
    />
  );
  return view === 'readers' ? <Studies>{choice}</Studies> : <Accounts>{choice}</Accounts>;
}

/** Who may sign in at the school, what they are, and which cohorts are theirs. */
function Accounts({ children }: { children: React.ReactNode }) {
  const [text, setText] = useState('');
  const [role, setRole] = useState<Role>();
  const [from, setFrom] = useState(0);
  const people = usePeople(text, role, from);
  const staff = useCohortStaff();
  const leads = useMay('LEAD');
  const [inviting, setInviting] = useState(false);
  const [open, setOpen] = useState<string>();
  const shown = people.data?.people ?? [];
  const chosen = shown.find(({ id }) => id === open);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-end gap-3 border-b border-base-300 px-3 py-1.5">
        {children}
        <SearchField
          label="Find a name"
          value={text}
          onChange={(typed) => {
            setText(typed);
            setFrom(0);
          }}
        />
        <div className="w-44">
          <Select
            label="Who"
            value={role ?? ''}
            onChange={(next) => {
              setRole(next === '' ? undefined : (next as Role));
              setFrom(0);
            }}
            options={[EVERYBODY, ...Object.entries(ROLES).map(([value, { name }]) => ({ value, name }))]}
          />
        </div>
        {leads && (
          <button
            type="button"
            className="btn ml-auto h-11 px-5 text-lg btn-neutral"
            onClick={() => {
              setInviting(true);
            }}
          >
            Invite somebody
          </button>
        )}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="region" aria-label="People">
        {people.error !== null && (
          <p role="alert" className="p-4 text-lg text-error">
            ✕ {people.error.message}
          </p>
        )}
        <table className="w-full text-lg leading-tight">
          <thead className="sticky top-0 bg-base-100 text-left text-sm">
            <tr>
              <th className="py-1 pl-4 font-normal">Name</th>
              <th className="px-3 font-normal">Is</th>
              <th className="px-3 font-normal max-md:hidden">Teaches or helps with</th>
              <th className="px-3 font-normal">Account</th>
              <th className="pr-4">
                <span className="sr-only">Change</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((person) => (
              <tr key={person.id} className="border-t border-base-300">
                <td className="py-2 pl-4">
                  <span className="block text-xl font-semibold">{person.fullName}</span>
                  <span className="text-base">{person.signInName}</span>
                </td>
                <td className="px-3">
                  {ROLES[person.role].name}
                  {person.heldBack && <span className="block text-base">▲ needs a second factor first</span>}
                </td>
                <td className="px-3 max-md:hidden">
                  {(person.role === 'LEAD' || person.role === 'AUDITOR') && 'every cohort'}
                  {staff.data
                    ?.filter(
                      (cohort) =>
                        person.role !== 'LEAD' && person.role !== 'AUDITOR' && cohort.staff.includes(person.id),
                    )
                    .map(({ name }) => name)
                    .join(', ')}
                </td>
                <td className="px-3">
                  <AccountState person={person} />
                  {person.secondFactor && <span className="block text-base">with a second factor</span>}
                </td>
                <td className="pr-4 text-right">
                  {leads && (
                    <button
                      type="button"
                      className={BUTTON}
                      aria-label={`Change ${person.fullName}`}
                      onClick={() => {
                        setOpen(person.id);
                      }}
                    >
                      Change
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {people.data?.all === 0 && <p className="p-4 text-lg">Nobody of that name has an account.</p>}
        {people.data?.all === 1 && text === '' && role === undefined && (
          <p className="max-w-2xl p-4 text-lg leading-snug">
            You are the only one here. Invite the people who teach with you: each gets a code, and chooses their own
            password with it.
          </p>
        )}
        <Pages from={from} size={PAGE} all={people.data?.all ?? 0} onChange={setFrom} />
        {leads && <LeadsConfirm />}
      </div>
      {inviting && (
        <InviteDialog
          onClose={() => {
            setInviting(false);
          }}
        />
      )}
      {chosen !== undefined && (
        <PersonDialog
          key={`${chosen.id} ${String(chosen.edition)}`}
          person={chosen}
          onClose={() => {
            setOpen(undefined);
          }}
        />
      )}
    </div>
  );
}

function AccountState({ person }: { person: Person }) {
  switch (person.state) {
    case 'DISABLED':
      return <>✕ not let in</>;
    case 'INVITED':
      if (person.invitedUntil == null) {
        return <>○ needs a code</>;
      }
      return new Date(person.invitedUntil) < new Date() ? (
        <>○ code has run out</>
      ) : (
        <>○ invited, until {day(person.invitedUntil)}</>
      );
    case 'ACTIVE':
      return person.seenAt == null ? <>● may sign in</> : <>● signed in, seen {day(person.seenAt)}</>;
  }
}
