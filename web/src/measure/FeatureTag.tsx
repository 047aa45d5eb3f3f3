import type { Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { useLine } from '../entry/line';

interface FeatureTagProps {
  feature: Feature;
  /** How many bends the piece has. */
  bends: number;
  active: boolean;
  /** What is typed already but not entered. */
  text: string;
  onActivate: () => void;
}

/** A feature on a drawing that has many: its name until it is read, then what was read and how far off. */
export function FeatureTag({ feature, bends, active, text, onActivate }: FeatureTagProps) {
  const shown = useLine(feature);
  return (
    <button
      type="button"
      onClick={onActivate}
      aria-pressed={active}
      className={`min-h-11 max-w-[12rem] rounded-field border-2 px-1.5 leading-tight whitespace-nowrap max-sm:max-w-[5.2rem] max-sm:min-w-0 max-sm:overflow-hidden max-sm:px-1 max-sm:text-sm ${
        active ? 'border-base-content bg-base-content text-base-100' : 'border-base-content/50 bg-base-100'
      }`}
    >
      {feature.state === 'disputed' || feature.state === 'omitted' ? (
        <>
          <span className="block text-sm leading-none">{featureName(feature.id, bends)}</span>
          {feature.state === 'disputed' ? '▲ two readings' : 'not measured'}
        </>
      ) : feature.reading?.value == null ? (
        <>
          {featureName(feature.id, bends)} <span className="figures text-lg">{text}</span>
        </>
      ) : (
        <>
          <span className="block text-sm leading-none">
            {featureName(feature.id, bends)}{' '}
            <Figure value={feature.reading.value} unit={feature.unit} shown={shown} className="text-base" />
          </span>
          <span className={active ? 'rounded-field bg-base-100 px-1' : ''}>
            <Deviation feature={feature} />
          </span>
        </>
      )}
    </button>
  );
}
