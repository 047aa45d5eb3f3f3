import { useState } from 'react';
import type { Schemas } from '../api/client';
import { type Attempt, useComparison } from '../api/queries';
import { carriedWords } from './carried';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { differsFromAsked } from '../entry/line';
import { useDisplayUnit } from '../frame/signedIn';
import { failingWords } from './failing';

const PARTS: Record<Schemas['PartPoints']['part'], string> = {
  arithmetic: 'Arithmetic',
  layout: 'Layout',
  bending: 'Bending',
  result: 'Result',
  workmanship: 'Workmanship',
};

/** Every part by itself, every lost point with its reason, and what it would have been under other tolerances. */
export function Points({
  attempt,
  marksheet,
}: {
  attempt: Attempt;
  marksheet: Schemas['MarksheetView'] | null | undefined;
}) {
  if (marksheet == null) {
    return <p className="text-lg leading-snug">There are points once everything is read.</p>;
  }
  const bends = attempt.plan.marks.length;
  const lost = marksheet.lost.reduce((sum, { points }) => sum + points, 0);
  return (
    <>
      <section aria-label="Parts of the work">
        <table className="w-full text-lg leading-tight">
          <caption className="sr-only">Points of each part, of 100</caption>
          <tbody>
            {marksheet.parts.map(({ part, points }) => (
              <tr key={part} className="border-b border-base-300">
                <th scope="row" className="py-1 text-left font-normal">
                  {PARTS[part]}
                </th>
                <td className="w-40">
                  <span className="flex items-center justify-end gap-2">
                    <span className="h-3 w-24 border border-base-content/60" aria-hidden="true">
                      <span className="block h-full bg-base-content" style={{ width: `${String(points)}%` }} />
                    </span>
                    <span className="figures w-10 text-right">{Math.round(points)}</span>
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Lost points">
        <h2 className="text-base font-semibold">
          {lost === 0 ? 'No point was lost' : `${text(lost)} points lost`}
          {lost > 100 && ', more than there are'}
        </h2>
        <ul>
          {marksheet.lost.map((each) => (
            <LostRow key={each.feature ?? each.point ?? each.fault} lost={each} bends={bends} />
          ))}
        </ul>
        {marksheet.failing.length > 0 && (
          <p className="pt-1 text-base leading-snug text-error">
            ✕ Fails it whatever its points: {failingWords(attempt)}.
          </p>
        )}
      </section>
      <CarriedOn attempt={attempt} />
      <MethodShare attempt={attempt} />
      <Comparison attempt={attempt} />
      <p className="text-sm leading-snug">
        Judged by “{attempt.tolerances.preset}”: ±
        <Figure value={attempt.tolerances.lengthIn} unit="in" />, ±
        <Figure value={attempt.tolerances.angleDeg} unit="deg" />, pass mark{' '}
        <span className="figures">{attempt.tolerances.passMark}</span>. It was frozen when measuring began. A mark out
        of tolerance costs points but fails no piece.
      </p>
    </>
  );
}

/** What follows rightly from something wrong: one slip counts once. */
function CarriedOn({ attempt }: { attempt: Attempt }) {
  const carried = attempt.features.flatMap((feature) =>
    feature.carried == null ? [] : [{ ...feature, carried: feature.carried }],
  );
  const bends = attempt.plan.marks.length;
  return carried.length === 0 ? null : (
    <section aria-label="Carried on">
      <h2 className="text-base font-semibold">Carried on: one slip counts once</h2>
      <ul className="leading-snug">
        {carried.map((each) => (
          <li key={each.id}>
            {featureName(each.id, bends)}, held to <Figure value={each.target} unit={each.unit} />:{' '}
            {carriedWords(each, bends)}.
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What the set method itself misses of what was asked: shown, and charged to nobody. */
function MethodShare({ attempt }: { attempt: Attempt }) {
  const display = useDisplayUnit();
  const missed = attempt.features.filter((feature) => feature.carried == null && differsFromAsked(feature, display));
  if (missed.length === 0) {
    return null;
  }
  const method = attempt.exercise.definition.method === 'exact' ? 'exact layout' : 'the chart';
  return (
    <section aria-label="The method’s share">
      <h2 className="text-base font-semibold">The method’s share: nobody’s fault</h2>
      <p className="text-base leading-snug">
        Judged against what the right marks by {method} give on {attempt.exercise.benderLabel}, not against what was
        asked.
      </p>
      <ul>
        {missed.map(({ id, unit, asked, target }) => (
          <li key={id} className="flex items-baseline justify-between gap-2 border-b border-base-300 py-0.5">
            <span>
              {featureName(id, attempt.plan.marks.length)}: asked <Figure value={asked} unit={unit} />, right{' '}
              <Figure value={target} unit={unit} />
            </span>
            <Figure value={target - asked} unit={unit} signed className="text-lg" />
          </li>
        ))}
      </ul>
    </section>
  );
}

function text(points: number): string {
  return String(Math.round(points * 10) / 10);
}

/** One reason: what, how far off in tolerances, how many points. */
function LostRow({ lost, bends }: { lost: Schemas['LostPoints']; bends: number }) {
  return (
    <li className="flex items-baseline justify-between gap-2 border-b border-base-300 py-0.5">
      {lost.feature == null ? (
        <span>
          {lost.point == null ? 'Piece: ' : 'Looked over: '}
          {lost.fault}
        </span>
      ) : (
        <span className="leading-tight">
          {featureName(lost.feature, bends)}{' '}
          <Figure value={lost.deviation ?? 0} unit={lost.unit ?? 'in'} signed className="text-lg" />
          <span className="block text-sm">
            {text(lost.times ?? 0)} times its tolerance of{' '}
            <Figure
              value={(lost.deviation ?? 0) < 0 ? -(lost.tolerance ?? 0) : (lost.tolerance ?? 0)}
              unit={lost.unit ?? 'in'}
              signed
            />
            {lost.weight != null && lost.weight !== 1 && <>, counts {text(lost.weight)} times</>}
          </span>
        </span>
      )}
      <span className="figures text-xl">−{text(lost.points)}</span>
    </li>
  );
}

function Comparison({ attempt }: { attempt: Attempt }) {
  const [open, setOpen] = useState(false);
  const comparison = useComparison(attempt.id, attempt.score?.points ?? 0, open);
  if (!open) {
    return (
      <button
        type="button"
        className="min-h-11 text-left underline underline-offset-4"
        onClick={() => {
          setOpen(true);
        }}
      >
        What would it have been under other tolerances?
      </button>
    );
  }
  return (
    <section aria-label="Under other tolerances">
      <h2 className="text-base font-semibold">It would have been</h2>
      {comparison.error !== null && <p role="alert">✕ {comparison.error.message}</p>}
      <table className="w-full text-lg leading-tight">
        <tbody>
          {comparison.data?.map(({ preset, points, passed }) => (
            <tr key={preset} className="border-t border-base-300">
              <th scope="row" className="py-1 text-left font-normal">
                {preset}
              </th>
              <td className="figures text-right">{text(points)}</td>
              <td className={`pl-3 text-right ${passed ? 'text-success' : 'text-error'}`}>
                {passed ? '● pass' : '✕ not yet'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
