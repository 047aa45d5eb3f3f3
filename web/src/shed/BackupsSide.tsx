import { api, body, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { BUTTON } from '../library/button';
import { BackupPlanForm } from './BackupPlanForm';
import { useBackups } from './backupQueries';
import { ago, bytesInWords, madeWords, rehearsedWords } from './backupWords';
import { moment } from './days';
import { useKept } from './useKept';

type BackupsView = Schemas['BackupsView'];

const SHOWS = ['backups'];

/** What protects the school's record from a broken machine, and whether it would. */
export function BackupsSide() {
  const backups = useBackups();
  if (backups.data === undefined) {
    return (
      <p className="p-4 text-lg" role={backups.error === null ? 'status' : 'alert'}>
        {backups.error?.message ?? 'Opening…'}
      </p>
    );
  }
  const { plan, whyNot, changeable } = backups.data;
  return (
    <div
      className="min-h-0 flex-1 overflow-y-auto p-4 text-lg leading-snug"
      tabIndex={0}
      role="region"
      aria-label="Backups"
    >
      {plan === null || plan === undefined ? (
        <p>{whyNot}.</p>
      ) : (
        <div className="flex flex-wrap items-start gap-x-12 gap-y-6">
          <div className="grid max-w-[36rem] min-w-0 flex-1 basis-96 gap-5">
            <Standing backups={backups.data} />
            <Last backups={backups.data} />
          </div>
          <div className="max-w-[34rem] min-w-0 flex-1 basis-80">
            {changeable ? <BackupPlanForm plan={plan} /> : <p>{whyNot}.</p>}
          </div>
        </div>
      )}
    </div>
  );
}

/** Whether the record could be had again, in the largest letters. */
function Standing({ backups }: { backups: BackupsView }) {
  const { lastGood, warning, doing, next, rehearsed, files, bytes, folder, changeable, archive } = backups;
  const make = useKept(() => body(api.POST('/api/backups')), SHOWS);
  const rehearse = useKept(() => body(api.POST('/api/backups/rehearsal')), SHOWS);
  const busy = doing !== 'NOTHING' || make.isPending || rehearse.isPending;
  return (
    <section aria-label="How it stands" className="grid gap-3">
      <h2 className="text-[1.7rem] leading-tight font-semibold">
        {lastGood === null || lastGood === undefined ? 'No backup yet' : <>The last good backup: {ago(lastGood.at)}</>}
      </h2>
      {warning !== null && warning !== undefined && (
        <p className="rounded-field bg-warning px-3 py-2 font-semibold text-warning-content">▲ {warning}.</p>
      )}
      {lastGood !== null && lastGood !== undefined && <p>{madeWords(lastGood)}</p>}
      <p>{next === null || next === undefined ? 'None is made by itself.' : `The next by itself: ${moment(next)}.`}</p>
      <p aria-label="Tried">
        {rehearsed === null || rehearsed === undefined
          ? '○ None was tried yet: only one that was restored once is sure to be one. It is done by itself each week.'
          : rehearsedWords(rehearsed)}
      </p>
      {changeable && (
        <div className="flex flex-wrap gap-3">
          <button
            type="button"
            className="btn h-12 btn-neutral text-lg"
            disabled={busy}
            onClick={() => {
              make.mutate(undefined);
            }}
          >
            Make one now
          </button>
          <button
            type="button"
            className={`${BUTTON} h-12`}
            disabled={busy || lastGood === null || lastGood === undefined}
            onClick={() => {
              rehearse.mutate(undefined);
            }}
          >
            Try the last one
          </button>
        </div>
      )}
      <p role="status">
        {doing === 'BACKUP' && 'A backup is being made…'}
        {doing === 'REHEARSAL' && 'The last one is being restored on a database of its own, and looked at…'}
      </p>
      <Beside problem={make.error?.message ?? rehearse.error?.message} />
      {archive !== null && archive !== undefined && (
        <p className="break-words" aria-label="Archive">
          {archive.failing ? '▲' : '●'} Every change goes to {archive.folder} within a minute, too
          {archive.last === null || archive.last === undefined
            ? '; nothing has arrived there yet.'
            : `; the last change arrived ${ago(archive.last)}.`}
          {archive.failing && ' The last that was to go there did not arrive.'}
        </p>
      )}
      <p className="text-base break-words">
        {files === 0 ? 'They are kept' : `${String(files)} kept, ${bytesInWords(bytes)},`} in {folder} on the machine
        that runs Lobrik. How to have one again: <span className="figures">./lobrik restore FILE</span>.
      </p>
    </section>
  );
}

function Last({ backups: { made } }: { backups: BackupsView }) {
  if (made.length === 0) {
    return null;
  }
  return (
    <section aria-label="The last few">
      <h2 className="text-2xl leading-tight font-semibold">The last few</h2>
      <ul className="mt-1">
        {made.map((one) => (
          <li key={one.at} className="border-t border-base-300 py-1.5">
            <span className="figures">{moment(one.at)}</span> <span>{madeWords(one)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
