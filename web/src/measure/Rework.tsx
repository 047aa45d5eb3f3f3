import type { Attempt } from '../api/queries';
import { useKeep } from '../queue/outboxContext';

/** How often each bend went back into the shoe: eased out or bent on. */
export function Rework({ attempt }: { attempt: Attempt }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const bends = attempt.plan.marks.map(({ number }) => number);
  const count = (bend: number, change: 'eased' | 'added') =>
    attempt.bench.rework.filter((each) => each.bend === bend && each.change === change).length;
  const last = attempt.bench.rework.at(-1);
  return (
    <section aria-label="Re-bending">
      <h3 className="text-base font-semibold">Re-bent</h3>
      {bends.map((bend) => (
        <div key={bend} className="flex items-center gap-1 py-0.5">
          <span className="flex-1">{bends.length === 1 ? 'The bend' : `Bend ${String(bend)}`}</span>
          {(['eased', 'added'] as const).map((change) => (
            <button
              key={change}
              type="button"
              className="btn h-11 min-h-0 border-2 border-base-content/50 px-2 text-base"
              aria-label={`Bend ${String(bend)} ${change === 'eased' ? 'eased out' : 'bent on'} once more`}
              onClick={() => {
                void keep({
                  kind: 'fact',
                  body: { fact: { kind: 'rework', bend, change }, takenAt: new Date().toISOString() },
                });
              }}
            >
              {change === 'eased' ? 'eased' : 'bent on'} <span className="figures">{count(bend, change)}</span>
            </button>
          ))}
        </div>
      ))}
      {last !== undefined && (
        <button
          type="button"
          className="min-h-9 text-base underline underline-offset-4"
          onClick={() => {
            void keep({ kind: 'setAside', recordId: last.id, reason: 'pressed by mistake' });
          }}
        >
          Take the last one back
        </button>
      )}
    </section>
  );
}
