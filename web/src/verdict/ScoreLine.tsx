import type { Attempt } from '../api/queries';
import { stagesOf } from '../measure/stages';
import { failingWords } from './failing';

/** The points and whether it passed; until then, what is still missing. */
export function ScoreLine({ attempt }: { attempt: Attempt }) {
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
  const { points, passed, passMark } = attempt.score;
  const stages = stagesOf(attempt);
  return (
    <div data-testid="score">
      <div className="flex items-end justify-between gap-2">
        <p className="leading-none whitespace-nowrap">
          <span className="figures text-[4.2rem] leading-[0.85]">{Math.round(points * 10) / 10}</span>
          <span className="pl-1 text-lg">of 100</span>
        </p>
        <p
          className={`flex items-center gap-2 rounded-field whitespace-nowrap px-3 py-1 text-2xl font-semibold ${passed ? 'bg-success text-success-content' : 'bg-error text-error-content'}`}
        >
          <span aria-hidden="true">{passed ? '●' : '✕'}</span>
          {passed ? 'Pass' : 'Not yet'}
        </p>
      </div>
      {stages.length > 0 && (
        <p className="pt-1 leading-snug">
          As it is, bent again {stages.length === 1 ? 'once' : `${String(stages.length)} times`};{' '}
          {stages[0]?.before.points == null
            ? 'not measured to the end as first bent.'
            : `${String(Math.round(stages[0].before.points * 10) / 10)} as first bent.`}
        </p>
      )}
      {!passed && points >= passMark && (
        <p className="pt-1 leading-snug text-error">Fails the piece whatever its points: {failingWords(attempt)}.</p>
      )}
    </div>
  );
}
