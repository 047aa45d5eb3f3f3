import { useState } from 'react';
import { useQuantities } from '../benchcore/useQuantities';
import { Figure } from '../entry/Figure';
import { QuantityField } from '../entry/QuantityField';
import { useDisplayUnit } from '../frame/signedIn';
import { Dialog } from '../frame/Dialog';
import { takeOffOf, takeOffText } from './takeOff';

/** A distance as two readings of a tape from one common surface, less play, plus what goes into the fitting. */
export function TakeOffFields({
  label,
  text,
  onTake,
  onClose,
}: {
  label: string;
  text: string;
  onTake: (text: string) => void;
  onClose: () => void;
}) {
  const unit = useDisplayUnit();
  const [parts, setParts] = useState(() => takeOffOf(text));
  const written = takeOffText(parts);
  const [read] = useQuantities([{ kind: 'distance', text: written, bare: unit }]);
  const field = (name: keyof typeof parts, title: string) => (
    <QuantityField
      label={title}
      kind="length"
      text={parts[name]}
      onText={(value) => {
        setParts({ ...parts, [name]: value });
      }}
      place="list"
      optional={name !== 'far'}
    />
  );
  return (
    <Dialog title={`${label} from two readings`} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (read?.value !== undefined) {
            onTake(written);
          }
        }}
      >
        <p className="text-base leading-snug">
          Hold the tape on one surface for both readings, say the floor or the wall.
        </p>
        <div className="grid grid-cols-2 gap-3">
          {field('far', 'Far reading')}
          {field('near', 'Near reading')}
          {field('play', 'Less play')}
          {field('insertion', 'Into the fitting')}
        </div>
        <p className="text-xl" aria-live="polite">
          {written} ={' '}
          {read?.value === undefined ? '…' : <Figure value={read.value} unit="in" fine className="text-2xl" />}
        </p>
        {read?.problem != null && <p className="text-error">✕ {read.problem.message}</p>}
        <button type="submit" className="btn h-12 text-lg btn-neutral" disabled={read?.value === undefined}>
          Take it
        </button>
      </form>
    </Dialog>
  );
}
