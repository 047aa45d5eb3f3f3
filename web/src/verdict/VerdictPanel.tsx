import { useState } from 'react';
import type { Attempt, Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { Correction } from './Correction';

/** Score, credit by feature, and the readings with their history. */
export function VerdictPanel({ attempt }: { attempt: Attempt }) {
  const [correcting, setCorrecting] = useState<string>();
  const feature = attempt.features.find(({ id }) => id === correcting);
  return (
    <aside
      aria-label="Verdict"
      className="flex w-full shrink-0 flex-col gap-2 overflow-y-auto border-base-300 bg-base-200 p-3 lg:w-[21rem] lg:border-l"
    >
      <ScoreLine attempt={attempt} />
      <table className="w-full leading-tight">
        <caption className="sr-only">Credit by feature</caption>
        <thead className="text-left text-sm">
          <tr>
            <th className="font-normal">Feature</th>
            <th className="text-right font-normal">off by</th>
            <th className="pl-3 font-normal">credit</th>
            <th>
              <span className="sr-only">Correct</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {attempt.features.map((each) => (
            <CreditRow
              key={each.id}
              feature={each}
              bends={attempt.plan.marks.length}
              onCorrect={() => {
                setCorrecting(each.id);
              }}
            />
          ))}
        </tbody>
      </table>
      <p className="text-sm leading-snug">
        Tolerance “{attempt.tolerances.preset}”: ±
        <Figure value={attempt.tolerances.lengthIn} unit="in" />, ±
        <Figure value={attempt.tolerances.angleDeg} unit="deg" />, pass mark{' '}
        <span className="figures">{attempt.tolerances.passMark}</span>. Full credit up to half of it. A mark out of
        tolerance costs credit but fails no piece.
      </p>
      {feature?.reading != null ? (
        <Correction
          key={feature.reading.id}
          attemptId={attempt.id}
          feature={feature}
          bends={attempt.plan.marks.length}
          onDone={() => {
            setCorrecting(undefined);
          }}
        />
      ) : (
        <History features={attempt.features} bends={attempt.plan.marks.length} />
      )}
    </aside>
  );
}

function ScoreLine({ attempt }: { attempt: Attempt }) {
  const read = attempt.features.filter(({ reading }) => reading != null).length;
  if (attempt.score == null) {
    return (
      <p className="text-xl leading-snug" data-testid="score">
        {read} of {attempt.features.length} readings taken. The score comes with the last one.
      </p>
    );
  }
  const { points, passed } = attempt.score;
  return (
    <div className="flex items-end justify-between gap-2" data-testid="score">
      <p className="leading-none">
        <span className="figures text-[4.2rem] leading-[0.85]">{Math.round(points * 10) / 10}</span>
        <span className="pl-1 text-lg">of 100</span>
      </p>
      <p
        className={`flex items-center gap-2 rounded-field px-3 py-1 text-2xl font-semibold ${passed ? 'bg-success text-success-content' : 'bg-error text-error-content'}`}
      >
        <span aria-hidden="true">{passed ? '●' : '✕'}</span>
        {passed ? 'Pass' : 'Not yet'}
      </p>
    </div>
  );
}

function CreditRow({ feature, bends, onCorrect }: { feature: Feature; bends: number; onCorrect: () => void }) {
  return (
    <tr className="border-t border-base-300">
      <th scope="row" className="py-0.5 text-left font-normal">
        {featureName(feature.id, bends)}
      </th>
      <td className="text-right">
        <Deviation feature={feature} />
      </td>
      <td className="pl-3">
        {feature.credit != null && (
          <span className="flex items-center gap-1.5">
            <span className="h-2.5 w-12 border border-base-content/60" aria-hidden="true">
              <span className="block h-full bg-base-content" style={{ width: `${String(feature.credit * 100)}%` }} />
            </span>
            <span className="figures">{Math.round(feature.credit * 100)}%</span>
          </span>
        )}
      </td>
      <td className="text-right">
        {feature.reading != null && (
          <button
            type="button"
            className="min-h-11 px-1 underline underline-offset-4"
            onClick={onCorrect}
            aria-label={`Correct ${featureName(feature.id, bends)}`}
          >
            Correct
          </button>
        )}
      </td>
    </tr>
  );
}

/** Who read what, when; what was corrected stays, struck through, with its reason. */
function History({ features, bends }: { features: readonly Feature[]; bends: number }) {
  const readings = features
    .flatMap((feature) =>
      feature.history.map((reading, i) => ({ feature, reading, replaced: i < feature.history.length - 1 })),
    )
    .sort((a, b) => a.reading.takenAt.localeCompare(b.reading.takenAt));
  return (
    <section aria-label="Readings as taken" className="min-h-0 text-[0.94rem] leading-snug">
      <h2 className="border-b border-base-300 text-base font-semibold">Readings as taken</h2>
      <ol>
        {readings.map(({ feature, reading, replaced }) => (
          <li key={reading.id} className="flex flex-wrap justify-between gap-x-2 border-b border-base-300 py-0.5">
            <span className={replaced ? 'line-through opacity-75' : ''}>
              {featureName(feature.id, bends)} <span className="figures">{reading.typed}</span>
            </span>
            <span>
              {reading.takenBy}, <When at={reading.takenAt} />
            </span>
            {reading.reason != null && <span className="basis-full italic">{reading.reason}</span>}
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
