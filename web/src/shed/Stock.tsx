import { useState } from 'react';
import { Figure } from '../entry/Figure';
import { useAddress } from '../frame/address';
import { Choice } from '../frame/Header';
import { useMay } from '../frame/rights';
import { BUTTON } from '../library/button';
import { moment } from './days';
import { Pages } from './Pages';
import { StockKeeping } from './StockKeeping';
import { StockNote } from './StockNote';
import { StockUse } from './StockUse';
import { StockRack } from './StockRack';
import { type StockedConduit, useStock, useStockEntries } from './stockQueries';
import { MOVEMENTS } from './stockWords';

const PAGE = 50;

const VIEWS = [
  { value: 'rack', name: 'The rack' },
  { value: 'use', name: 'Used and wasted' },
] as const;

/** The conduit on the rack, what came and went, and what became of it. */
export function Stock() {
  const [search, changeAddress] = useAddress();
  const view = search.get('view') === 'use' ? 'use' : 'rack';
  const choice = (
    <Choice
      label="View"
      options={VIEWS}
      value={view}
      onChange={(value) => {
        changeAddress({ view: value }, { replace: false });
      }}
    />
  );
  return view === 'use' ? <StockUse>{choice}</StockUse> : <Rack>{choice}</Rack>;
}

function Rack({ children }: { children: React.ReactNode }) {
  const stock = useStock();
  const [search, changeAddress] = useAddress();
  if (stock.data === undefined) {
    return (
      <p className="p-4 text-lg" role={stock.error === null ? 'status' : 'alert'}>
        {stock.error?.message ?? 'Opening…'}
      </p>
    );
  }
  const { conduits, currency } = stock.data;
  const shown =
    conduits.find(({ id }) => id === search.get('conduit')) ?? conduits.find(({ isKept }) => isKept) ?? conduits[0];
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <aside
        aria-label="Conduit"
        className="w-[18rem] shrink-0 overflow-y-auto border-base-300 bg-base-200 p-3 max-lg:w-full max-lg:border-b lg:border-r"
      >
        <div className="mb-2 flex">{children}</div>
        <ul>
          {conduits.map((conduit) => (
            <li key={conduit.id}>
              <button
                type="button"
                aria-current={conduit.id === shown?.id ? 'true' : undefined}
                onClick={() => {
                  changeAddress({ conduit: conduit.id });
                }}
                className={`grid w-full border-b border-base-300 px-2 py-1.5 text-left leading-tight ${conduit.id === shown?.id ? 'bg-base-100 shadow-[inset_4px_0_0_var(--color-base-content)]' : 'hover:bg-base-300'}`}
              >
                <span className="text-lg font-semibold">{conduit.label}</span>
                <span className="text-sm">{inShort(conduit)}</span>
              </button>
            </li>
          ))}
        </ul>
        {conduits.length === 0 && (
          <p className="text-lg leading-snug">There is no conduit yet. Add a size of your own in Benders, Conduit.</p>
        )}
      </aside>
      {shown !== undefined && <OnRack key={shown.id} conduit={shown} currency={currency} />}
    </div>
  );
}

function inShort({ isKept, sticks, leftOvers, isLow, fewestSticks }: StockedConduit): string {
  if (!isKept) {
    return 'nothing kept';
  }
  const left = leftOvers.reduce((sum, { pieces }) => sum + pieces, 0);
  return `${isLow ? '▲ ' : ''}${String(sticks)} ${sticks === 1 ? 'stick' : 'sticks'}${isLow ? `, ${String(fewestSticks)} wanted` : ''}, ${String(left)} left over`;
}

function OnRack({ conduit, currency }: { conduit: StockedConduit; currency: string }) {
  const teaches = useMay('TEACH');
  const leads = useMay('LEAD');
  const [open, setOpen] = useState<'note' | 'keep'>();
  const [from, setFrom] = useState(0);
  const entries = useStockEntries(conduit.id, from);
  const close = () => {
    setOpen(undefined);
  };
  return (
    <div className="min-h-0 min-w-0 flex-1 overflow-y-auto p-4" tabIndex={0} role="region" aria-label={conduit.label}>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <h2 className="text-[1.8rem] leading-tight font-semibold">{conduit.label}</h2>
        <p className="text-lg">
          {conduit.material !== '' && `${conduit.material}, `}sticks of <Figure value={conduit.stickIn} unit="in" />
          {conduit.price != null && `, ${conduit.price.toFixed(2)} ${currency} each`}
        </p>
        <span className="ml-auto flex flex-wrap gap-2">
          {leads && (
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                setOpen('keep');
              }}
            >
              How it is kept…
            </button>
          )}
          {teaches && (
            <button
              type="button"
              className="btn h-11 px-5 text-lg btn-neutral"
              onClick={() => {
                setOpen('note');
              }}
            >
              Came or went…
            </button>
          )}
        </span>
      </div>
      {conduit.isLow && (
        <p className="mt-1 text-lg">
          ▲ {conduit.sticks} {conduit.sticks === 1 ? 'stick' : 'sticks'}; {conduit.fewestSticks} are wanted. Order some.
        </p>
      )}
      {conduit.sticks < 0 && (
        <p className="mt-1 text-lg">▲ {-conduit.sticks} more were cut than anybody had counted. Count them.</p>
      )}
      {conduit.isKept ? (
        <StockRack conduit={conduit} />
      ) : (
        <p className="mt-3 max-w-2xl text-xl leading-snug">
          Nothing is kept of this conduit yet. Count what is on the rack, or write down a delivery; from then on
          whatever is given out is cut from it, left-overs first.
        </p>
      )}
      {(entries.data?.all ?? 0) > 0 && (
        <section aria-label="What came and went" className="mt-5">
          <h3 className="text-xl font-semibold">What came and went</h3>
          <table className="w-full text-lg leading-tight">
            <thead className="text-left text-sm">
              <tr>
                <th className="py-1 font-normal">When</th>
                <th className="px-3 font-normal">What</th>
                <th className="px-3 text-right font-normal">Pieces</th>
                <th className="px-3 text-right font-normal">Length</th>
                <th className="px-3 font-normal">By</th>
              </tr>
            </thead>
            <tbody>
              {entries.data?.entries.map((entry) => (
                <tr key={entry.id} className="h-9 border-t border-base-300">
                  <td>{moment(entry.at)}</td>
                  <td className="px-3">
                    {MOVEMENTS[entry.what]}
                    {entry.note !== '' && `: ${entry.note}`}
                    {entry.price != null && ` (${entry.price.toFixed(2)} ${currency} each)`}
                  </td>
                  <td className="figures px-3 text-right">
                    {entry.pieces > 0 ? '+' : '−'}
                    {Math.abs(entry.pieces)}
                  </td>
                  <td className="px-3 text-right">
                    <Figure value={entry.lengthIn} unit="in" />
                  </td>
                  <td className="px-3">{entry.by}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Pages from={from} size={PAGE} all={entries.data?.all ?? 0} onChange={setFrom} />
        </section>
      )}
      {open === 'note' && <StockNote conduit={conduit} currency={currency} onClose={close} />}
      {open === 'keep' && <StockKeeping conduit={conduit} currency={currency} onClose={close} />}
    </div>
  );
}
