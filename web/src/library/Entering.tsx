import { QuantityField } from '../entry/QuantityField';
import type { Quantity } from '../benchcore/useQuantities';

/** What a run may be off, and still goes into both of its fittings. */
export const ENTERING = [
  { name: 'play', label: 'Far end off, at most', kind: 'length' },
  { name: 'square', label: 'Last leg out of square, at most', kind: 'angle' },
] as const;

type Name = (typeof ENTERING)[number]['name'];

interface EnteringProps {
  texts: Record<Name, string>;
  /** What the texts come to, in their order. */
  read: readonly Quantity[];
  onText: (name: Name, text: string) => void;
}

/** When a run goes into both of its fittings. */
export function Entering({ texts, read, onText }: EnteringProps) {
  return (
    <fieldset className="grid max-w-[32rem] gap-3 sm:grid-cols-2">
      <legend className="text-base font-semibold">A run goes into both of its fittings with</legend>
      {ENTERING.map(({ name, label, kind }, i) => (
        <QuantityField
          key={name}
          label={label}
          kind={kind}
          text={texts[name]}
          problem={read[i]?.problem ?? null}
          onText={(text) => {
            onText(name, text);
          }}
          place="list"
        />
      ))}
    </fieldset>
  );
}
