import type { Feature } from '../api/queries';
import { featureName } from '../entry/features';
import { fits, type Gauge } from './useGauge';

const SHAPES = { steady: '●', moving: '◐', noisy: '▲', wrongUnit: '✕', lost: '✕' } as const;

/** What a claimed gauge shows, and what Enter will do with it. */
export function GaugeStrip({
  gauge,
  feature,
  bends,
  onTake,
}: {
  gauge: Gauge;
  feature: Feature;
  bends: number;
  onTake: () => void;
}) {
  const right = fits(gauge, feature);
  const ready = right && gauge.mine && gauge.state === 'steady' && gauge.text != null;
  return (
    <div
      data-testid="gauge"
      data-state={right ? gauge.state : 'other'}
      className="flex items-center gap-2 rounded-field border-2 border-base-content/60 bg-base-100 px-2 py-1"
    >
      <div className="min-w-0 flex-1 leading-tight">
        <span className="text-sm">{gauge.label}</span>
        <p className="figures text-[1.5rem] leading-none" aria-live="off">
          <span aria-hidden="true" className="text-[0.7em]">
            {right ? SHAPES[gauge.state] : '▲'}
          </span>{' '}
          {gauge.text ?? '–'}
          {gauge.kind === 'angle' && gauge.text != null && '°'}
        </p>
        {!right && (
          <p role="status" className="text-sm">
            It measures {gauge.kind === 'angle' ? 'angles' : 'lengths'}; {featureName(feature.id, bends)} is{' '}
            {feature.unit === 'deg' ? 'an angle' : 'a length'}.
          </p>
        )}
        {right && gauge.said != null && (
          <p role="status" className="text-sm">
            {gauge.said}
          </p>
        )}
        {!gauge.mine && (
          <p role="alert" className="text-sm text-error">
            {gauge.claimedBy ?? 'Somebody'} has taken it over.
          </p>
        )}
      </div>
      <button type="button" className="btn h-11 min-h-0 btn-neutral px-3 text-base" disabled={!ready} onClick={onTake}>
        Take it <span className="text-sm max-sm:hidden">(Enter)</span>
      </button>
    </div>
  );
}
