import { useState } from 'react';
import type { Attempt, Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { Correction } from './Correction';
import { Decide, Verification } from './Decide';
import { History } from './History';

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
      {attempt.features
        .filter(({ state }) => state === 'disputed')
        .map((each) => (
          <Decide key={each.id} attempt={attempt} feature={each} />
        ))}
      <Verification attempt={attempt} />
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
              locked={attempt.bench.seal?.sealed === true}
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
          attempt={attempt}
          feature={feature}
          bends={attempt.plan.marks.length}
          onDone={() => {
            setCorrecting(undefined);
          }}
        />
      ) : (
        <>
          <Faults attempt={attempt} />
          <History features={attempt.features} bends={attempt.plan.marks.length} />
        </>
      )}
    </aside>
  );
}

function ScoreLine({ attempt }: { attempt: Attempt }) {
  const read = attempt.features.filter(({ state }) => state !== 'open').length;
  if (attempt.score == null) {
    if (read === attempt.features.length) {
      return (
        <p className="text-xl leading-snug" data-testid="score">
          {attempt.features.some(({ state }) => state === 'disputed')
            ? 'The score comes when it is decided which reading counts.'
            : 'The score comes when the server has every reading.'}
        </p>
      );
    }
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

function CreditRow({
  feature,
  bends,
  locked,
  onCorrect,
}: {
  feature: Feature;
  bends: number;
  locked: boolean;
  onCorrect: () => void;
}) {
  return (
    <tr className="border-t border-base-300">
      <th scope="row" className="py-0.5 text-left font-normal">
        {featureName(feature.id, bends)}
      </th>
      <td className="text-right">
        {feature.state === 'omitted' && 'not measured'}
        {feature.state === 'disputed' && '▲ two'}
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
        {feature.reading != null && !locked && (
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

/** What was found when the piece was looked over, and what it costs; whatever critical was not measured. */
function Faults({ attempt }: { attempt: Attempt }) {
  const faults = attempt.bench.points.filter(({ finding }) => finding?.result === 'fault');
  const omitted = attempt.score?.criticalOmitted ?? [];
  const { own, rework } = attempt.bench;
  if (faults.length === 0 && omitted.length === 0 && own == null && rework.length === 0) {
    return null;
  }
  return (
    <section aria-label="Looked over" className="text-base leading-snug">
      {omitted.length > 0 && (
        <p className="text-error">
          ✕ Not passed: {omitted.map((id) => featureName(id, attempt.plan.marks.length)).join(', ')} was not measured.
        </p>
      )}
      <ul>
        {faults.map(({ point, fault, deduction, critical, finding }) => (
          <li key={point}>
            ✕ {fault}, −{deduction}
            {critical && ', fails the piece'}
            {finding?.note != null && <span className="italic"> ({finding.note})</span>}
          </li>
        ))}
      </ul>
      {rework.length > 0 && (
        <p>
          Re-bent <span className="figures">{rework.length}</span> {rework.length === 1 ? 'time' : 'times'}
        </p>
      )}
      {own != null && (
        <p>
          Own arithmetic: <span className="figures">{Math.round(own.points)}</span> of 100, scored apart
        </p>
      )}
    </section>
  );
}
