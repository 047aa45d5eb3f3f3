import type { Feature } from '../api/queries';
import { useDisplayUnit } from '../frame/signedIn';
import { quantityText } from './figures';
import { Figure } from './Figure';
import { lineOf } from './line';

/** Anything with a deviation that was judged. */
type Judged = Pick<Feature, 'unit' | 'target' | 'deviation' | 'band'> & { reading?: { value?: number | null } | null };

const SHAPES = {
  close: { sign: '●', words: 'close' },
  within: { sign: '◐', words: 'within tolerance' },
  outside: { sign: '✕', words: 'outside tolerance' },
} as const;

/** A deviation with its sign, and its band by shape, word and colour. */
export function Deviation({ feature, large = false }: { feature: Judged; large?: boolean }) {
  const display = useDisplayUnit();
  if (feature.deviation == null || feature.band == null) {
    return null;
  }
  const shown = lineOf(feature, display);
  const { sign, words } = SHAPES[feature.band];
  const colour = feature.band === 'outside' ? 'text-error' : 'text-success';
  return (
    <span
      className={`inline-flex items-baseline gap-1.5 whitespace-nowrap ${colour} ${large ? 'text-[1.7rem]' : 'text-xl'}`}
      data-band={feature.band}
      aria-label={`deviation ${quantityText(feature.deviation, feature.unit, display, { signed: true, ...shown })}, ${words}`}
      role="img"
    >
      <span className="text-[0.75em]">{sign}</span>
      <Figure value={feature.deviation} unit={feature.unit} signed shown={shown} />
    </span>
  );
}
