import { Printer } from 'lucide-react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import type { Attempt } from '../api/queries';
import { kindOf } from '../bends/kinds';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { BentAgain } from '../measure/BentAgain';
import { OfJob } from '../job/OfJob';
import { FarEnd } from './FarEnd';
import { InItsFittings } from './InItsFittings';

/** What to do with this piece, with what it comes to; what to do next time, with something to try it on. */
export function Remedy({ judgement, attempt }: { judgement: Schemas['Judgement']; attempt: Attempt }) {
  const { advice, nextTime } = judgement;
  return (
    <>
      <InItsFittings fit={judgement.fit} />
      <FarEnd farEnd={judgement.farEnd} />
      {judgement.fit != null && <OfJob assignmentId={attempt.assignmentId} />}
      {advice != null && (
        <section aria-label="This piece" className="border-t-2 border-base-content/60 pt-2">
          <h2 className="text-base font-semibold">This piece</h2>
          <p className={`text-lg leading-snug ${advice.outcome === 'scrap' ? 'text-error' : ''}`}>
            {advice.outcome === 'scrap' && <span aria-hidden="true">✕ </span>}
            {advice.words}
          </p>
          {advice.steps.length > 0 && (
            <ol className="list-decimal pl-6 text-xl leading-snug">
              {advice.steps.map(({ words }) => (
                <li key={words} className="py-0.5">
                  {words}
                </li>
              ))}
            </ol>
          )}
          {advice.steps.length > 0 && <Expected advice={advice} bends={attempt.plan.marks.length} />}
        </section>
      )}
      <BentAgain attempt={attempt} advised={advised(advice)} />
      {nextTime != null && <NextTime nextTime={nextTime} attempt={attempt} />}
      <a
        href={`/api/attempts/${attempt.id}/verdict.pdf`}
        className="flex min-h-11 items-center gap-2 underline underline-offset-4"
      >
        <Printer size={18} aria-hidden="true" /> Verdict on one page (PDF)
      </a>
    </>
  );
}

/** What is done to which bend, by its number. */
function advised(advice: Schemas['AdviceView'] | null | undefined): Record<number, 'eased' | 'added'> {
  return Object.fromEntries(
    (advice?.steps ?? []).flatMap(({ bend, change }) => (bend == null || change == null ? [] : [[bend, change]])),
  );
}

/** What the simulation says that the steps come to; only what changes. */
function Expected({ advice, bends }: { advice: Schemas['AdviceView']; bends: number }) {
  const changed = advice.expected.filter(({ now, after }) => Math.abs(after - now) > 1e-6);
  return (
    <table className="mt-1 w-full text-base leading-tight" data-testid="expected">
      <caption className="sr-only">What it comes to</caption>
      <thead className="text-left text-sm">
        <tr>
          <th className="font-normal">comes to</th>
          <th className="text-right font-normal">now</th>
          <th className="text-right font-normal">then</th>
          <th className="text-right font-normal">right</th>
        </tr>
      </thead>
      <tbody>
        {changed.map(({ feature, unit, now, after, target, insideAfter }) => (
          <tr key={feature} className="border-t border-base-300">
            <th scope="row" className="py-0.5 text-left font-normal">
              {featureName(feature, bends)}
            </th>
            <td className="text-right">
              <Figure value={now} unit={unit} />
            </td>
            <td className={`text-right text-lg ${insideAfter ? 'text-success' : 'text-error'}`}>
              <span aria-hidden="true">{insideAfter ? '● ' : '✕ '}</span>
              <Figure value={after} unit={unit} />
            </td>
            <td className="text-right text-primary">
              <Figure value={target} unit={unit} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function NextTime({ nextTime, attempt }: { nextTime: Schemas['NextTimeView']; attempt: Attempt }) {
  const navigate = useNavigate();
  const { name } = kindOf(nextTime.kind);
  const proposed: Schemas['ExerciseInput'] = {
    title: `${name}, once more with care`,
    conduitLabel: attempt.exercise.conduitLabel,
    benderLabel: attempt.exercise.benderLabel,
    definition: nextTime.definition,
  };
  return (
    <section aria-label="Next time" className="border-t-2 border-base-content/60 pt-2">
      <h2 className="text-base font-semibold">Next time</h2>
      <p className="text-xl leading-snug">{nextTime.sentence}</p>
      <button
        type="button"
        className="btn mt-1 h-11 border-2 border-base-content/60 text-base"
        onClick={() => void navigate('/set', { state: { proposed } })}
      >
        Set one to try it on: {name}
      </button>
    </section>
  );
}
