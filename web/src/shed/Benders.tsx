import { useState } from 'react';
import { useAddress } from '../frame/address';
import { useMay } from '../frame/rights';
import { BUTTON } from '../library/button';
import { AddBender } from './AddBender';
import { BenderCardView } from './BenderCardView';
import { type BenderCard, useBenderCards } from './benderQueries';
import { Conduits } from './Conduits';
import { STATES, TOOLS } from './figureWords';

/** Every bender with its card: figures, where they come from, and what its own pieces say of it; and the conduit that they bend. */
export function Benders() {
  const cards = useBenderCards();
  const leads = useMay('LEAD');
  const [search, changeAddress] = useAddress();
  const [adding, setAdding] = useState(false);
  const [conduits, setConduits] = useState(false);
  if (cards.data === undefined) {
    return (
      <p className="p-4 text-lg" role={cards.error === null ? 'status' : 'alert'}>
        {cards.error?.message ?? 'Opening…'}
      </p>
    );
  }
  const { benders } = cards.data;
  const shown = benders.find(({ id }) => id === search.get('bender')) ?? benders[0];
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <aside
        aria-label="Benders"
        className="w-[18rem] shrink-0 overflow-y-auto border-base-300 bg-base-200 p-3 max-lg:w-full max-lg:border-b lg:border-r"
      >
        <ul>
          {benders.map((bender) => (
            <li key={bender.id}>
              <BenderButton
                bender={bender}
                current={bender.id === shown?.id}
                onChoose={() => {
                  changeAddress({ bender: bender.id });
                }}
              />
            </li>
          ))}
        </ul>
        <div className="mt-3 flex flex-wrap gap-2">
          {leads && (
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                setAdding(true);
              }}
            >
              Add a bender
            </button>
          )}
          {benders.length > 0 && (
            <a href="/api/shed/labels.pdf" download className={`${BUTTON} grid place-items-center`}>
              All labels
            </a>
          )}
          <button
            type="button"
            className={BUTTON}
            onClick={() => {
              setConduits(true);
            }}
          >
            Conduit…
          </button>
        </div>
      </aside>
      {shown === undefined ? (
        <p className="p-4 text-lg">There is no bender yet. Add one, and bend three nineties on it.</p>
      ) : (
        <BenderCardView key={`${shown.id} ${String(shown.edition)}`} bender={shown} />
      )}
      {adding && (
        <AddBender
          conduits={cards.data.conduits.filter(({ putAway }) => !putAway)}
          onClose={() => {
            setAdding(false);
          }}
        />
      )}
      {conduits && (
        <Conduits
          conduits={cards.data.conduits}
          onClose={() => {
            setConduits(false);
          }}
        />
      )}
    </div>
  );
}

function BenderButton({ bender, current, onChoose }: { bender: BenderCard; current: boolean; onChoose: () => void }) {
  return (
    <button
      type="button"
      aria-current={current ? 'true' : undefined}
      onClick={onChoose}
      className={`grid w-full border-b border-base-300 px-2 py-1.5 text-left leading-tight ${current ? 'bg-base-100 shadow-[inset_4px_0_0_var(--color-base-content)]' : 'hover:bg-base-300'}`}
    >
      <span className="text-lg font-semibold">
        {bender.state !== 'IN_USE' && `${STATES[bender.state].sign} `}
        {bender.label}
      </span>
      <span className="text-sm">
        {bender.conduitLabel}, {TOOLS[bender.kind]}
        {bender.state !== 'IN_USE' && `, ${STATES[bender.state].name}`}
      </span>
    </button>
  );
}
