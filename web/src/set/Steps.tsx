import { ArrowUp } from 'lucide-react';
import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import { hookWords, onRing } from '../drawing/onRing';
import { Figure } from '../entry/Figure';
import { minutes } from '../entry/minutes';

/** An order of bending that may be another than the proposed one. */
export interface OwnOrder {
  isOwn: boolean;
  /** @param step its place in the order, from 0; it changes places with the one before it */
  onEarlier: (step: number) => void;
  onProposed: () => void;
}

/** How the piece is bent, one bend after the other: all from the core. */
export function Steps({ plan, order }: { plan: LayoutAnswer; order?: OwnOrder | undefined }) {
  return (
    <>
      <ReadyMade plan={plan} />
      {order?.isOwn === true && (
        <button type="button" className="btn h-11 border-2 border-base-content/60 text-base" onClick={order.onProposed}>
          The proposed order again
        </button>
      )}
      <ol aria-label="Order of bending" className="grid gap-1.5 leading-snug">
        {plan.steps.map((step, i) => (
          <li key={step.mark} className="grid grid-cols-[2rem_1fr_auto] gap-x-2 border-t border-base-300 pt-1">
            <span className="figures text-2xl leading-none">{i + 1}</span>
            <StepWords step={step} plan={plan} />
            {order !== undefined && i > 0 && (
              <button
                type="button"
                aria-label={`Bend ${String(step.mark)} earlier`}
                title="Bend it earlier"
                className="btn btn-square size-11 border-2 border-base-content/60"
                onClick={() => {
                  order.onEarlier(i);
                }}
              >
                <ArrowUp size={18} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}

/** Whether a ready-made elbow does instead of a bend of one's own, and why. */
function ReadyMade({ plan }: { plan: LayoutAnswer }) {
  // A device may remember a plan from before that was asked.
  const elbow = (plan as Partial<LayoutAnswer>).readyMade;
  if (elbow == null) {
    return null;
  }
  if (elbow.needIn == null || elbow.shortestIn == null) {
    return <p className="leading-snug">Bend it: ready-made elbows are square, and this piece is not.</p>;
  }
  const need = <Figure value={elbow.needIn} unit="in" />;
  const has = <Figure value={elbow.shortestIn} unit="in" />;
  return elbow.serves ? (
    <p className="leading-snug">
      <b>A ready-made elbow fits</b> and is rounder: of each leg it needs {need}, and the shortest has {has}. Bend it
      for practice, or where none is at hand.
    </p>
  ) : (
    <p className="leading-snug">
      Bend it: of each leg a ready-made elbow needs {need}, and one has only {has}.
    </p>
  );
}

/** One bend: what is set where, what is done before, and how far to go. */
export function StepWords({
  step,
  plan,
  shown = false,
}: {
  step: Schemas['StepAnswer'];
  plan: LayoutAnswer;
  /** The turn is shown and said beside it. */
  shown?: boolean;
}) {
  const hook = hookWords(step.hookTowards, plan.tool);
  return (
    <div>
      <p className="text-xl leading-tight">
        {capital(onRing(step.reference, plan.tool))} on ring {step.mark} at{' '}
        <Figure value={step.positionIn} unit="in" className="text-2xl" />
      </p>
      {plan.marks
        .filter(({ number, back }) => number === step.mark && back != null)
        .map(({ back }) => (
          <p key={step.mark}>
            measured from the back of bend {back?.bend}:{' '}
            <Figure value={back?.figureIn ?? 0} unit="in" className="text-xl" />
          </p>
        ))}
      {hook !== undefined && (
        <p>
          {capital(hook.side)} {hook.sign} towards the {hook.end}
        </p>
      )}
      {step.endForEnd && <p>⇄ First take it out and turn it end for end</p>}
      {!shown && Math.abs(step.turnDeg) > 1e-6 && (
        <p>
          ↻ Turn the conduit <Figure value={Math.abs(step.turnDeg)} unit="deg" />
          {Math.abs(step.turnDeg) < 179.99 &&
            (step.turnDeg > 0 ? ' clockwise, seen from the datum end' : ' anticlockwise, seen from the datum end')}
        </p>
      )}
      {plan.tool === 'machine' && plan.steps.length > 1 && <p>◇ Level against twist: in the middle again?</p>}
      {plan.tool === 'former' ? <Warm step={step} /> : <Pull step={step} tool={plan.tool} />}
    </div>
  );
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** Warmed over its length, bent a little past, held until it is cold. */
function Warm({ step }: { step: Schemas['StepAnswer'] }) {
  return (
    <>
      {step.heatFromIn != null && step.heatToIn != null && (
        <p>
          ≈ Warm from <Figure value={step.heatFromIn} unit="in" className="text-xl" /> to{' '}
          <Figure value={step.heatToIn} unit="in" className="text-xl" />, turning it all the time
          {step.warmSeconds != null && step.warmSeconds > 0 && <>, about {minutes(step.warmSeconds)}</>}
        </p>
      )}
      <p>
        ⤴ Bend to <Figure value={step.restDeg} unit="deg" className="text-xl" />, a little past, and back; hold it until
        it is cold
        {step.coolSeconds != null && step.coolSeconds > 0 && <>, about {minutes(step.coolSeconds)}</>}
      </p>
    </>
  );
}

function Pull({ step, tool }: { step: Schemas['StepAnswer']; tool: LayoutAnswer['tool'] }) {
  const springs = step.leverDeg > step.restDeg;
  if (tool === 'machine') {
    return (
      <>
        <p>
          ⤴ Push to <Figure value={step.leverDeg} unit="deg" className="text-xl" /> under load
          {step.travelIn == null ? (
            ' by the protractor: no travel is known for it'
          ) : (
            <>
              : ram out <Figure value={step.travelIn} unit="in" className="text-xl" />
            </>
          )}
        </p>
        <p>
          ⤵ Let the pressure off: it rests at <Figure value={step.restDeg} unit="deg" className="text-xl" />; check
        </p>
      </>
    );
  }
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
