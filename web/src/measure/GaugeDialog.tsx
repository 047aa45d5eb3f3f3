import { Dialog } from '../frame/Dialog';
import type { useGauges } from './useGauge';

const STATES = {
  steady: 'steady',
  moving: 'moving',
  noisy: 'noisy',
  wrongUnit: 'shows a wrong unit',
  lost: 'lost',
} as const;

/** The gauges of the shed: which one this screen takes its readings from. */
export function GaugeDialog({ gauges, onClose }: { gauges: ReturnType<typeof useGauges>; onClose: () => void }) {
  const { all, claim, release } = gauges;
  return (
    <Dialog title="Gauges" onClose={onClose}>
      {all.length === 0 && (
        <p className="text-lg">
          None is connected to the server. One that types like a keyboard needs nothing here: its reading goes where you
          are.
        </p>
      )}
      <ul className="grid gap-2">
        {all.map((gauge) => (
          <li key={gauge.id} className="flex items-center gap-2 rounded-field border border-base-300 p-2">
            <span className="min-w-0 flex-1 leading-tight">
              <b>{gauge.label}</b>
              <span className="block text-sm">
                {STATES[gauge.state]}
                {gauge.claimedBy != null && ` · ${gauge.mine ? 'yours' : `${gauge.claimedBy} has it`}`}
              </span>
            </span>
            <button
              type="button"
              className={`btn h-11 min-h-0 text-base ${gauge.mine ? 'border-2 border-base-content/60' : 'btn-neutral'}`}
              onClick={() => {
                if (gauge.mine) {
                  release.mutate(gauge.id);
                } else {
                  claim.mutate(
                    { id: gauge.id, takeOver: gauge.claimedBy != null && gauge.claimedBy !== '' },
                    { onSuccess: onClose },
                  );
                }
              }}
            >
              {gauge.mine ? 'Give it back' : gauge.claimedBy == null ? 'Use it here' : 'Take it over'}
            </button>
          </li>
        ))}
      </ul>
      {claim.error !== null && (
        <p role="alert" className="mt-2 text-error">
          ✕ {claim.error.message}
        </p>
      )}
    </Dialog>
  );
}
