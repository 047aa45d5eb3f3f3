import type { Schemas } from '../api/client';
import { useNarrow } from '../frame/narrow';
import type { ClassSession } from './sessionQueries';
import { dayNumber, shortDay } from './weeks';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

interface Days {
  today: string | undefined;
  sessions: readonly ClassSession[];
  holidays: readonly Schemas['HolidayView'][];
  chosen: string | undefined;
  onChoose: (id: string) => void;
  /** A day was pressed where a session could be; undefined where nobody may add one. */
  onAdd: ((day: string) => void) | undefined;
}

function closedOn(holidays: Days['holidays'], day: string): string | undefined {
  return holidays.find(({ firstDay, lastDay }) => firstDay <= day && day <= lastDay)?.name;
}

/** Weeks as rows, days as columns; each session where it is, with its time and its cohort. On a phone one day below the other. */
export function WeekBoard({ weeks, today, sessions, holidays, chosen, onChoose, onAdd }: Days & { weeks: string[][] }) {
  const narrow = useNarrow();
  if (narrow) {
    return (
      <DayList
        days={weeks.flat()}
        today={today}
        sessions={sessions}
        holidays={holidays}
        chosen={chosen}
        onChoose={onChoose}
        onAdd={onAdd}
      />
    );
  }
  return (
    <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="Calendar">
      <table className="h-full w-full min-w-[44rem] table-fixed border-collapse">
        <thead className="sticky top-0 z-10 bg-base-100">
          <tr>
            {WEEKDAYS.map((weekday, i) => (
              <th key={weekday} className={`h-8 px-2 text-left font-normal ${i > 4 ? 'w-[9%]' : ''}`}>
                {weekday}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week[0]}>
              {week.map((day) => {
                const closed = closedOn(holidays, day);
                return (
                  <td
                    key={day}
                    className={`h-28 border-t border-base-300 px-1 py-0.5 align-top ${day === today ? 'bg-base-200 shadow-[inset_0_3px_0_var(--color-base-content)]' : ''} ${today !== undefined && day < today ? 'text-base-content/80' : ''}`}
                    style={
                      closed === undefined
                        ? undefined
                        : {
                            backgroundImage:
                              'repeating-linear-gradient(135deg, transparent 0 9px, var(--color-base-300) 9px 11px)',
                          }
                    }
                  >
                    <DayHead day={day} isToday={day === today} closed={closed} onAdd={onAdd} />
                    <ul className="grid gap-0.5">
                      {sessions
                        .filter((session) => session.day === day)
                        .map((session) => (
                          <li key={session.id}>
                            <SessionBlock
                              session={session}
                              chosen={session.id === chosen}
                              onChoose={() => {
                                onChoose(session.id);
                              }}
                            />
                          </li>
                        ))}
                    </ul>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The days on which something is. */
function DayList({ days, today, sessions, holidays, chosen, onChoose, onAdd }: Days & { days: string[] }) {
  const shown = days.filter(
    (day) => day === today || closedOn(holidays, day) !== undefined || sessions.some((session) => session.day === day),
  );
  return (
    <ol aria-label="Calendar" className="px-3">
      {shown.map((day) => (
        <li key={day} className="border-b border-base-300 py-1">
          <div className="flex items-center gap-2">
            <span className="text-lg font-semibold">{shortDay(day)}</span>
            <DayHead day={day} isToday={day === today} closed={closedOn(holidays, day)} onAdd={undefined} bare />
            {onAdd !== undefined && (
              <button
                type="button"
                className="ml-auto min-h-11 px-3 underline underline-offset-4"
                aria-label={`Add a session on ${shortDay(day)}`}
                onClick={() => {
                  onAdd(day);
                }}
              >
                Add
              </button>
            )}
          </div>
          <ul className="grid gap-1">
            {sessions
              .filter((session) => session.day === day)
              .map((session) => (
                <li key={session.id}>
                  <SessionBlock
                    session={session}
                    chosen={session.id === chosen}
                    onChoose={() => {
                      onChoose(session.id);
                    }}
                  />
                </li>
              ))}
          </ul>
        </li>
      ))}
    </ol>
  );
}

function DayHead({
  day,
  isToday,
  closed,
  onAdd,
  bare = false,
}: {
  day: string;
  isToday: boolean;
  closed: string | undefined;
  onAdd: ((day: string) => void) | undefined;
  /** Without the day itself. */
  bare?: boolean;
}) {
  return (
    <div className="flex items-center gap-1 leading-none">
      {bare ? null : onAdd === undefined ? (
        <span className="figures px-1 py-1.5">{dayNumber(day)}</span>
      ) : (
        <button
          type="button"
          className="figures min-h-7 rounded-field px-1 hover:bg-base-300"
          aria-label={`Add a session on ${shortDay(day)}`}
          onClick={() => {
            onAdd(day);
          }}
        >
          {dayNumber(day)}
        </button>
      )}
      {isToday && <b>today</b>}
      {closed !== undefined && <span className="truncate bg-base-100 px-1">closed: {closed}</span>}
    </div>
  );
}

/** What stands before a session, so that nothing hangs on a colour. */
export function signOf(session: ClassSession): { sign: string; words: string } {
  if (session.calledOff != null) {
    return { sign: '✕', words: 'called off' };
  }
  if (session.clashes.length > 0) {
    return { sign: '▲', words: 'something is in its way' };
  }
  if (session.begunAt != null) {
    return { sign: '●', words: 'begun' };
  }
  return session.planned ? { sign: '◐', words: 'planned' } : { sign: '○', words: 'not planned yet' };
}

function SessionBlock({ session, chosen, onChoose }: { session: ClassSession; chosen: boolean; onChoose: () => void }) {
  const { sign, words } = signOf(session);
  return (
    <button
      type="button"
      aria-pressed={chosen}
      onClick={onChoose}
      title={words}
      className={`block min-h-11 w-full rounded-field border px-1.5 py-1 text-left leading-tight ${
        chosen
          ? 'border-base-content bg-base-content text-base-100'
          : 'border-base-content/40 bg-base-100 hover:bg-base-300'
      } ${session.mine ? '' : 'border-dashed'}`}
    >
      <span className="line-clamp-2">
        <span aria-hidden="true">{sign}</span> <span className="figures">{session.from}</span>{' '}
        <span className={`font-semibold ${session.calledOff == null ? '' : 'line-through'}`}>{session.cohortName}</span>
        <span className="sr-only">, {words}</span>
      </span>
    </button>
  );
}
