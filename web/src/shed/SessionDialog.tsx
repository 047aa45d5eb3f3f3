import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useSettled } from '../entry/useSettled';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { Select } from '../frame/Select';
import { useSignedIn } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { useBenderCards } from './benderQueries';
import { useKeptCohorts } from './queries';
import { type ClassSession, SHOWS_SESSIONS, useTimetableSetting } from './sessionQueries';
import { useKept } from './useKept';
import { daysAfter, ranges, readRanges, shortDay } from './weeks';

type Wanted = Schemas['SessionInput'];

/** Where the fields of this form are in what is sent. */
const POINTERS = ['/session/from', '/ends', '/benches', '/session/instructorId', '/repeat/until'];

/** Sessions to put into the calendar, or one to change: when, where, with whom and with what; and what is in its way. */
export function SessionDialog({ session, day, onClose }: { session?: ClassSession; day: string; onClose: () => void }) {
  const cohorts = useKeptCohorts();
  const setting = useTimetableSetting();
  if (cohorts.data === undefined || setting.data === undefined) {
    return null;
  }
  return (
    <SessionForm
      session={session}
      day={day}
      cohorts={cohorts.data.filter(({ archivedAt }) => archivedAt == null)}
      setting={setting.data}
      onClose={onClose}
    />
  );
}

function SessionForm({
  session,
  day,
  cohorts,
  setting,
  onClose,
}: {
  session: ClassSession | undefined;
  day: string;
  cohorts: Schemas['KeptCohort'][];
  setting: Schemas['TimetableSetting'];
  onClose: () => void;
}) {
  const { accountId } = useSignedIn();
  const rooms = setting.rooms.filter(({ id, putAway }) => !putAway || id === session?.roomId);
  const [id] = useState(() => newId());
  const [cohort, setCohort] = useState(session?.cohortId ?? cohorts[0]?.id ?? '');
  const [onDay, setOnDay] = useState(day);
  const [from, setFrom] = useState(session?.from ?? '08:30');
  const [until, setUntil] = useState(session?.until ?? '11:30');
  const [room, setRoom] = useState(session === undefined ? (rooms[0]?.id ?? '') : (session.roomId ?? ''));
  const all = setting.rooms.find((each) => each.id === room)?.benches ?? 8;
  const [benches, setBenches] = useState<string | undefined>(session && ranges(session.benches));
  const [instructor, setInstructor] = useState(
    session === undefined
      ? setting.teachers.some((teacher) => teacher.id === accountId)
        ? accountId
        : ''
      : (session.instructorId ?? ''),
  );
  const [benders, setBenders] = useState(() => new Set(session?.benders ?? []));
  const [note, setNote] = useState(session?.note ?? '');
  const [byItself, setByItself] = useState(session?.beginsByItself ?? false);
  const [repeats, setRepeats] = useState(false);
  const [everyWeeks, setEveryWeeks] = useState('1');
  const [last, setLast] = useState(daysAfter(day, 7 * 9));
  const [following, setFollowing] = useState(false);
  /** Days that somebody chose otherwise than proposed. */
  const [chosen, setChosen] = useState<Record<string, boolean>>({});
  const written = benches ?? `1–${String(all)}`;
  const numbers = readRanges(written);
  const wanted: Wanted = {
    cohortId: cohort,
    day: onDay,
    from,
    until,
    roomId: room === '' ? null : room,
    instructorId: instructor === '' ? null : instructor,
    benches: numbers ?? [],
    benders: [...benders],
    note,
    beginsByItself: byItself,
  };
  const repeat = repeats && session === undefined ? { everyWeeks: Number(everyWeeks), until: last } : null;
  const check = useCheck(wanted, repeat, session?.id);
  const days = check.data ?? [];
  const taken = days.filter(({ day: each, holiday }) => chosen[each] ?? !holiday).map(({ day: each }) => each);
  const keep = useKept(
    () =>
      session === undefined
        ? body(
            api.PUT('/api/class-sessions/{id}', { params: { path: { id } }, body: { session: wanted, days: taken } }),
          )
        : body(
            api.PUT('/api/class-sessions/{id}/arrangement', {
              params: { path: { id: session.id } },
              body: { edition: session.edition, session: wanted, following },
            }),
          ),
    SHOWS_SESSIONS,
    onClose,
  );
  const problem = keep.error ?? check.error;
  return (
    <Dialog title={session === undefined ? 'Add sessions' : `Change ${session.cohortName}`} wide onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(undefined);
        }}
      >
        <div className="grid grid-cols-2 items-end gap-3 md:grid-cols-4">
          {session === undefined && (
            <Select
              label="Cohort"
              value={cohort}
              onChange={setCohort}
              options={cohorts.map((each) => ({ value: each.id, name: each.name }))}
            />
          )}
          <TextField label="Day" type="date" required value={onDay} onChange={setOnDay} />
          <TextField
            label="From"
            type="time"
            required
            value={from}
            onChange={setFrom}
            problem={problemAt(problem, '/session/from')}
          />
          <TextField
            label="Until"
            type="time"
            required
            value={until}
            onChange={setUntil}
            problem={problemAt(problem, '/ends')}
          />
        </div>
        {session === undefined && (
          <div className="flex flex-wrap items-end gap-3">
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={repeats}
                onChange={(event) => {
                  setRepeats(event.target.checked);
                }}
              />
              Repeat
            </label>
            {repeats && (
              <>
                <Select
                  label="How often"
                  value={everyWeeks}
                  onChange={setEveryWeeks}
                  options={['1', '2', '3', '4'].map((weeks) => ({
                    value: weeks,
                    name: weeks === '1' ? 'every week' : `every ${weeks} weeks`,
                  }))}
                />
                <TextField
                  label="Last day"
                  type="date"
                  required
                  value={last}
                  onChange={setLast}
                  problem={problemAt(problem, '/repeat/until')}
                />
              </>
            )}
          </div>
        )}
        <div className="grid grid-cols-2 items-end gap-3 md:grid-cols-3">
          <Select
            label="Room"
            value={room}
            onChange={setRoom}
            options={[{ value: '', name: 'none' }, ...rooms.map((each) => ({ value: each.id, name: each.name }))]}
          />
          <TextField
            label="Benches"
            value={written}
            onChange={setBenches}
            problem={numbers === undefined ? 'write numbers as in 1–4, 6' : problemAt(problem, '/benches')}
          />
          <Select
            label="Held by"
            value={instructor}
            onChange={setInstructor}
            options={[
              { value: '', name: 'nobody in particular' },
              ...setting.teachers.map((each) => ({ value: each.id, name: each.fullName })),
            ]}
          />
        </div>
        <BenderChoice chosen={benders} onChange={setBenders} />
        <div className="grid items-end gap-x-6 gap-y-2 md:grid-cols-2">
          <TextField label="Note" value={note} onChange={setNote} maxLength={300} />
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={byItself}
              onChange={(event) => {
                setByItself(event.target.checked);
              }}
            />
            Give the plan out by itself when the time has come
          </label>
        </div>
        {session?.seriesId != null && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={following}
              onChange={(event) => {
                setFollowing(event.target.checked);
              }}
            />
            Change those that follow as well
          </label>
        )}
        <Days
          days={days}
          taken={new Set(taken)}
          onTake={
            session === undefined && days.length > 1
              ? (each, take) => {
                  setChosen((now) => ({ ...now, [each]: take }));
                }
              : undefined
          }
        />
        <Beside problem={problemBeside(problem, POINTERS)} />
        <button
          className="btn h-12 btn-neutral text-lg"
          disabled={keep.isPending || numbers === undefined || (session === undefined && taken.length === 0)}
        >
          {session !== undefined ? 'Keep' : taken.length === 1 ? 'Add it' : `Add these ${String(taken.length)}`}
        </button>
      </form>
    </Dialog>
  );
}

/** On which days it would be, and what is in its way there; asked for once nobody types. */
function useCheck(wanted: Wanted, repeat: { everyWeeks: number; until: string } | null, not: string | undefined) {
  const asked = JSON.stringify({ session: wanted, repeat, not: not ?? null });
  const settled = useSettled(asked);
  return useQuery<Schemas['ProposedDay'][], Problem>({
    queryKey: ['sessions', 'check', asked],
    queryFn: () =>
      body(api.POST('/api/class-sessions/check', { body: JSON.parse(asked) as Schemas['SessionsToCheck'] })),
    enabled: settled && wanted.day !== '' && wanted.cohortId !== '',
    retry: false,
    placeholderData: (before) => before,
  });
}

function Days({
  days,
  taken,
  onTake,
}: {
  days: Schemas['ProposedDay'][];
  taken: ReadonlySet<string>;
  onTake: ((day: string, take: boolean) => void) | undefined;
}) {
  const clean = days.every(({ clashes }) => clashes.length === 0);
  return (
    <section aria-label="Days" className="max-h-56 overflow-y-auto" tabIndex={0}>
      {clean && days.length > 0 && (
        <p className="leading-snug">
          <span className="text-success">●</span> Nothing is in the way
          {days.length > 1 ? ` on any of ${String(days.length)} days` : ''}.
        </p>
      )}
      <ul>
        {days
          .filter(({ clashes }) => onTake !== undefined || clashes.length > 0)
          .map(({ day, clashes }) => (
            <li key={day} className="flex items-start gap-2 border-b border-base-300 py-0.5 leading-snug">
              {onTake === undefined ? (
                <span className="w-28 shrink-0">{shortDay(day)}</span>
              ) : (
                <label className="flex min-h-9 w-36 shrink-0 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5"
                    checked={taken.has(day)}
                    onChange={(event) => {
                      onTake(day, event.target.checked);
                    }}
                  />
                  {shortDay(day)}
                </label>
              )}
              <span className="py-1.5">
                {clashes.map((clash) => (
                  <span key={clash} className="block">
                    ▲ {clash}
                  </span>
                ))}
              </span>
            </li>
          ))}
      </ul>
    </section>
  );
}

/** Which benders are in the room. */
function BenderChoice({ chosen, onChange }: { chosen: ReadonlySet<string>; onChange: (chosen: Set<string>) => void }) {
  const cards = useBenderCards();
  const benders = (cards.data?.benders ?? []).filter(({ id, state }) => state !== 'OUT' || chosen.has(id));
  return (
    <fieldset>
      <legend className="mb-1">Benders in the room</legend>
      <div className="flex max-h-40 flex-wrap gap-x-5 overflow-y-auto">
        {benders.map(({ id, label, conduitLabel }) => (
          <label key={id} className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={chosen.has(id)}
              onChange={(event) => {
                const next = new Set(chosen);
                if (event.target.checked) {
                  next.add(id);
                } else {
                  next.delete(id);
                }
                onChange(next);
              }}
            />
            {label}, {conduitLabel}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
