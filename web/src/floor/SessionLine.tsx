import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { Dialog } from '../frame/Dialog';
import { useMay } from '../frame/rights';
import { BUTTON } from '../library/button';
import { AttendanceList } from '../shed/AttendanceList';
import { useBenderCards } from '../shed/benderQueries';
import { useKept } from '../shed/useKept';

/** The session that the floor follows: when and where, who is there, and what is given out as it begins. */
export function SessionLine({ session }: { session: Schemas['FloorSession'] }) {
  const teaches = useMay('TEACH');
  const [attending, setAttending] = useState(false);
  const begin = useKept(
    () => body(api.PUT('/api/class-sessions/{id}/begun', { params: { path: { id: session.id } } })),
    ['floor', 'sessions', 'sessionSheet', 'givings', 'kit', 'progress'],
  );
  return (
    <section
      aria-label="Session"
      className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 bg-base-200 px-4 py-0.5 text-lg leading-tight"
    >
      <span>
        <span className="figures font-semibold">
          {session.from} to {session.until}
        </span>
        {session.roomName != null && `, ${session.roomName}`}
        {session.instructorName != null && `, ${session.instructorName}`}
      </span>
      <button
        type="button"
        className={BUTTON}
        onClick={() => {
          setAttending(true);
        }}
      >
        Who is there
      </button>
      {teaches && session.begunAt == null && session.planned > 0 && (
        <button
          type="button"
          className="btn h-11 px-5 text-lg btn-primary"
          disabled={begin.isPending}
          onClick={() => {
            begin.mutate(undefined);
          }}
        >
          Begin: give out {session.planned} {session.planned === 1 ? 'exercise' : 'exercises'}
        </button>
      )}
      {begin.error !== null && (
        <span role="alert" className="text-error">
          ✕ {begin.error.message}
        </span>
      )}
      {attending && (
        <Dialog
          title="Who is there"
          onClose={() => {
            setAttending(false);
          }}
        >
          <Attendance sessionId={session.id} />
        </Dialog>
      )}
    </section>
  );
}

function Attendance({ sessionId }: { sessionId: string }) {
  const cards = useBenderCards();
  const labels = Object.fromEntries((cards.data?.benders ?? []).map(({ id, label }) => [id, label]));
  return <AttendanceList sessionId={sessionId} benders={labels} open />;
}
