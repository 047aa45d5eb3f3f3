import { useState } from 'react';
import { api, body } from '../api/client';
import { newId } from '../api/newId';
import { useQuantities } from '../benchcore/useQuantities';
import { exactText } from '../entry/figures';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { Select } from '../frame/Select';
import { useDisplayUnit } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { SHOWS_STOCK, type StockedConduit } from './stockQueries';
import { useKept } from './useKept';

const WHAT = [
  { value: 'DELIVERED', name: 'delivered' },
  { value: 'BROUGHT_BACK', name: 'a left-over was brought back' },
  { value: 'THROWN_AWAY', name: 'thrown away' },
  { value: 'COUNTED', name: 'counted: so many are there' },
] as const;

type What = (typeof WHAT)[number]['value'];

/** Something that came onto the rack or went off it. */
export function StockNote({
  conduit,
  currency,
  onClose,
}: {
  conduit: StockedConduit;
  currency: string;
  onClose: () => void;
}) {
  const unit = useDisplayUnit();
  const [id] = useState(() => newId());
  const [what, setWhat] = useState<What>(conduit.isKept ? 'DELIVERED' : 'COUNTED');
  const [pieces, setPieces] = useState('');
  const [typed, setTyped] = useState<string>();
  const [note, setNote] = useState('');
  const [price, setPrice] = useState('');
  const length = typed ?? (what === 'BROUGHT_BACK' ? '' : exactText(conduit.stickIn, unit));
  const [read] = useQuantities([{ kind: 'length', text: length, bare: unit }]);
  const keep = useKept(
    () =>
      body(
        api.PUT('/api/stock/{conduitId}/entries/{id}', {
          params: { path: { conduitId: conduit.id, id } },
          body: {
            what,
            lengthIn: read?.value ?? null,
            pieces: Number(pieces),
            note,
            price: what === 'DELIVERED' && price !== '' ? Number(price) : null,
          },
        }),
      ),
    SHOWS_STOCK,
    onClose,
  );
  return (
    <Dialog title={conduit.label} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(undefined);
        }}
      >
        <Select
          label="What happened"
          value={what}
          onChange={(value) => {
            setWhat(value as What);
          }}
          options={WHAT}
        />
        <div className="grid grid-cols-2 items-start gap-3">
          <TextField
            label="Pieces"
            type="number"
            min={what === 'COUNTED' ? 0 : 1}
            required
            value={pieces}
            onChange={setPieces}
            problem={problemAt(keep.error, '/pieces')}
          />
          <TextField
            label="Length of each"
            required
            autoComplete="off"
            value={length}
            onChange={setTyped}
            problem={read?.problem?.message ?? problemAt(keep.error, '/lengthIn')}
          />
        </div>
        {what === 'DELIVERED' && (
          <TextField
            label={`Price of each${currency === '' ? '' : `, ${currency}`}`}
            type="number"
            min={0}
            step="0.01"
            value={price}
            onChange={setPrice}
            problem={problemAt(keep.error, '/price')}
          />
        )}
        <TextField label="Note" value={note} onChange={setNote} maxLength={300} />
        <Beside problem={problemBeside(keep.error, ['/pieces', '/lengthIn', '/price'])} />
        <button className="btn h-12 btn-neutral text-lg" disabled={keep.isPending || read?.value === undefined}>
          Write it down
        </button>
      </form>
    </Dialog>
  );
}
