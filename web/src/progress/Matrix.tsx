import { toldApart } from '../frame/people';
import { Link } from 'react-router';
import { useMatrix, type MatrixFilter } from '../api/progress';
import type { Schemas } from '../api/client';
import { familyOf, TOOL_MARK } from '../bends/families';
import type { Kind } from '../bends/kinds';
import { useAddress } from '../frame/address';
import { BendGlyph } from './BendGlyph';
import { useKeptScroll } from './kept';
import { MatrixFilters } from './MatrixFilters';
import { PieceMarks, piecesInWords } from './PieceMarks';
import { sorted, type Sorting } from './sorting';
import { StandingMark } from './StandingMark';
import { STANDING_ORDER, STANDINGS } from './standings';
import { Week } from './Week';

const UUID = /^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/i;

/** Trainees by families of bends: where everybody stands, with the last pieces; and what this week was like. */
export function Matrix({ cohortId }: { cohortId: string | undefined }) {
  const [search, change] = useAddress();
  const read = (name: string) => search.get(name) ?? undefined;
  const filter: MatrixFilter = Object.fromEntries(
    (['from', 'to', 'bender', 'conduit', 'preset'] as const).flatMap((name) => {
      const value = read(name);
      // A link of an earlier build names a bender by its label, which says nothing any more.
      return value === undefined || (name === 'bender' && !UUID.test(value)) ? [] : [[name, value]];
    }),
  );
  const sorting = (read('sort') ?? 'bench') as Sorting;
  const matrix = useMatrix(cohortId, filter);
  const box = useKeptScroll(`matrix ${cohortId ?? ''}`, matrix.data !== undefined);
  if (matrix.data === undefined) {
    return (
      <p className="p-4 text-lg" role={matrix.error === null ? 'status' : 'alert'}>
        {matrix.error?.message ?? 'Opening…'}
      </p>
    );
  }
  const { families, rows, catchingUpPercent, leftOut } = matrix.data;
  const called = toldApart(rows);
  return (
    <div className="flex h-full min-h-0 max-lg:flex-col max-lg:overflow-y-auto">
      <div className="flex min-h-0 min-w-0 flex-1 flex-col max-lg:flex-none">
        <MatrixFilters filter={filter} sorting={sorting} families={families} onChange={change} />
        {leftOut > 0 && (
          <span role="status" className="text-sm">
            ▲ {leftOut === 1 ? 'One piece' : `${String(leftOut)} pieces`} of the school could not be counted up anew and
            stand as they were; the server’s log says which and why.
          </span>
        )}
        {catchingUpPercent != null && (
          <p role="status" className="px-4 pb-2">
            ◔ Older pieces are still being counted up: {catchingUpPercent} %.
          </p>
        )}
        <div ref={box} className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="Cohort matrix">
          <table className="border-separate border-spacing-0 leading-none">
            <caption className="sr-only">
              Trainees by kinds of bend and tool. Each cell says where a trainee stands and how the last pieces went.
            </caption>
            <thead>
              <tr>
                <th
                  scope="col"
                  className="sticky top-0 left-0 z-20 border-b-2 border-base-content/60 bg-base-100 px-3 pb-1 text-left align-bottom text-sm font-normal"
                >
                  Trainee
                </th>
                {families.map((id) => (
                  <FamilyHead
                    key={id}
                    id={id}
                    current={sorting === `bend:${id}`}
                    onSort={() => {
                      change({ sort: sorting === `bend:${id}` ? undefined : `bend:${id}` });
                    }}
                  />
                ))}
              </tr>
            </thead>
            <tbody>
              {sorted(rows, sorting).map((row) => (
                <MatrixRow key={row.traineeId} row={row} name={called(row)} />
              ))}
            </tbody>
          </table>
        </div>
        <Legend />
      </div>
      <Week matrix={matrix.data} />
    </div>
  );
}

function FamilyHead({ id, current, onSort }: { id: string; current: boolean; onSort: () => void }) {
  const { kind, tool } = familyOf(id);
  return (
    <th
      scope="col"
      aria-sort={current ? 'ascending' : 'none'}
      className="sticky top-0 z-10 border-b-2 border-base-content/60 bg-base-100 p-0 text-left align-bottom"
    >
      <button
        type="button"
        onClick={onSort}
        className={`flex min-h-14 w-full flex-col items-start justify-end gap-0.5 px-1 pb-1 text-left text-[0.92rem] leading-none hover:bg-base-200 ${current ? 'font-semibold underline underline-offset-4' : 'font-normal'}`}
      >
        <BendGlyph kind={kind} />
        {SHORT[kind]}
        {TOOL_MARK[tool] !== undefined && <span className="text-sm">{TOOL_MARK[tool]}</span>}
      </button>
    </th>
  );
}

/** Narrow enough for a column. */
const SHORT: Record<Kind, string> = {
  stub90: 'Stub',
  backToBack90: 'Back-to-back',
  boxOffset: 'Box offset',
  offset: 'Offset',
  kick: 'Kick',
  rollingOffset: 'Rolling',
  saddle3: 'Three-point',
  saddle4: 'Four-point',
  overBent90: 'Over-bent',
  run: 'Run',
};

function MatrixRow({ row, name }: { row: Schemas['MatrixRow']; name: string }) {
  return (
    <tr>
      <th
        scope="row"
        className="sticky left-0 z-10 max-w-[10.2rem] border-b border-base-300 bg-base-100 p-0 text-left font-normal"
      >
        <Link to={`/progress/${row.traineeId}`} className="block px-3 py-0.5 hover:bg-base-200">
          <span className="block truncate text-[1.05rem] leading-tight font-semibold">{name}</span>
          <span className={`block text-sm leading-tight ${row.resting ? 'text-error' : ''}`}>
            {row.resting && '▽ '}
            {row.lastAt == null ? 'never measured' : lastBent(row.lastAt)}
          </span>
        </Link>
      </th>
      {row.cells.map((cell) => (
        <Cell key={cell.family} row={row} cell={cell} />
      ))}
    </tr>
  );
}

/** How long ago, in days as people count them. */
function lastBent(at: string): string {
  const midnight = (moment: Date) => new Date(moment.getFullYear(), moment.getMonth(), moment.getDate()).getTime();
  const days = Math.round((midnight(new Date()) - midnight(new Date(at))) / 86_400_000);
  return days === 0 ? 'today' : days === 1 ? 'yesterday' : `${String(days)} days ago`;
}

function Cell({ row, cell }: { row: Schemas['MatrixRow']; cell: Schemas['MatrixCell'] }) {
  const nothing = cell.standing === 'notTried' && cell.recent.length === 0;
  const words = `${row.fullName}, ${familyOf(cell.family).name}: ${STANDINGS[cell.standing].name}, ${piecesInWords(cell.recent)}`;
  return (
    <td className="border-b border-base-300 p-0">
      <Link
        to={`/progress/${row.traineeId}?bend=${cell.family}`}
        aria-label={words}
        title={words}
        className="flex min-h-[2.75rem] w-[4.85rem] flex-col justify-center px-1 hover:bg-base-200"
      >
        <StandingMark standing={cell.standing} />
        {nothing ? <span className="h-[24px]" /> : <PieceMarks pieces={cell.recent} />}
      </Link>
    </td>
  );
}

function Legend() {
  return (
    <ul className="flex flex-wrap items-center gap-x-4 gap-y-0.5 border-t border-base-300 px-3 py-1 text-sm">
      {STANDING_ORDER.map((standing) => (
        <li key={standing} className="flex items-center gap-2">
          <StandingMark standing={standing} wide={44} />
          {STANDINGS[standing].name}
        </li>
      ))}
      <li className="flex items-center gap-2">
        <PieceMarks pieces={[{ points: 90, passed: true }]} most={1} />
        passed
      </li>
      <li className="flex items-center gap-2">
        <PieceMarks pieces={[{ points: 60, passed: false }]} most={1} />
        not
      </li>
    </ul>
  );
}
