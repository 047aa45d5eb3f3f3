import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Attempt, Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureHint, featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { Pad } from '../entry/Pad';

interface MeasurePanelProps {
  attempt: Attempt;
  active: Feature | undefined;
  text: string;
  onActivate: (id: string) => void;
  onText: (text: string) => void;
  onEnter: () => void;
  /** On a phone the field of the reading in hand stands here, not on the drawing. */
  field: ReactNode;
}

/** The same readings as a list, and the fraction pad for the one in hand. */
export function MeasurePanel({ attempt, active, text, onActivate, onText, onEnter, field }: MeasurePanelProps) {
  const bends = attempt.plan.marks.length;
  return (
    <aside
      aria-label="Readings"
      className="flex w-full shrink-0 flex-col gap-1.5 overflow-y-auto border-base-300 bg-base-200 px-3 py-2 lg:w-[21rem] lg:border-l"
    >
      <div className="min-h-[9rem] flex-1 overflow-y-auto max-sm:hidden">
        <table className="w-full leading-none">
          <caption className="sr-only">Readings of this piece</caption>
          <thead className="text-left text-sm">
            <tr>
              <th className="font-normal">Feature</th>
              <th className="text-right font-normal">asked</th>
              <th className="text-right font-normal">read</th>
              <th className="text-right font-normal">off by</th>
            </tr>
          </thead>
          <tbody>
            {attempt.features.map((feature) => (
              <tr
                key={feature.id}
                ref={feature.id === active?.id ? intoView : undefined}
                className={`border-t border-base-300 ${feature.id === active?.id ? 'bg-base-100' : ''}`}
              >
                <th scope="row" className="text-left font-normal">
                  <button
                    type="button"
                    className="min-h-[2.1rem] text-left text-lg leading-none underline-offset-4 hover:underline"
                    onClick={() => {
                      onActivate(feature.id);
                    }}
                  >
                    {featureName(feature.id, bends)}
                  </button>
                </th>
                <td className="text-right text-xl">
                  <Figure value={feature.target} unit={feature.unit} />
                </td>
                <td className="text-right text-xl">
                  {feature.reading != null && <Figure value={feature.reading.value} unit={feature.unit} />}
                </td>
                <td className="text-right text-xl">
                  <Deviation feature={feature} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {active !== undefined && active.reading == null ? (
        <>
          <p className="mt-auto leading-tight max-sm:mt-0" aria-live="polite">
            <b>{featureName(active.id, bends)}</b> · {featureHint(active.id)}
          </p>
          {field}
          <Pad
            kind={active.unit === 'deg' ? 'angle' : 'length'}
            signed={active.signed}
            text={text}
            onText={onText}
            onEnter={onEnter}
          />
        </>
      ) : (
        <Done attempt={attempt} />
      )}
    </aside>
  );
}

function Done({ attempt }: { attempt: Attempt }) {
  if (attempt.score == null) {
    return null;
  }
  return (
    <div className="mt-auto grid gap-3">
      <p className="text-lg leading-snug">
        Every reading is in. To change one, correct it in the verdict: the old one stays on record.
      </p>
      <Link
        to={`/verdict/${attempt.id}`}
        className="btn h-14 btn-neutral text-xl"
        ref={(link) => {
          link?.focus();
        }}
      >
        See the verdict
      </Link>
    </div>
  );
}

/** With many readings the list scrolls: the one in hand is always seen. */
function intoView(row: HTMLTableRowElement | null): void {
  row?.scrollIntoView({ block: 'nearest' });
}
