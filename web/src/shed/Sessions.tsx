import { useState } from 'react';
import { useAddress } from '../frame/address';
import { Choice } from '../frame/Header';
import { useNarrow } from '../frame/narrow';
import { useMay } from '../frame/rights';
import { BUTTON } from '../library/button';
import { FeedDialog } from './FeedDialog';
import { RoomsDialog } from './RoomsDialog';
import { RotaBoard } from './RotaBoard';
import { SessionDialog } from './SessionDialog';
import { SessionPanel } from './SessionPanel';
import { useSessions, useTimetableSetting } from './sessionQueries';
import { useKeptCohorts } from './queries';
import { dayHere, daysAfter, mondayOf, weeksFrom } from './weeks';
import { WeekBoard } from './WeekBoard';

const WEEKS = 5;

const VIEWS = [
  { value: 'calendar', name: 'Calendar' },
  { value: 'rota', name: 'Who sits where' },
] as const;

/** The calendar of sessions, what each consists of, and who of a cohort sits where. */
export function Sessions() {
  const [search, changeAddress] = useAddress();
  const view = search.get('view') === 'rota' ? 'rota' : 'calendar';
  const cohorts = useKeptCohorts();
  const going = cohorts.data?.filter(({ archivedAt }) => archivedAt == null) ?? [];
  if (cohorts.isSuccess && going.length === 0) {
    return (
      <p className="max-w-2xl p-4 text-xl leading-snug">
        Sessions are of a cohort, and there is none yet. Start one in <b>Cohorts</b>, then come back and choose its
        days.
      </p>
    );
  }
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
  return view === 'rota' ? <RotaBoard cohorts={going}>{choice}</RotaBoard> : <Calendar>{choice}</Calendar>;
}

function Calendar({ children }: { children: React.ReactNode }) {
  const [search, changeAddress] = useAddress();
  const setting = useTimetableSetting();
  const asked = search.get('week');
  // Which day it is there is said by the server; until it is known, the day of this device will do.
  const [here] = useState(() => dayHere());
  const start = mondayOf(asked ?? here);
  const weeks = weeksFrom(start, WEEKS);
  const sessions = useSessions(start, daysAfter(start, WEEKS * 7 - 1));
  const teaches = useMay('TEACH');
  const narrow = useNarrow();
  const [open, setOpen] = useState<{ add: string } | 'rooms' | 'feed'>();
  const list = sessions.data?.sessions ?? [];
  const chosen = list.find(({ id }) => id === search.get('session'));
  const show = (day: string) => {
    changeAddress({ week: mondayOf(day) });
  };
  const close = () => {
    setOpen(undefined);
  };
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex flex-wrap items-center gap-2 border-b border-base-300 px-3 py-1.5">
          {children}
          <button
            type="button"
            className={BUTTON}
            aria-label="Earlier"
            onClick={() => {
              show(daysAfter(start, -7 * (WEEKS - 1)));
            }}
          >
            <span aria-hidden="true">◀</span>
          </button>
          <button
            type="button"
            className={BUTTON}
            onClick={() => {
              show(sessions.data?.today ?? here);
            }}
          >
            Today
          </button>
          <button
            type="button"
            className={BUTTON}
            aria-label="Later"
            onClick={() => {
              show(daysAfter(start, 7 * (WEEKS - 1)));
            }}
          >
            <span aria-hidden="true">▶</span>
          </button>
          <span className="ml-auto flex flex-wrap gap-2">
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                setOpen('feed');
              }}
            >
              Subscribe…
            </button>
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                setOpen('rooms');
              }}
            >
              Rooms and holidays…
            </button>
            {teaches && (
              <button
                type="button"
                className="btn h-11 px-5 text-lg btn-neutral"
                onClick={() => {
                  setOpen({ add: sessions.data?.today ?? here });
                }}
              >
                Add sessions
              </button>
            )}
          </span>
        </div>
        {sessions.error !== null && (
          <p role="alert" className="p-3 text-lg text-error">
            ✕ {sessions.error.message}
          </p>
        )}
        <WeekBoard
          weeks={weeks}
          today={sessions.data?.today}
          sessions={list}
          holidays={setting.data?.holidays ?? []}
          chosen={chosen?.id}
          onChoose={(id) => {
            changeAddress({ session: id === chosen?.id ? undefined : id });
          }}
          onAdd={
            teaches
              ? (day) => {
                  setOpen({ add: day });
                }
              : undefined
          }
        />
      </div>
      {chosen === undefined ? (
        !narrow && (
          <aside className="w-[20rem] shrink-0 border-l border-base-300 bg-base-200 p-4 text-lg leading-snug max-lg:hidden">
            {list.length === 0
              ? 'No session in these weeks. Press a day, or Add sessions, to put some into the calendar.'
              : 'Choose a session to see who is there, what is bent, and to begin it.'}
            <ul className="mt-4 grid gap-1 text-base">
              <li>● begun</li>
              <li>◐ planned</li>
              <li>○ not planned yet</li>
              <li>▲ something is in its way</li>
              <li>✕ called off</li>
            </ul>
          </aside>
        )
      ) : (
        <SessionPanel
          key={`${chosen.id} ${String(chosen.edition)}`}
          session={chosen}
          today={sessions.data?.today ?? here}
          onClose={() => {
            changeAddress({ session: undefined });
          }}
        />
      )}
      {typeof open === 'object' && <SessionDialog day={open.add} onClose={close} />}
      {open === 'rooms' && <RoomsDialog onClose={close} />}
      {open === 'feed' && <FeedDialog onClose={close} />}
    </div>
  );
}
