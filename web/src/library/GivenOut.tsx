import { useState } from 'react';
import { useGivings } from '../api/library';
import { kindOf } from '../bends/kinds';
import { JobList } from '../job/JobList';
import { PrintSheets } from '../set/PrintSheets';
import { BUTTON } from './button';
import { SheetDays } from './SheetDays';
import { TakeBack } from './TakeBack';
import { IfMay } from '../frame/IfMay';

/** The server tells of so many at once. */
const PAGE = 30;

/** What was given out last, to print its sheets again. */
export function GivenOut() {
  return (
    <>
      <SheetDays />
      <JobList />
      <ul className="grid gap-2 p-4">
        <Page />
      </ul>
    </>
  );
}

/** Some of it, and on request what was given out before. */
function Page({ before }: { before?: string }) {
  const givings = useGivings(before);
  const [earlier, setEarlier] = useState(false);
  const [printing, setPrinting] = useState<string>();
  const last = givings.data?.at(-1);
  return (
    <>
      {givings.data?.map((given) => (
        <li key={given.id} className="grid gap-1 border-t border-base-300 pt-2 text-lg">
          <span className="flex flex-wrap items-baseline gap-x-4">
            <b>{given.title}</b>
            <span>{kindOf(given.kind).name}</span>
            <span>{new Date(given.givenAt).toLocaleDateString(undefined, { dateStyle: 'medium' })}</span>
            <span>
              to {given.sheets.length === 1 ? given.sheets[0]?.fullName : `${String(given.sheets.length)} trainees`}
              {given.varied && ', a variant each'}
            </span>
            {given.dueOn != null && <span>due {given.dueOn}</span>}
            {given.tries != null && <span>{given.tries === 1 ? 'one try' : `${String(given.tries)} tries`}</span>}
            <button
              type="button"
              className={`ml-auto ${BUTTON}`}
              aria-expanded={printing === given.id}
              onClick={() => {
                setPrinting(printing === given.id ? undefined : given.id);
              }}
            >
              Sheets
            </button>
            <IfMay right="TEACH">
              <TakeBack given={given} />
            </IfMay>
          </span>
          {printing === given.id && (
            <div className="max-w-md">
              <PrintSheets given={given} />
            </div>
          )}
        </li>
      ))}
      {givings.data?.length === 0 && (
        <li className="text-lg">{before === undefined ? 'Nothing was given out yet.' : 'That was all.'}</li>
      )}
      {last !== undefined &&
        givings.data?.length === PAGE &&
        (earlier ? (
          <Page before={last.id} />
        ) : (
          <li>
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                setEarlier(true);
              }}
            >
              What was given out before
            </button>
          </li>
        ))}
    </>
  );
}
