import type { Feature } from '../api/queries';
import { offInWords } from '../api/deviceClock';
import { featureName } from '../entry/features';
import { levelWords } from '../measure/level';

const WITH = { keys: '', pad: '', wedge: 'typed by a gauge', gauge: '', asAsked: 'spot on' } as const;

/** Who read what, when and with what; what was corrected or set aside stays, struck through, with its reason. */
export function History({ features, bends }: { features: readonly Feature[]; bends: number }) {
  const readings = features
    .flatMap((feature) => {
      const counting = new Set([feature.reading?.id, ...feature.rivals.map(({ id }) => id)]);
      return feature.history.map((reading) => ({ feature, reading, replaced: !counting.has(reading.id) }));
    })
    .sort((a, b) => Date.parse(a.reading.takenAt) - Date.parse(b.reading.takenAt));
  return (
    <section aria-label="Readings as taken" className="min-h-0 text-[0.94rem] leading-snug">
      <h2 className="border-b border-base-300 text-base font-semibold">Readings as taken</h2>
      <ol>
        {readings.map(({ feature, reading, replaced }) => (
          <li key={reading.id} className="flex flex-wrap justify-between gap-x-2 border-b border-base-300 py-0.5">
            <span className={replaced ? 'line-through opacity-75' : ''}>
              {featureName(feature.id, bends)}{' '}
              <span className="figures">{reading.omitted == null ? reading.typed : 'not measured'}</span>
              {reading.asFound && <span className="text-sm"> found on the piece</span>}
              {reading.stage > 1 && <span className="text-sm"> bent again</span>}
              {reading.from === 'back' && <span className="text-sm"> from the back of the bend before</span>}
            </span>
            <span>
              {reading.takenBy}, <When at={reading.takenAt} />
            </span>
            {(reading.instrument ?? WITH[reading.takenWith]) !== '' && (
              <span className="basis-full text-sm">{reading.instrument ?? WITH[reading.takenWith]}</span>
            )}
            {reading.level != null && <span className="basis-full">{levelWords(reading.level)}</span>}
            {reading.clockWrongBySeconds != null && (
              <span className="basis-full text-sm">
                by a clock that was {offInWords(reading.clockWrongBySeconds)}; the time is put right
              </span>
            )}
            {reading.omitted != null && <span className="basis-full italic">{reading.omitted}</span>}
            {reading.reason != null && <span className="basis-full italic">{reading.reason}</span>}
            {reading.setAside != null && <span className="basis-full italic">set aside: {reading.setAside}</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}

function When({ at }: { at: string }) {
  const date = new Date(at);
  const today = date.toDateString() === new Date().toDateString();
  return (
    <time dateTime={at}>
      {today
        ? date.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })
        : date.toLocaleDateString([], { day: 'numeric', month: 'short' })}
    </time>
  );
}
