import { type ReactNode, useState } from 'react';
import type { Schemas } from '../api/client';
import { familyOf } from '../bends/families';
import { useDisplayUnit } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { useStockUse } from './stockQueries';
import { total } from './stockWords';
import { dayHere, daysAfter } from './weeks';

/** How far back is looked at first: a term. */
const DAYS_BACK = 90;

/** What became of the conduit: by kind of bend, by trainee, and what was cut. */
export function StockUse({ children }: { children: ReactNode }) {
  const [today] = useState(() => dayHere());
  const [first, setFirst] = useState(daysAfter(today, -DAYS_BACK));
  const [last, setLast] = useState(today);
  const use = useStockUse(first, last);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-end gap-3 border-b border-base-300 px-3 py-1.5">
        {children}
        <TextField label="From" type="date" value={first} onChange={setFirst} />
        <TextField label="Until" type="date" value={last} onChange={setLast} />
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto p-4" tabIndex={0} role="region" aria-label="Used and wasted">
        {use.error !== null && (
          <p role="alert" className="text-lg text-error">
            ✕ {use.error.message}
          </p>
        )}
        {use.data !== undefined && <Tables use={use.data} />}
      </div>
    </div>
  );
}

function Tables({ use }: { use: Schemas['StockUseView'] }) {
  if (use.families.length === 0 && use.cut.length === 0) {
    return <p className="text-xl">Nothing was bent or cut on these days.</p>;
  }
  return (
    <div className="grid gap-x-10 gap-y-6 xl:grid-cols-2">
      <Used
        caption="By kind of bend"
        rows={use.families.map((row) => ({ ...row, name: familyOf(row.name).name }))}
        currency={use.currency}
      />
      <Used caption="By trainee, who failed and wasted most first" rows={use.trainees} currency={use.currency} />
      {use.cut.length > 0 && (
        <Used
          caption="Cut from the rack; wasted in short ends and by the saw"
          rows={use.cut.map(({ conduitLabel, inPiecesIn, ...row }) => ({
            ...row,
            name: conduitLabel,
            usedIn: inPiecesIn,
          }))}
          currency={use.currency}
        />
      )}
    </div>
  );
}

/** Of what was cut nobody knows yet what will fail. */
type Row = Omit<Schemas['UsedView'], 'failedIn'> & { failedIn?: number };

function Used({ caption, rows, currency }: { caption: string; rows: Row[]; currency: string }) {
  const unit = useDisplayUnit();
  const priced = rows.some(({ cost }) => cost > 0);
  return (
    <table className="w-full self-start text-lg leading-tight">
      <caption className="pb-1 text-left text-xl font-semibold">{caption}</caption>
      <thead className="text-left text-sm">
        <tr>
          <th className="font-normal">
            <span className="sr-only">What or who</span>
          </th>
          <th className="px-3 text-right font-normal">Pieces</th>
          <th className="px-3 text-right font-normal">Used</th>
          {rows.some(({ failedIn }) => failedIn !== undefined) && (
            <th className="px-3 text-right font-normal">In failed pieces</th>
          )}
          <th className="px-3 text-right font-normal">Wasted</th>
          {priced && <th className="pl-3 text-right font-normal">Cost{currency !== '' && `, ${currency}`}</th>}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.name} className="h-9 border-t border-base-300">
            <th scope="row" className="text-left font-semibold">
              {row.name}
            </th>
            <td className="figures px-3 text-right">{row.pieces}</td>
            <td className="figures px-3 text-right whitespace-nowrap">{total(row.usedIn, unit)}</td>
            {row.failedIn !== undefined && (
              <td className="figures px-3 text-right whitespace-nowrap">{total(row.failedIn, unit)}</td>
            )}
            <td className="figures px-3 text-right whitespace-nowrap">{total(row.wastedIn, unit)}</td>
            {priced && <td className="figures pl-3 text-right">{row.cost.toFixed(2)}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
