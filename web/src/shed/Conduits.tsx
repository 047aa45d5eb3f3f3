import { useState } from 'react';
import { api, body } from '../api/client';
import { newId } from '../api/newId';
import { useBenchCore } from '../benchcore/useBenchCore';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { useMay } from '../frame/rights';
import { useDisplayUnit } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { type ConduitCard, SHOWS_BENDERS } from './benderQueries';
import { readFigure } from './typedFigures';
import { useKept } from './useKept';

/** The sizes of conduit that the school bends: the usual ones, and its own. */
export function Conduits({ conduits, onClose }: { conduits: ConduitCard[]; onClose: () => void }) {
  const leads = useMay('LEAD');
  const unit = useDisplayUnit();
  const away = useKept<ConduitCard>(
    (conduit) =>
      body(
        api.PUT('/api/conduits/{id}/put-away', {
          params: { path: { id: conduit.id } },
          body: { putAway: !conduit.putAway },
        }),
      ),
    SHOWS_BENDERS,
  );
  return (
    <Dialog title="Conduit" onClose={onClose}>
      <ul className="max-h-[22rem] overflow-y-auto" tabIndex={0} aria-label="Sizes of conduit">
        {conduits.map((conduit) => (
          <li key={conduit.id} className="flex items-center gap-3 border-t border-base-300 py-1 text-lg">
            <span className={`flex-1 ${conduit.putAway ? 'line-through' : ''}`}>{conduit.label}</span>
            <span className="figures">{diameterText(conduit.outsideDiameterIn, unit)}</span>
            {leads && (
              <button
                type="button"
                className={BUTTON}
                aria-label={`${conduit.putAway ? 'Take back' : 'Put away'} ${conduit.label}`}
                onClick={() => {
                  away.mutate(conduit);
                }}
              >
                {conduit.putAway ? 'Take back' : 'Put away'}
              </button>
            )}
          </li>
        ))}
      </ul>
      <Beside problem={away.error?.message} />
      {leads && <AddConduit />}
    </Dialog>
  );
}

/** As tables have it: in thousandths of an inch, which no tape has, or tenths of a millimetre. */
function diameterText(inches: number, unit: 'in' | 'mm'): string {
  return unit === 'mm' ? `${(inches * 25.4).toFixed(1)} mm` : `${inches.toFixed(3)} in`;
}

function AddConduit() {
  const core = useBenchCore();
  const unit = useDisplayUnit();
  const [id, setId] = useState(() => newId());
  const [label, setLabel] = useState('');
  const [text, setText] = useState('');
  const read = core === undefined ? undefined : readFigure(core, text, 'length', unit);
  const add = useKept(
    () =>
      body(
        api.PUT('/api/conduits/{id}', {
          params: { path: { id } },
          body: { label, outsideDiameterIn: read !== undefined && 'value' in read ? read.value : null },
        }),
      ),
    SHOWS_BENDERS,
    () => {
      setId(newId());
      setLabel('');
      setText('');
    },
  );
  return (
    <form
      className="mt-3 grid gap-2 border-t-2 border-base-content/60 pt-3"
      aria-label="Conduit of one’s own"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(undefined);
      }}
    >
      <TextField
        label="Conduit of your own, called"
        value={label}
        onChange={setLabel}
        required
        maxLength={60}
        problem={problemAt(add.error, '/label')}
      />
      <TextField
        label={`Outside diameter, ${unit}`}
        value={text}
        onChange={setText}
        required
        maxLength={20}
        problem={read !== undefined && 'problem' in read ? read.problem : problemAt(add.error, '/outsideDiameterIn')}
      />
      <Beside problem={problemBeside(add.error, ['/label', '/outsideDiameterIn'])} />
      <button className={BUTTON} disabled={add.isPending || core === undefined}>
        Add it
      </button>
    </form>
  );
}
