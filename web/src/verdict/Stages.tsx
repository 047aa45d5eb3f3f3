import type { Attempt } from '../api/queries';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { useKeep } from '../queue/outboxContext';
import { doneWords, type Stage, stagesOf } from '../measure/stages';

/** Each time that the piece was bent again: what was done, what it cost, and what it brought. */
export function Stages({ attempt }: { attempt: Attempt }) {
  const stages = stagesOf(attempt);
  if (stages.length === 0) {
    return null;
  }
  const last = stages.at(-1);
  return (
    <section aria-label="Bent again" className="text-base leading-snug">
      <h2 className="border-b border-base-300 text-base font-semibold">Bent again</h2>
      <ol>
        {stages.map((stage) => (
          <OneTime key={stage.id} stage={stage} attempt={attempt} mayGo={stage === last} />
        ))}
      </ol>
    </section>
  );
}

function OneTime({ stage, attempt, mayGo }: { stage: Stage; attempt: Attempt; mayGo: boolean }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const bends = attempt.plan.marks.length;
  const { before, after } = stage;
  const changed = before.off.flatMap((was) => {
    const is = after.off.find(({ feature }) => feature === was.feature);
    return is === undefined || is.deviation === was.deviation ? [] : [{ was, is }];
  });
  const unread = after.off.every(({ feature }) => feature.startsWith('mark'));
  return (
    <li className="border-b border-base-300 py-1">
      <p>
        <b>{capital(doneWords(stage, bends))}</b>, {stage.takenBy}, {clock(stage.takenAt)}
      </p>
      <p>
        {points(before.points)} → {points(after.points)}
        {stage.pointsOff > 0 && `, ${text(stage.pointsOff)} taken off for it`}
        {stage.minutes != null && `; ${String(stage.minutes)} min`}
      </p>
      {changed.length > 0 && (
        <table className="w-full leading-tight">
          <caption className="sr-only">What it brought</caption>
          <thead className="text-left text-sm">
            <tr>
              <th className="font-normal">off by</th>
              <th className="text-right font-normal">before</th>
              <th className="text-right font-normal">after</th>
            </tr>
          </thead>
          <tbody>
            {changed.map(({ was, is }) => (
              <tr key={was.feature} data-feature={was.feature}>
                <th scope="row" className="text-left font-normal">
                  {featureName(was.feature, bends)}
                </th>
                <td className="text-right">
                  <Off {...was} />
                </td>
                <td className="text-right">
                  <Off {...is} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {mayGo && unread && (
        <button
          type="button"
          className="min-h-11 underline underline-offset-4"
          onClick={() => {
            void keep({ kind: 'setAside', recordId: stage.id, reason: 'pressed by mistake' });
          }}
        >
          It was not bent again
        </button>
      )}
    </li>
  );
}

function Off({ unit, deviation, band }: Stage['before']['off'][number]) {
  return (
    <span className={band === 'outside' ? 'text-error' : ''}>
      <span aria-hidden="true">{band === 'outside' ? '✕ ' : '● '}</span>
      <Figure value={deviation} unit={unit} signed />
    </span>
  );
}

function points(of: number | null | undefined): string {
  return of == null ? 'not measured to the end' : `${text(of)} points`;
}

function text(value: number): string {
  return String(Math.round(value * 10) / 10);
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function clock(at: string): string {
  return new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
}
