import { useState } from 'react';
import type { Problem, Schemas } from '../api/client';
import type { Attempt } from '../api/queries';
import { Choice } from '../frame/Header';
import { stagesOf } from '../measure/stages';
import { BenderShare } from './BenderShare';
import { Decide } from './Decide';
import { NearLimits } from './NearLimits';
import { Points } from './Points';
import { Remedy } from './Remedy';
import { ScoreLine } from './ScoreLine';
import { TheRecord } from './TheRecord';
import { Waterfall } from './Waterfall';
import { Why } from './Why';
import { IfMay } from '../frame/IfMay';

const TABS = [
  { value: 'why', name: 'Why' },
  { value: 'points', name: 'Points' },
  { value: 'from', name: 'Where from' },
  { value: 'record', name: 'Record' },
] as const;

interface VerdictPanelProps {
  attempt: Attempt;
  judgement: Schemas['Judgement'] | undefined;
  problem: Problem | null;
}

/** The score, always; then why and what to do, where the points went, where the deviations came from, and the record. */
export function VerdictPanel({ attempt, judgement, problem }: VerdictPanelProps) {
  const [tab, setTab] = useState<(typeof TABS)[number]['value']>('why');
  return (
    <aside
      aria-label="Verdict"
      className="flex w-full shrink-0 flex-col gap-3 overflow-y-auto border-base-300 bg-base-200 p-3 lg:w-[25rem] lg:border-l"
    >
      <ScoreLine attempt={attempt} />
      {attempt.features
        .filter(({ state }) => state === 'disputed')
        .map((each) => (
          <IfMay key={each.id} right="MEASURE">
            <Decide attempt={attempt} feature={each} />
          </IfMay>
        ))}
      <Choice label="What to see" options={TABS} value={tab} onChange={setTab} />
      {tab === 'record' ? (
        <TheRecord attempt={attempt} />
      ) : judgement === undefined ? (
        <p role="status" className="text-lg leading-snug">
          {problem === null ? 'Working it out…' : `The rest of the verdict needs the server: ${problem.message}`}
        </p>
      ) : (
        <>
          {tab === 'why' && (
            <>
              {stagesOf(attempt).length > 0 && <p className="-mb-2 text-base">As first bent:</p>}
              <Why finding={judgement.finding} diagnosis={judgement.diagnosis} />
              {/* A device may remember an answer of an earlier build. */}
              <NearLimits near={(judgement.nearLimits as typeof judgement.nearLimits | undefined) ?? []} />
              {judgement.bender != null && <BenderShare share={judgement.bender} bends={attempt.plan.marks.length} />}
              <Remedy judgement={judgement} attempt={attempt} />
            </>
          )}
          {tab === 'points' && <Points attempt={attempt} marksheet={judgement.marksheet} />}
          {tab === 'from' && <Waterfall attempt={attempt} budgets={judgement.budgets} />}
        </>
      )}
    </aside>
  );
}
