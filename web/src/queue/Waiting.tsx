import { CloudOff, Send } from 'lucide-react';
import { useState } from 'react';
import { Dialog } from '../frame/Dialog';
import { useSignedIn } from '../frame/signedIn';
import { describe, type Entry, waitsForHelp } from './entries';
import { loadAnew, useNewVersion } from './offline';
import { useOutbox, useOutboxState } from './outboxContext';

/** What waits on this device, always in sight: nobody has to trust it blindly. */
export function Waiting() {
  const { entries, offline, signInNeeded, loadNeeded } = useOutboxState();
  const takeNewVersion = useNewVersion();
  const [open, setOpen] = useState(false);
  const refused = entries.filter((entry) => entry.refused !== undefined).length;
  const helpless = entries.filter(waitsForHelp).length;
  if (entries.length === 0 && !offline) {
    return (
      <p role="status" className="sr-only" data-testid="waiting">
        Everything is saved
      </p>
    );
  }
  return (
    <>
      <button
        type="button"
        data-testid="waiting"
        data-count={entries.length}
        aria-label={`${String(entries.length)} ${entries.length === 1 ? 'entry waits' : 'entries wait'} on this device`}
        className={`flex min-h-14 flex-col items-center justify-center gap-0.5 px-1 text-center text-[0.82rem] leading-tight max-sm:w-14 ${
          loadNeeded || refused + helpless > 0 ? 'bg-error text-error-content' : 'bg-warning text-warning-content'
        }`}
        onClick={() => {
          setOpen(true);
        }}
      >
        {offline ? <CloudOff size={20} aria-hidden="true" /> : <Send size={20} aria-hidden="true" />}
        <span>
          <span className="figures">{entries.length}</span>{' '}
          {refused > 0
            ? 'ask you'
            : helpless > 0
              ? entries.length === 1
                ? 'needs help'
                : 'need help'
              : loadNeeded
                ? 'load anew'
                : offline
                  ? 'no signal'
                  : 'to send'}
        </span>
      </button>
      <p role="status" className="sr-only">
        {offline ? 'No signal; what you enter is kept here and sent later' : ''}
        {helpless > 0 ? 'The server could not take something; it is kept here and waits for help' : ''}
      </p>
      {open && (
        <Dialog
          title="Kept on this device"
          onClose={() => {
            setOpen(false);
          }}
        >
          <p className="leading-snug">
            {loadNeeded
              ? 'These screens are of an earlier Lobrik than the server understands. All of this is safe here, and goes out once they are loaded anew.'
              : signInNeeded
                ? 'Sign in again to send it.'
                : offline
                  ? 'There is no signal. It is safe here, also after a reload, and goes out by itself.'
                  : refused + helpless > 0
                    ? 'What is marked waits here, and what follows of the same piece behind it; all else is on its way.'
                    : 'On its way to the server, in this order.'}
          </p>
          {loadNeeded && (
            <button
              type="button"
              className="btn mt-2 h-12 px-5 text-lg btn-neutral"
              onClick={() => {
                (takeNewVersion ?? loadAnew)();
              }}
            >
              Load anew
            </button>
          )}
          <ol className="mt-2 grid max-h-[60vh] gap-1 overflow-y-auto">
            {entries.map((entry) => (
              <WaitingEntry key={entry.seq} entry={entry} />
            ))}
          </ol>
        </Dialog>
      )}
    </>
  );
}

function WaitingEntry({ entry }: { entry: Entry }) {
  const outbox = useOutbox();
  const me = useSignedIn();
  return (
    <li className="rounded-field border border-base-300 p-2 leading-tight">
      <b>{entry.about}</b>: {describe(entry)}
      <span className="block text-sm">
        {new Date(entry.at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}
        {entry.accountId !== me.accountId && `, waits for ${entry.accountName} to sign in`}
      </span>
      {entry.failed !== undefined && !waitsForHelp(entry) && (
        <p className="text-error">
          ✕ The server could not take it: “{entry.failed.message}”. It is tried again by itself; nothing else waits for
          it.
        </p>
      )}
      {waitsForHelp(entry) && (
        <>
          <p className="text-error">
            ✕ Waits for help: the server could not take it {entry.failed?.times} times, and said “
            {entry.failed?.message}”. It is safe here and keeps its place; other pieces pass it. Tell whoever looks
            after the server; it is tried every ten minutes.
          </p>
          <span className="mt-1 flex">
            <SendAgain entry={entry}>Try it now</SendAgain>
          </span>
        </>
      )}
      {entry.refused !== undefined && (
        <>
          <p role="alert" className="text-error">
            ✕ {entry.refused.message}
          </p>
          <span className="mt-1 flex gap-2">
            <SendAgain entry={entry}>Send it again</SendAgain>
            <button
              type="button"
              className="btn h-11 min-h-0 border-2 border-base-content/60 text-base"
              onClick={() => void outbox.giveUp(entry)}
            >
              Give it up
            </button>
          </span>
        </>
      )}
    </li>
  );
}

function SendAgain({ entry, children }: { entry: Entry; children: string }) {
  const outbox = useOutbox();
  return (
    <button
      type="button"
      className="btn h-11 min-h-0 btn-neutral text-base"
      onClick={() => void outbox.sendAgain(entry)}
    >
      {children}
    </button>
  );
}
