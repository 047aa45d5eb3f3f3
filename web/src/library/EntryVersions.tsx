import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useEntry } from '../api/library';
import { Dialog } from '../frame/Dialog';

/** Everything that an exercise ever was, each to be opened again, and when it was put away. */
export function EntryVersions({ entry, onClose }: { entry: Schemas['EntryView']; onClose: () => void }) {
  const detail = useEntry(entry.id);
  return (
    <Dialog title={`Versions of ${entry.title}`} onClose={onClose}>
      {detail.data === undefined ? (
        <p>{detail.error?.message ?? 'Opening…'}</p>
      ) : (
        <ol className="grid max-h-[60vh] overflow-y-auto text-left text-lg">
          {detail.data.versions.map(({ version, createdAt, savedBy, exercise }) => (
            <li key={version} className="flex items-center gap-3 border-t border-base-300 py-1">
              <span className="figures w-8 text-right">{version}</span>
              <span className="min-w-0 flex-1 leading-tight">
                {exercise.title}
                <span className="block text-sm">
                  {savedBy}, {day(createdAt)}
                </span>
              </span>
              <Link
                to={`/set?exercise=${entry.id}&version=${String(version)}`}
                aria-label={`Open version ${String(version)}`}
                className="grid min-h-11 place-items-center px-2 underline underline-offset-4"
              >
                Open
              </Link>
            </li>
          ))}
          {detail.data.retirements.map(({ away, by, at }) => (
            <li key={at} className="border-t border-base-300 py-1 text-base">
              {away ? '▽ put away' : '△ taken back'} {by != null && `by ${by}, `}
              {day(at)}
            </li>
          ))}
        </ol>
      )}
    </Dialog>
  );
}

function day(at: string): string {
  return new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
}
