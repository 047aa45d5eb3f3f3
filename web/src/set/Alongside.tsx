import { useState } from 'react';
import { type LayoutRequest, useAlongside } from '../api/queries';
import { useQuantities } from '../benchcore/useQuantities';
import { Figure } from '../entry/Figure';
import { QuantityField } from '../entry/QuantityField';
import { useDisplayUnit } from '../frame/signedIn';

const COUNTS = [2, 3, 4, 5, 6] as const;

/** Conduits beside this one, bent alike: where the rings of each stand, so that they keep their distance. */
export function Alongside({ first }: { first: LayoutRequest }) {
  const unit = useDisplayUnit();
  const [text, setText] = useState(unit === 'mm' ? '50' : '2');
  const [count, setCount] = useState<number>(3);
  const [spacing] = useQuantities([{ kind: 'length', text, bare: unit }]);
  const conduits = useAlongside(
    spacing?.value === undefined ? undefined : { first, centreSpacingIn: spacing.value, count },
  );
  return (
    <section aria-label="Conduits alongside" className="grid gap-1.5 border-t-2 border-base-content/40 pt-1.5">
      <h2 className="text-lg leading-tight font-semibold">Alongside, on the side away from the rise</h2>
      <div className="grid grid-cols-2 gap-2">
        <QuantityField
          label="Centre to centre"
          kind="length"
          text={text}
          onText={setText}
          problem={spacing?.problem ?? conduits.error}
          place="list"
        />
        <label className="grid gap-0.5">
          <span className="text-sm leading-tight">Conduits in all</span>
          <select
            value={count}
            onChange={(event) => {
              setCount(Number(event.target.value));
            }}
            className="h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2"
          >
            {COUNTS.map((each) => (
              <option key={each} value={each}>
                {each}
              </option>
            ))}
          </select>
        </label>
      </div>
      <ol aria-label="Rings of each conduit">
        {conduits.data?.map((conduit) => (
          <li key={conduit.number} className="flex gap-4 border-t border-base-300 text-lg leading-snug">
            <span>Conduit {conduit.number}</span>
            {conduit.marks.map((mark) => (
              <Figure key={mark.number} value={mark.positionIn} unit="in" className="text-xl" />
            ))}
          </li>
        ))}
      </ol>
    </section>
  );
}
