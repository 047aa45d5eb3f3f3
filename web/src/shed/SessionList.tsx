import type { Schemas } from '../api/client';
import { BUTTON } from '../library/button';
import { moment } from './days';
import { deviceName } from './deviceName';

/** Where somebody is signed in; each can be ended by itself. */
export function SessionList({
  sessions,
  onEnd,
}: {
  sessions: Schemas['Place'][] | undefined;
  onEnd: (id: string) => void;
}) {
  if (sessions?.length === 0) {
    return <p>Nowhere.</p>;
  }
  return (
    <ul>
      {sessions?.map((session) => (
        <li key={session.id} className="flex items-center gap-3 border-t border-base-300 py-1.5 leading-tight">
          <span className="min-w-0 flex-1">
            <span className="block text-lg">
              {deviceName(session.device)}
              {session.thisOne && <b> (this one)</b>}
            </span>
            <span className="text-sm">
              since {moment(session.since)}, seen {moment(session.seenAt)}
              {session.address !== '' && `, from ${session.address}`}
            </span>
          </span>
          {!session.thisOne && (
            <button
              type="button"
              className={BUTTON}
              aria-label={`Sign out ${deviceName(session.device)}, since ${moment(session.since)}`}
              onClick={() => {
                onEnd(session.id);
              }}
            >
              Sign out
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
