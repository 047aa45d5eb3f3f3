import { X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, body } from '../api/client';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { useMay } from '../frame/rights';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { useBenderCards } from './benderQueries';
import { AttendanceList } from './AttendanceList';
import { SessionDialog } from './SessionDialog';
import { type ClassSession, SHOWS_SESSIONS, useSessionConduit, useSessionSheet } from './sessionQueries';
import { useKept } from './useKept';
import { ranges, shortDay } from './weeks';

/** A session from close by: when and where, what is in its way, what is bent, who is there. */
export function SessionPanel({
  session,
  today,
  onClose,
}: {
  session: ClassSession;
  today: string;
  onClose: () => void;
}) {
  const teaches = useMay('TEACH');
  const cards = useBenderCards();
  const [open, setOpen] = useState<'change' | 'off'>();
  const labels = Object.fromEntries((cards.data?.benders ?? []).map(({ id, label }) => [id, label]));
  const hold = useKept(
    () =>
      body(
        api.PUT('/api/class-sessions/{id}/held', {
          params: { path: { id: session.id } },
          body: { edition: session.edition, held: true },
        }),
      ),
    SHOWS_SESSIONS,
  );
  const mayChange = teaches && session.mine;
  const close = () => {
    setOpen(undefined);
  };
  return (
    <aside
      aria-label="Session"
      className="w-[22rem] shrink-0 overflow-y-auto border-l border-base-300 bg-base-200 p-3 max-lg:w-full max-lg:border-t max-lg:border-l-0"
    >
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-2xl leading-tight font-semibold">{session.cohortName}</h2>
        <button type="button" aria-label="Close" className="btn size-11 btn-ghost p-0" onClick={onClose}>
          <X />
        </button>
      </div>
      <p className="figures text-xl leading-snug">
        {shortDay(session.day)}, {session.from} to {session.until}
      </p>
      <p className="text-lg leading-snug">
        {session.roomName ?? 'No room'}
        {session.benches.length > 0 && `, benches ${ranges(session.benches)}`}
        {session.instructorName != null && `, ${session.instructorName}`}
      </p>
      <p className="leading-snug">
        {session.benders.length === 0
          ? 'No bender chosen'
          : session.benders
              .map((id) => labels[id] ?? 'a bender')
              .sort((one, other) => one.localeCompare(other, undefined, { numeric: true }))
              .join(', ')}
      </p>
      {session.note !== '' && <p className="leading-snug">{session.note}</p>}
      {session.calledOff != null ? (
        <p className="mt-1 text-lg">✕ Called off: {session.calledOff}</p>
      ) : (
        session.clashes.map((clash) => (
          <p key={clash} className="mt-1 leading-snug">
            ▲ {clash}
          </p>
        ))
      )}
      {mayChange && (
        <div className="mt-2 flex flex-wrap gap-2">
          {session.calledOff == null ? (
            <>
              <button
                type="button"
                className={BUTTON}
                onClick={() => {
                  setOpen('change');
                }}
              >
                Change…
              </button>
              {session.begunAt == null && (
                <button
                  type="button"
                  className={BUTTON}
                  onClick={() => {
                    setOpen('off');
                  }}
                >
                  Call off…
                </button>
              )}
            </>
          ) : (
            <button
              type="button"
              className={BUTTON}
              disabled={hold.isPending}
              onClick={() => {
                hold.mutate(undefined);
              }}
            >
              Hold it after all
            </button>
          )}
        </div>
      )}
      <Beside problem={hold.error?.message} />
      {session.mine && session.calledOff == null && (
        <>
          <PlanOf session={session} today={today} mayChange={mayChange} />
          <h3 className="mt-3 text-lg font-semibold">Who is there</h3>
          <AttendanceList sessionId={session.id} benders={labels} open={session.day <= today} />
        </>
      )}
      {!session.mine && <p className="mt-2">This cohort is a colleague’s.</p>}
      {open === 'change' && <SessionDialog session={session} day={session.day} onClose={close} />}
      {open === 'off' && <CallOff session={session} onClose={close} />}
    </aside>
  );
}

/** What is bent, and the button that gives it out. */
function PlanOf({ session, today, mayChange }: { session: ClassSession; today: string; mayChange: boolean }) {
  const sheet = useSessionSheet(session.id);
  const begin = useKept(
    () => body(api.PUT('/api/class-sessions/{id}/begun', { params: { path: { id: session.id } } })),
    [...SHOWS_SESSIONS, 'givings', 'kit', 'progress'],
  );
  const plan = sheet.data?.plan ?? [];
  return (
    <section aria-label="Plan" className="mt-3">
      <h3 className="text-lg font-semibold">What is bent</h3>
      {sheet.isSuccess && plan.length === 0 && (
        <p className="leading-snug">
          {session.begunAt == null ? 'Nothing planned. ' : 'It was begun without a plan. '}
          {mayChange && session.begunAt == null && (
            <Link
              to={`/progress?side=plan&cohort=${session.cohortId}&session=${session.id}`}
              className="underline underline-offset-4"
            >
              Plan it by what each needs next
            </Link>
          )}
        </p>
      )}
      <ul>
        {plan.map((part) => (
          <li key={part.entryId} className="leading-snug">
            {part.title}
            {part.varied && ', a variant each'}: {part.traineeIds.length}{' '}
            {part.traineeIds.length === 1 ? 'trainee' : 'trainees'}
          </li>
        ))}
      </ul>
      {plan.length > 0 && session.begunAt == null && <Takes sessionId={session.id} />}
      {plan.length > 0 && session.begunAt == null && mayChange && (
        <Link
          to={`/progress?side=plan&cohort=${session.cohortId}&session=${session.id}`}
          className="underline underline-offset-4"
        >
          Plan it anew
        </Link>
      )}
      {session.begunAt != null && (
        <p className="leading-snug">
          <span className="text-success">●</span> Begun.{' '}
          <Link to="/set/library?side=given" className="underline underline-offset-4">
            Print the sheets
          </Link>
        </p>
      )}
      {mayChange && session.begunAt == null && session.day === today && (
        <button
          type="button"
          className="btn mt-2 h-12 w-full text-lg btn-primary"
          disabled={begin.isPending}
          onClick={() => {
            begin.mutate(undefined);
          }}
        >
          {plan.length === 0 ? 'Begin without a plan' : 'Begin: give this out'}
        </button>
      )}
      {session.beginsByItself && session.begunAt == null && (
        <p className="mt-1 leading-snug">It begins by itself at {session.from}.</p>
      )}
      <Beside problem={begin.error?.message} />
    </section>
  );
}

/** The conduit that the plan takes from the rack. */
function Takes({ sessionId }: { sessionId: string }) {
  const conduit = useSessionConduit(sessionId);
  return (
    <ul aria-label="Conduit">
      {conduit.data?.map((taken) => (
        <li key={taken.conduitLabel} className="leading-snug">
          {!taken.isEnough && '▲ '}
          {taken.conduitLabel}:{' '}
          {[
            taken.newSticks > 0 && `${String(taken.newSticks)} ${taken.newSticks === 1 ? 'stick' : 'sticks'}`,
            taken.leftOvers > 0 && `${String(taken.leftOvers)} left over from before`,
          ]
            .filter(Boolean)
            .join(' and ')}
          {taken.onRack != null && `, ${String(taken.onRack)} on the rack`}
        </li>
      ))}
    </ul>
  );
}

function CallOff({ session, onClose }: { session: ClassSession; onClose: () => void }) {
  const [reason, setReason] = useState('');
  const [following, setFollowing] = useState(false);
  const off = useKept(
    () =>
      body(
        api.PUT('/api/class-sessions/{id}/held', {
          params: { path: { id: session.id } },
          body: { edition: session.edition, held: false, reason, following },
        }),
      ),
    SHOWS_SESSIONS,
    onClose,
  );
  const remove = useKept(
    () => body(api.DELETE('/api/class-sessions/{id}', { params: { path: { id: session.id }, query: { following } } })),
    SHOWS_SESSIONS,
    onClose,
  );
  return (
    <Dialog title={`${session.cohortName}, ${shortDay(session.day)}`} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          off.mutate(undefined);
        }}
      >
        <TextField label="Why it is called off" value={reason} onChange={setReason} maxLength={300} />
        {session.seriesId != null && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={following}
              onChange={(event) => {
                setFollowing(event.target.checked);
              }}
            />
            This one and those that follow
          </label>
        )}
        <p className="text-sm leading-snug">It stays in the calendar and says why; calendars that read it are told.</p>
        <Beside problem={off.error?.message ?? remove.error?.message} />
        <div className="flex flex-wrap gap-2">
          <button className="btn h-12 btn-neutral text-lg" disabled={off.isPending || reason.trim() === ''}>
            Call off
          </button>
          <button
            type="button"
            className={BUTTON}
            disabled={remove.isPending}
            onClick={() => {
              remove.mutate(undefined);
            }}
          >
            It was a mistake: take it out
          </button>
        </div>
      </form>
    </Dialog>
  );
}
