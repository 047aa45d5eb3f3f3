import { useState } from 'react';
import { api, body } from '../api/client';
import { useQuantities } from '../benchcore/useQuantities';
import { exactText } from '../entry/figures';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { useDisplayUnit } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { SHOWS_STOCK, type StockedConduit } from './stockQueries';
import { useKept } from './useKept';

const POINTERS = ['/stickIn', '/shortestKeptIn', '/fewestSticks', '/material', '/currency', '/price'];

/** How a kind of conduit is kept: its sticks, how few are too few, what is worth keeping, what a stick costs. */
export function StockKeeping({
  conduit,
  currency: paidIn,
  onClose,
}: {
  conduit: StockedConduit;
  currency: string;
  onClose: () => void;
}) {
  const unit = useDisplayUnit();
  const [material, setMaterial] = useState(conduit.material);
  const [stick, setStick] = useState(exactText(conduit.stickIn, unit));
  const [shortest, setShortest] = useState(exactText(conduit.shortestKeptIn, unit));
  const [fewest, setFewest] = useState(String(conduit.fewestSticks));
  const [price, setPrice] = useState(conduit.price == null ? '' : conduit.price.toFixed(2));
  const [currency, setCurrency] = useState(paidIn);
  const [readStick, readShortest] = useQuantities([
    { kind: 'length', text: stick, bare: unit },
    { kind: 'length', text: shortest, bare: unit },
  ]);
  const keep = useKept(
    () =>
      body(
        api.PUT('/api/stock/{conduitId}', {
          params: { path: { conduitId: conduit.id } },
          body: {
            edition: conduit.edition,
            material,
            stickIn: readStick?.value ?? null,
            shortestKeptIn: readShortest?.value ?? null,
            fewestSticks: Number(fewest),
            price: price === '' ? null : Number(price),
            currency,
          },
        }),
      ),
    SHOWS_STOCK,
    onClose,
  );
  return (
    <Dialog title={`How ${conduit.label} is kept`} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(undefined);
        }}
      >
        <TextField label="Material" value={material} onChange={setMaterial} maxLength={40} />
        <div className="grid grid-cols-2 items-start gap-3">
          <TextField
            label="A stick is"
            required
            value={stick}
            onChange={setStick}
            problem={readStick?.problem?.message ?? problemAt(keep.error, '/stickIn')}
          />
          <TextField
            label="Fewer sticks are too few"
            type="number"
            min={0}
            required
            value={fewest}
            onChange={setFewest}
            problem={problemAt(keep.error, '/fewestSticks')}
          />
          <TextField
            label="Left-overs are kept from"
            required
            value={shortest}
            onChange={setShortest}
            note="What is shorter counts as wasted"
            problem={readShortest?.problem?.message ?? problemAt(keep.error, '/shortestKeptIn')}
          />
          <TextField
            label="A stick costs"
            type="number"
            min={0}
            step="0.01"
            value={price}
            onChange={setPrice}
            note="Empty: no prices"
            problem={problemAt(keep.error, '/price')}
          />
          <TextField label="Paid in" value={currency} onChange={setCurrency} maxLength={8} note="Of the whole school" />
        </div>
        <Beside problem={problemBeside(keep.error, POINTERS)} />
        <button
          className="btn h-12 btn-neutral text-lg"
          disabled={keep.isPending || readStick?.value === undefined || readShortest?.value === undefined}
        >
          Keep it so
        </button>
      </form>
    </Dialog>
  );
}
