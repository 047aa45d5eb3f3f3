import { useState } from 'react';
import { Link } from 'react-router';
import { CohortForm } from '../floor/StartCohort';
import { Dialog } from '../frame/Dialog';
import { Portrait } from '../frame/Portrait';
import { useMay } from '../frame/rights';
import { SearchField } from '../frame/SearchField';
import { Select } from '../frame/Select';
import { BUTTON } from '../library/button';
import { AddTrainees } from './AddTrainees';
import { CohortDialog } from './CohortDialog';
import { day } from './days';
import { Pages } from './Pages';
import { type Enrolled, type KeptCohort, useKeptCohorts, useTrainees } from './queries';
import { TraineeDialog } from './TraineeDialog';
import { YearChange } from './YearChange';

const PAGE = 100;

/** Cohorts by year, and who is in them: added, moved, leaving, coming back; the end of a year. */
export function Cohorts() {
  const cohorts = useKeptCohorts();
  const [text, setText] = useState('');
  const [cohort, setCohort] = useState<string>();
  const [left, setLeft] = useState(false);
  const [from, setFrom] = useState(0);
  const trainees = useTrainees({ text, cohort, left, from });
  const teaches = useMay('TEACH');
  const leads = useMay('LEAD');
  const [open, setOpen] = useState<'add' | 'start' | 'year'>();
  const [changed, setChanged] = useState<string>();
  const [person, setPerson] = useState<string>();
  const going = cohorts.data?.filter(({ archivedAt }) => archivedAt == null) ?? [];
  const archived = cohorts.data?.filter(({ archivedAt }) => archivedAt != null) ?? [];
  const shown = trainees.data?.trainees.find(({ id }) => id === person);
  const kept = going.find(({ id }) => id === changed);
  const close = () => {
    setOpen(undefined);
    setPerson(undefined);
    setChanged(undefined);
  };
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <aside
        aria-label="Cohorts"
        className="w-[19rem] shrink-0 overflow-y-auto border-base-300 bg-base-200 p-3 max-lg:w-full max-lg:border-b lg:border-r"
      >
        {going.length === 0 && cohorts.isSuccess && (
          <p className="mb-2 text-lg leading-snug">There is no cohort yet. Start one with the names of its trainees.</p>
        )}
        <ul className="grid gap-2">
          {going.map((each) => (
            <CohortRow
              key={each.id}
              cohort={each}
              chosen={each.id === cohort}
              onChoose={() => {
                setCohort(each.id === cohort ? undefined : each.id);
                setFrom(0);
              }}
              onChange={
                teaches
                  ? () => {
                      setChanged(each.id);
                    }
                  : undefined
              }
            />
          ))}
        </ul>
        <div className="mt-3 flex flex-wrap gap-2">
          {teaches && (
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                setOpen('start');
              }}
            >
              Start a cohort
            </button>
          )}
          {leads && going.length > 0 && (
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                setOpen('year');
              }}
            >
              End the year…
            </button>
          )}
        </div>
        {archived.length > 0 && (
          <>
            <h2 className="mt-4 text-lg font-semibold">Earlier years</h2>
            <ul>
              {archived.map((each) => (
                <li key={each.id} className="border-t border-base-300 py-1.5 leading-tight">
                  <Link to={`/progress?cohort=${each.id}`} className="text-lg underline underline-offset-4">
                    {each.name}
                  </Link>
                  <span className="block text-sm">
                    {each.trainees} trainees, archived {each.archivedAt == null ? '' : day(each.archivedAt)}
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
      </aside>
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-end gap-3 border-b border-base-300 px-4 py-2">
          <SearchField
            label="Name or number"
            value={text}
            onChange={(typed) => {
              setText(typed);
              setFrom(0);
            }}
          />
          <div className="w-40">
            <Select
              label="Trainees"
              value={left ? 'left' : 'here'}
              onChange={(value) => {
                setLeft(value === 'left');
                setFrom(0);
              }}
              options={[
                { value: 'here', name: 'who are here' },
                { value: 'left', name: 'who have left' },
              ]}
            />
          </div>
          {teaches && going.length > 0 && (
            <button
              type="button"
              className="btn ml-auto h-11 px-5 text-lg btn-neutral"
              onClick={() => {
                setOpen('add');
              }}
            >
              Add trainees
            </button>
          )}
        </div>
        <TraineeTable
          trainees={trainees.data?.trainees ?? []}
          onOpen={teaches ? setPerson : undefined}
          problem={trainees.error?.message}
          none={trainees.data?.all === 0}
        />
        <Pages from={from} size={PAGE} all={trainees.data?.all ?? 0} onChange={setFrom} />
      </div>
      {open === 'add' && <AddTrainees cohorts={going} first={cohort ?? going[0]?.id ?? ''} onClose={close} />}
      {open === 'start' && (
        <Dialog title="Start a cohort" onClose={close}>
          <CohortForm onDone={close} />
        </Dialog>
      )}
      {open === 'year' && <YearChange cohorts={going} onClose={close} />}
      {kept !== undefined && <CohortDialog key={kept.edition} cohort={kept} onClose={close} />}
      {shown !== undefined && <TraineeDialog key={shown.edition} trainee={shown} cohorts={going} onClose={close} />}
    </div>
  );
}

function CohortRow({
  cohort,
  chosen,
  onChoose,
  onChange,
}: {
  cohort: KeptCohort;
  chosen: boolean;
  onChoose: () => void;
  onChange: (() => void) | undefined;
}) {
  return (
    <li className="flex items-center gap-2">
      <button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        className={`min-w-0 flex-1 rounded-field px-2 py-1.5 text-left leading-tight ${chosen ? 'bg-base-content text-base-100' : 'hover:bg-base-300'}`}
      >
        <span className="block text-lg font-semibold">{cohort.name}</span>
        <span className="text-sm">
          {cohort.trainees} {cohort.trainees === 1 ? 'trainee' : 'trainees'}
          {cohort.beginsOn != null && `, from ${cohort.beginsOn}`}
          {cohort.endsOn != null && `, until ${cohort.endsOn}`}
        </span>
      </button>
      {onChange !== undefined && (
        <button type="button" className={BUTTON} aria-label={`Change ${cohort.name}`} onClick={onChange}>
          Change
        </button>
      )}
    </li>
  );
}

function TraineeTable({
  trainees,
  onOpen,
  problem,
  none,
}: {
  trainees: Enrolled[];
  onOpen: ((id: string) => void) | undefined;
  problem: string | undefined;
  none: boolean;
}) {
  return (
    <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="region" aria-label="Trainees">
      {problem !== undefined && (
        <p role="alert" className="p-4 text-lg text-error">
          ✕ {problem}
        </p>
      )}
      {none && <p className="p-4 text-lg">Nobody of that name or number.</p>}
      <table className="w-full text-lg leading-tight">
        <thead className="sticky top-0 bg-base-100 text-left text-sm">
          <tr>
            <th className="py-1 pl-4 font-normal">Name</th>
            <th className="px-3 font-normal">Cohort</th>
            <th className="px-3 text-right font-normal">Bench</th>
            <th className="px-3 font-normal max-md:hidden">Number</th>
            <th className="px-3 font-normal max-md:hidden">Needs</th>
            <th className="pr-4">
              <span className="sr-only">Change</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {trainees.map((trainee) => (
            <tr key={trainee.id} className="h-15 border-t border-base-300">
              <td className="py-2 pl-4">
                <span className="flex items-center gap-3">
                  <Portrait id={trainee.id} portraitAt={trainee.portraitAt} className="size-11" />
                  <span>
                    <Link to={`/progress/${trainee.id}`} className="font-semibold hover:underline">
                      {trainee.fullName}
                    </Link>
                    {trainee.leftAt != null && <span className="block text-sm">left {day(trainee.leftAt)}</span>}
                  </span>
                </span>
              </td>
              <td className="px-3">{trainee.cohortName}</td>
              <td className="figures px-3 text-right">{trainee.bench}</td>
              <td className="px-3 max-md:hidden">{trainee.number}</td>
              <td className="px-3 max-md:hidden">
                {[
                  trainee.largerPrint && 'larger print',
                  trainee.extraTimePct > 0 && `${String(trainee.extraTimePct)} % more time`,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </td>
              <td className="pr-4 text-right">
                {onOpen !== undefined && (
                  <button
                    type="button"
                    className={BUTTON}
                    aria-label={`Change ${trainee.fullName}`}
                    onClick={() => {
                      onOpen(trainee.id);
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
    </div>
  );
}
