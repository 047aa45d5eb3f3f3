import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Strip } from '../drawing/Strip';
import { StepWords } from '../set/Steps';
import { BendPicture } from './BendPicture';
import { LookFirst } from './LookFirst';
import { RunsDown } from './RunsDown';

/** The steps of bending, one at a time: the ring in hand on the conduit, the tool on it, what to do and how far to go. */
export function StepByStep({
  job,
  plan,
  bending = [],
}: {
  job: Schemas['SheetJob'];
  plan: Schemas['LayoutAnswer'];
  /** How each bend is seen; a phone may remember an answer from before that was told. */
  bending?: readonly Schemas['ShownBendAnswer'][] | undefined;
}) {
  const [at, setAt] = useState(0);
  // A phone may remember a sheet from an earlier build, which had nothing to look over first.
  const { before = [] }: { before?: readonly string[] } = plan;
  const [looked, setLooked] = useState(before.length === 0);
  const step = plan.steps[at];
  if (!looked) {
    return (
      <LookFirst
        points={before}
        onDone={() => {
          setLooked(true);
        }}
      />
    );
  }
  if (step === undefined) {
    return (
      <section aria-label="Bending" className="grid gap-2 border-t-2 border-base-content/60 pt-2">
        <h2 className="text-xl font-semibold">All bends are made</h2>
        <p className="leading-snug">Measure it yourself once more, then press “Come and check”.</p>
        <Move
          name="Back to the last bend"
          onPress={() => {
            setAt(plan.steps.length - 1);
          }}
        />
      </section>
    );
  }
  const picture = bending[at];
  const only = { ...plan, marks: plan.marks.filter(({ number }) => number === step.mark) };
  return (
    <section aria-label="Bending" className="grid gap-2 border-t-2 border-base-content/60 pt-2">
      <h2 className="text-xl font-semibold" aria-live="polite">
        Bend {at + 1} of {plan.steps.length}
      </h2>
      <div className="h-[8.6rem] rounded-field border border-base-content/30">
        <Strip plan={only} outsideDiameter={job.outsideDiameterIn} divisionIn={job.divisionIn} />
      </div>
      <div className="text-lg leading-snug">
        <StepWords step={step} plan={plan} shown={picture !== undefined} />
      </div>
      {picture !== undefined && <BendPicture key={at} bend={picture} diameter={job.outsideDiameterIn} />}
      {(step.warmSeconds ?? 0) > 0 && (
        <RunsDown key={`warm${String(at)}`} name="Warming" seconds={step.warmSeconds ?? 0} />
      )}
      {(step.coolSeconds ?? 0) > 0 && (
        <RunsDown key={`cool${String(at)}`} name="Cooling" seconds={step.coolSeconds ?? 0} />
      )}
      <div className="grid grid-cols-2 gap-2">
        <Move
          name="Back"
          disabled={at === 0}
          onPress={() => {
            setAt(at - 1);
          }}
        />
        <Move
          name={at + 1 === plan.steps.length ? 'Bent, all done' : 'Bent, next'}
          main
          onPress={() => {
            setAt(at + 1);
          }}
        />
      </div>
    </section>
  );
}

function Move({
  name,
  onPress,
  main = false,
  disabled = false,
}: {
  name: string;
  onPress: () => void;
  main?: boolean;
  disabled?: boolean;
}) {
  return (
    <button
      type="button"
      disabled={disabled}
      onClick={onPress}
      className={`btn h-12 text-lg ${main ? 'btn-neutral' : 'border-2 border-base-content/60'}`}
    >
      {name}
    </button>
  );
}
