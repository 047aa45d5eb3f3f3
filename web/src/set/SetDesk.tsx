import { Library, Redo2, Shapes, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { Link, useLocation, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { useEntry } from '../api/library';
import { newId } from '../api/newId';
import { useShed, useTables } from '../api/queries';
import { kindOf, KINDS } from '../bends/kinds';
import { Strip } from '../drawing/Strip';
import { Header } from '../frame/Header';
import { useDisplayUnit } from '../frame/signedIn';
import { type Draft, firstDraft, opened, toolingOf, withKind, withSituation } from './draft';
import { DeskDrawing } from './DeskDrawing';
import { fieldsOf } from './deskFields';
import { GiveDesk } from './GiveDesk';
import { isRun } from './run';
import { RunDrawing } from './RunDrawing';
import { SaveDialog } from './SaveDialog';
import { SetPanel } from './SetPanel';
import { SituationPicker } from './SituationPicker';
import { useDesk } from './useDesk';
import { IfMay } from '../frame/IfMay';
import { useMay } from '../frame/rights';

/** The setting desk: a bend with its inputs on the drawing, live as numbers change. */
export default function SetDesk() {
  const shed = useShed();
  const [search] = useSearchParams();
  const wanted = search.get('exercise') ?? undefined;
  const entry = useEntry(wanted);
  const unit = useDisplayUnit();
  // What another screen proposes to set, such as what to practise after a verdict.
  const proposed = (useLocation().state as { proposed?: Schemas['ExerciseInput'] } | null)?.proposed;
  if (shed.data === undefined || (wanted !== undefined && entry.data === undefined)) {
    return <p className="p-8">{shed.error?.message ?? entry.error?.message ?? 'Opening…'}</p>;
  }
  if (shed.data.benders.length === 0) {
    return <p className="p-8 text-xl">There is no bender in the shed yet, so nothing can be laid out.</p>;
  }
  const [latest] = entry.data?.versions ?? [];
  // An earlier version is opened to be looked at, or saved as the newest.
  const earlier = search.get('version');
  const shown = entry.data?.versions.find(({ version }) => String(version) === earlier) ?? latest;
  const rack = shed.data;
  const first = (): Draft => {
    if (latest !== undefined && shown !== undefined && wanted !== undefined) {
      const theirs = entry.data?.entry.mayChange === false ? entry.data.entry.madeBy : undefined;
      return opened(rack, shown.exercise, unit, { id: wanted, version: latest.version, theirs });
    }
    return proposed === undefined
      ? firstDraft(rack, unit)
      : opened(rack, proposed, unit, { id: newId(), version: undefined });
  };
  return <DeskScreen key={`${wanted ?? 'blank'} ${earlier ?? ''}`} shed={rack} first={first} />;
}

type Open = 'situations' | 'save' | undefined;

function DeskScreen({ shed, first }: { shed: Schemas['Shed']; first: () => Draft }) {
  const desk = useDesk(shed, first);
  const tables = useTables();
  const [search] = useSearchParams();
  const [open, setOpen] = useState<Open>();
  const [giving, setGiving] = useState(search.has('give'));
  const teaches = useMay('TEACH');
  const [asked, setAsked] = useState<string>();
  const { draft, change, plan } = desk;
  const stale = desk.isRefused;
  const situations = tables.data?.situations ?? [];
  const words = situations.find(({ id }) => id === draft.situation)?.words;
  const diameter = toolingOf(shed, draft)?.conduit.outsideDiameterIn ?? 1;
  const close = () => {
    setOpen(undefined);
  };
  return (
    <div className="flex h-full min-h-[46rem] flex-col sm:min-h-[38rem]">
      <Header
        title="Set"
        about={
          <span className="flex flex-wrap items-center gap-2">
            <button
              type="button"
              className="flex h-11 items-center gap-2 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-lg"
              onClick={() => {
                setOpen('situations');
              }}
            >
              <Shapes size={20} aria-hidden="true" /> {words ?? 'Where does it go?'}
            </button>
            <select
              aria-label="Bend"
              value={draft.kind}
              onChange={(event) => {
                change('kind', (before) => withKind(before, kindOf(event.target.value).kind, situations));
              }}
              className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
            >
              {KINDS.map(({ kind, name }) => (
                <option key={kind} value={kind}>
                  {name}
                </option>
              ))}
            </select>
          </span>
        }
      >
        <button type="button" className={TOOL} aria-label="Undo" disabled={!desk.canUndo} onClick={desk.undo}>
          <Undo2 size={20} />
        </button>
        <button type="button" className={TOOL} aria-label="Redo" disabled={!desk.canRedo} onClick={desk.redo}>
          <Redo2 size={20} />
        </button>
        <input
          value={draft.title}
          aria-label="Title"
          maxLength={120}
          onChange={(event) => {
            change('title', (before) => ({ ...before, title: event.target.value }));
          }}
          className="h-11 w-48 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg max-xl:field-sizing-content max-xl:w-auto max-xl:max-w-80 max-xl:min-w-36 max-sm:max-w-44"
        />
        <Link to="/set/library" className={TOOL} aria-label="Library">
          <Library size={20} />
        </Link>
        <IfMay right="TEACH">
          <button
            type="button"
            className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-4 text-lg"
            onClick={() => {
              setOpen('save');
            }}
          >
            Save
          </button>
          <button
            type="button"
            className="btn h-11 btn-neutral px-5 text-lg"
            aria-pressed={giving}
            onClick={() => {
              setGiving(!giving);
            }}
          >
            {giving ? 'To the drawing' : 'Give out'}
          </button>
        </IfMay>
      </Header>
      {giving && teaches ? (
        <GiveDesk shed={shed} desk={desk} preferredTrainee={search.get('trainee') ?? undefined} />
      ) : (
        <>
          <div className="flex min-h-0 flex-1 max-lg:min-h-fit max-lg:flex-col">
            <div className="relative min-h-[18rem] min-w-0 flex-1 sm:min-h-[22rem]">
              {isRun(draft) ? (
                <RunDrawing desk={desk} diameter={diameter} />
              ) : (
                <DeskDrawing desk={desk} diameter={diameter} shed={shed} />
              )}
            </div>
            <SetPanel shed={shed} desk={desk} fields={fieldsOf(desk)} asked={asked} onAsk={setAsked} />
          </div>
          <div className="h-[8.6rem] shrink-0 border-t border-base-300 bg-base-100">
            {stale ? (
              <p className="p-4 text-lg" role="status">
                No marks: it cannot be laid out as it is set.
              </p>
            ) : plan === undefined ? null : (
              <Strip plan={plan} outsideDiameter={diameter} divisionIn={draft.divisionIn} onAsk={setAsked} />
            )}
          </div>
        </>
      )}
      {open === 'situations' && (
        <SituationPicker
          situations={situations}
          chosen={draft.situation}
          onPick={(situation) => {
            change('situation', (before) => withSituation(before, situation, situations));
            close();
          }}
          onClose={close}
        />
      )}
      {open === 'save' && <SaveDialog shed={shed} desk={desk} onClose={close} />}
    </div>
  );
}

const TOOL =
  'grid size-11 place-items-center rounded-field border-2 border-base-content/60 bg-base-100 disabled:opacity-50';
