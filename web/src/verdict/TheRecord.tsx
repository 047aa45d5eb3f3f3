import { Fragment, useState } from 'react';
import type { Attempt, Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Correction } from './Correction';
import { Verification } from './Decide';
import { History } from './History';
import { Stages } from './Stages';
import { IfMay } from '../frame/IfMay';
import { useMay } from '../frame/rights';

/** What is on record: who read what, when and with what; corrections; what was looked over; the lock. */
export function TheRecord({ attempt }: { attempt: Attempt }) {
  const [correcting, setCorrecting] = useState<string>();
  const measures = useMay('MEASURE');
  const feature = attempt.features.find(({ id }) => id === correcting);
  const bends = attempt.plan.marks.length;
  return (
    <>
      <IfMay right="MEASURE">
        <Verification attempt={attempt} />
      </IfMay>
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
            <Fragment key={each.id}>
              <CreditRow
                feature={each}
                bends={bends}
                locked={attempt.bench.seal?.sealed === true || !measures}
                onCorrect={() => {
                  setCorrecting(each.id);
                }}
              />
              {each === feature && (
                // Where the eye is: below the reading that is wrong.
                <tr>
                  <td colSpan={4} className="pb-3">
                    <Correction
                      key={each.reading?.id}
                      attempt={attempt}
                      feature={each}
                      bends={bends}
                      onDone={() => {
                        setCorrecting(undefined);
                      }}
                    />
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
      <Stages attempt={attempt} />
      <LookedOver attempt={attempt} />
      <History features={attempt.features} bends={bends} />
    </>
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
function LookedOver({ attempt }: { attempt: Attempt }) {
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
