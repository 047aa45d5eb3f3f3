import type { Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import type { Readings } from './useReadings';

/** How far what is typed is off, while it is typed: sign, shape and band. */
export function LiveDeviation({ feature, live }: { feature: Feature; live: Readings['live'] }) {
  return (
    <span aria-live="polite" data-testid="live" className="block text-center leading-tight max-sm:min-h-[1.9rem]">
      {live !== undefined && (
        <span className="rounded-field bg-base-100 px-2">
          <Deviation feature={{ ...feature, reading: null, deviation: live.deviation, band: live.band }} />
        </span>
      )}
    </span>
  );
}
