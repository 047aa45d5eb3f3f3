import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { familyOf } from '../bends/families';
import { toldApart } from '../frame/people';

/** What the last seven days were like, who has not bent for two weeks, and who waits for a signature. */
export function Week({ matrix }: { matrix: Schemas['MatrixView'] }) {
  const called = toldApart(matrix.rows);
  const resting = matrix.rows.filter((row) => row.resting);
  const ready = matrix.rows.flatMap((row) =>
    row.cells.filter(({ standing }) => standing === 'ready').map(({ family }) => ({ row, family })),
  );
  const most = Math.max(1, ...matrix.slips.map(({ pieces }) => pieces));
  return (
    <aside className="w-[16.5rem] shrink-0 overflow-y-auto border-base-300 bg-base-200 p-3 max-lg:w-full max-lg:border-t lg:border-l">
      <h2 className="text-xl leading-tight font-semibold">This week</h2>
      <p>
        {matrix.pieces} {matrix.pieces === 1 ? 'piece' : 'pieces'} measured.
        {matrix.slips.length > 0 && ' What went wrong:'}
      </p>
      <ul className="mt-1 grid gap-1.5">
        {matrix.slips.slice(0, 6).map((slip) => (
          <li key={slip.cause} className="leading-tight">
            <span className="flex justify-between gap-2">
              <span>{slip.title}</span>
              <span className="figures whitespace-nowrap">{slip.pieces} ×</span>
            </span>
            <span
              className="mt-0.5 block h-1.5 bg-secondary"
              style={{ width: `${String((100 * slip.pieces) / most)}%` }}
            />
            <span className="text-sm">{slip.trainees === 1 ? 'one trainee' : `${String(slip.trainees)} trainees`}</span>
          </li>
        ))}
      </ul>
      <h2 className="mt-4 text-xl leading-tight font-semibold">Ready for sign-off</h2>
      {ready.length === 0 && <p>Nobody at the moment.</p>}
      <ul>
        {ready.map(({ row, family }) => (
          <li key={row.traineeId + family}>
            <Link
              to={`/progress/${row.traineeId}?bend=${family}`}
              className="flex min-h-7 items-center justify-between gap-2 leading-tight underline-offset-4 hover:underline"
            >
              <span className="truncate">{called(row)}</span>
              <span className="text-sm whitespace-nowrap">{familyOf(family).name}</span>
            </Link>
          </li>
        ))}
      </ul>
      <h2 className="mt-4 text-xl leading-tight font-semibold">Not bent for two weeks</h2>
      <p className="leading-snug">{resting.length === 0 ? 'Nobody.' : resting.map(called).join(', ')}</p>
    </aside>
  );
}
