import type { Feature } from '../api/queries';
import { useDisplayUnit } from '../frame/signedIn';
import { Figure } from './Figure';
import type { Fineness } from './figures';
import { differsFromAsked } from './line';

/** What a reading is held to; and what was asked, where the set method itself misses that or a slip is carried on. */
export function Target({
  feature,
  shown,
  className = '',
}: {
  feature: Pick<Feature, 'unit' | 'asked' | 'target' | 'carried'>;
  shown?: Fineness | undefined;
  className?: string;
}) {
  return (
    <>
      <Figure value={feature.target} unit={feature.unit} shown={shown} className={className} />
      <TargetNote feature={feature} className="text-[0.8rem] leading-none whitespace-nowrap" />
    </>
  );
}

/** What was asked, where a reading is held to something else. */
export function TargetNote({
  feature,
  className,
}: {
  feature: Pick<Feature, 'unit' | 'asked' | 'target' | 'carried'>;
  className: string;
}) {
  const differs = differsFromAsked(feature, useDisplayUnit());
  return (
    differs && (
      <span className={`block ${className}`}>
        {feature.carried == null ? 'asked ' : 'carried on; right is '}
        <Figure value={feature.asked} unit={feature.unit} />
      </span>
    )
  );
}
