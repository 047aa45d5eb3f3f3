import { RotateCw } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Attempt, useAttempt, useJudgement } from '../api/queries';
import { VerdictDrawing } from './VerdictDrawing';
import { ScoreLine } from './ScoreLine';

/** To be turned round: one trainee's piece, large, in a few plain words, and nothing of anybody else. */
export default function Show() {
  const { attemptId } = useParams();
  const attempt = useAttempt(attemptId);
  if (attempt.data === undefined) {
    return (
      <p className="p-8 text-xl" role="status">
        {attempt.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return <Shown attempt={attempt.data} />;
}

function Shown({ attempt }: { attempt: Attempt }) {
  const [across, setAcross] = useState(false);
  const { data: judgement } = useJudgement(attempt);
  return (
    <div className={`flex h-full min-h-[38rem] flex-col ${across ? 'rotate-180' : ''}`}>
      <header className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1 border-b border-base-300 px-4 py-1.5">
        <h1 className="text-2xl leading-tight font-semibold">
          {attempt.trainee.fullName}
          <span className="block text-base font-normal">{attempt.exercise.title}</span>
        </h1>
        <span className="flex gap-2">
          <button
            type="button"
            aria-pressed={across}
            className="btn h-11 border-2 border-base-content/60 text-base"
            onClick={() => {
              setAcross(!across);
            }}
          >
            <RotateCw size={18} aria-hidden="true" /> Turn it round
          </button>
          <Link to={`/verdict/${attempt.id}`} className="btn h-11 border-2 border-base-content/60 text-base">
            Back
          </Link>
        </span>
      </header>
      <div className="relative min-h-[18rem] flex-1">
        <VerdictDrawing attempt={attempt} marked={undefined} switches={false} />
      </div>
      <p className="px-4 pb-1">
        Outline: as asked. Filled: as bent
        {attempt.drawnTimes > 1 && `, the difference drawn ${String(attempt.drawnTimes)} times as large`}.
      </p>
      <div className="grid shrink-0 gap-x-8 gap-y-2 border-t border-base-300 bg-base-200 p-4 sm:grid-cols-[23rem_1fr_1fr]">
        <ScoreLine attempt={attempt} />
        <section aria-label="What happened">
          <h2 className="text-base font-semibold">What happened</h2>
          <p className="text-2xl leading-snug">{judgement?.finding.sentence ?? 'Working it out…'}</p>
          {judgement?.bender != null && <p className="pt-1 text-xl leading-snug">{judgement.bender.sentence}</p>}
        </section>
        <section aria-label="What to do">
          <h2 className="text-base font-semibold">What to do</h2>
          {judgement?.advice != null && (
            <p className="text-xl leading-snug">
              {judgement.advice.steps.length > 0
                ? judgement.advice.steps.map(({ words }) => words).join(' ')
                : judgement.advice.words}
            </p>
          )}
          {judgement?.nextTime != null && (
            <p className="pt-1 text-xl leading-snug font-semibold">{judgement.nextTime.sentence}</p>
          )}
        </section>
      </div>
    </div>
  );
}
