import { api, body } from '../api/client';
import { Beside } from '../frame/Beside';
import { useMay } from '../frame/rights';
import { BUTTON } from '../library/button';
import { type Attending, SHOWS_SEATS, useSessionSheet } from './sessionQueries';
import { useKept } from './useKept';

type State = NonNullable<Attending['state']>;

/** How each is told and shown. */
export const PRESENCE: Record<State, { sign: string; name: string }> = {
  HERE: { sign: '●', name: 'here' },
  LATE: { sign: '◐', name: 'late' },
  EXCUSED: { sign: '–', name: 'excused' },
  AWAY: { sign: '✕', name: 'away' },
};

const STATES = Object.keys(PRESENCE) as State[];

/** Who is there, bench by bench; what is pressed is noted at once. */
export function AttendanceList({
  sessionId,
  benders,
  open,
}: {
  sessionId: string;
  /** What each is called, by id. */
  benders: Readonly<Record<string, string>>;
  /** Whether its day has come. */
  open: boolean;
}) {
  const sheet = useSessionSheet(sessionId);
  const measures = useMay('MEASURE');
  const note = useKept<{ traineeIds: string[]; state: State | null }>(async ({ traineeIds, state }) => {
    for (const traineeId of traineeIds) {
      await body(
        api.PUT('/api/class-sessions/{id}/attendance/{traineeId}', {
          params: { path: { id: sessionId, traineeId } },
          body: { state },
        }),
      );
    }
  }, SHOWS_SEATS);
  if (sheet.data === undefined) {
    return <p role={sheet.error === null ? 'status' : 'alert'}>{sheet.error?.message ?? 'Opening…'}</p>;
  }
  const people = [...sheet.data.people].sort(
    (one, other) => one.bench - other.bench || one.fullName.localeCompare(other.fullName),
  );
  const unknown = people.filter(({ state }) => state == null).map(({ traineeId }) => traineeId);
  return (
    <section aria-label="Who is there">
      <Beside problem={note.error?.message} />
      <ul>
        {people.map((person) => (
          <li key={person.traineeId} className="flex items-center gap-2 border-b border-base-300 py-0.5 leading-tight">
            <span className="figures w-8 shrink-0 text-right text-xl">{person.bench}</span>
            <span className="min-w-0 flex-1">
              <span className="block truncate text-lg font-semibold">{person.fullName}</span>
              {person.benderId != null && <span className="block truncate">{benders[person.benderId]}</span>}
            </span>
            {measures && open ? (
              <select
                aria-label={`${person.fullName} is`}
                value={person.state ?? ''}
                onChange={(event) => {
                  const { value } = event.target;
                  note.mutate({ traineeIds: [person.traineeId], state: value === '' ? null : (value as State) });
                }}
                className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-1"
              >
                <option value="">?</option>
                {STATES.map((state) => (
                  <option key={state} value={state}>
                    {PRESENCE[state].sign} {PRESENCE[state].name}
                  </option>
                ))}
              </select>
            ) : (
              <span>{person.state == null ? '' : `${PRESENCE[person.state].sign} ${PRESENCE[person.state].name}`}</span>
            )}
          </li>
        ))}
      </ul>
      {measures && open && unknown.length > 0 && (
        <button
          type="button"
          className={`${BUTTON} mt-2`}
          disabled={note.isPending}
          onClick={() => {
            note.mutate({ traineeIds: unknown, state: 'HERE' });
          }}
        >
          {unknown.length === people.length ? 'All are here' : `The other ${String(unknown.length)} are here`}
        </button>
      )}
    </section>
  );
}
