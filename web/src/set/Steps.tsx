import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import { Figure } from '../entry/Figure';

/** How the piece is bent, one time in the shoe after the other: all from the core. */
export function Steps({ plan }: { plan: LayoutAnswer }) {
  return (
    <ol aria-label="Order of bending" className="grid gap-1.5 leading-snug">
      {plan.steps.map((step, i) => (
        <li key={step.mark} className="grid grid-cols-[2rem_1fr] gap-x-2 border-t border-base-300 pt-1">
          <span className="figures text-2xl leading-none">{i + 1}</span>
          <StepWords step={step} plan={plan} />
        </li>
      ))}
    </ol>
  );
}

/** One time in the shoe: what is set where, what is done before, and how far to pull. */
export function StepWords({ step, plan }: { step: Schemas['StepAnswer']; plan: LayoutAnswer }) {
  return (
    <div>
      <p className="text-xl leading-tight">
        {SHOE[step.reference]} on ring {step.mark} at <Figure value={step.positionIn} unit="in" className="text-2xl" />
      </p>
      {plan.marks
        .filter(({ number, back }) => number === step.mark && back != null)
        .map(({ back }) => (
          <p key={step.mark}>
            measured from the back of bend {back?.bend}:{' '}
            <Figure value={back?.figureIn ?? 0} unit="in" className="text-xl" />
          </p>
        ))}
      <p>Hook {step.hookTowards === 'datum' ? '◂ towards the datum end' : '▸ towards the far end'}</p>
      {step.endForEnd && <p>⇄ First take it out and turn it end for end</p>}
      {Math.abs(step.turnDeg) > 1e-6 && (
        <p>
          ↻ Turn the conduit <Figure value={Math.abs(step.turnDeg)} unit="deg" />
          {Math.abs(step.turnDeg) < 179.99 &&
            (step.turnDeg > 0 ? ' clockwise, seen from the datum end' : ' anticlockwise, seen from the datum end')}
        </p>
      )}
      <Pull step={step} />
    </div>
  );
}

const SHOE = { arrow: 'Arrow', star: 'Star', notch: 'Notch' } as const;

function Pull({ step }: { step: Schemas['StepAnswer'] }) {
  const springs = step.leverDeg > step.restDeg;
  return (
    <p>
      ⤴ Pull to <Figure value={step.leverDeg} unit="deg" className="text-xl" />
      {springs && (
        <>
          {' '}
          so that it rests at <Figure value={step.restDeg} unit="deg" />
        </>
      )}
    </p>
  );
}
