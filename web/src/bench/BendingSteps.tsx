import { ChevronLeft, ChevronRight, Pause, Play } from 'lucide-react';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import { FROM_THE_SIDE, FROM_THERE, turnWords } from '../drawing/shoeView';
import { InShoe } from '../drawing/InShoe';
import { Choice } from '../frame/Header';
import { StepWords } from '../set/Steps';
import { picturesOf, turnsOf, usePictures } from './pictures';

interface BendingStepsProps {
  bends: readonly Schemas['ShownBendAnswer'][];
  plan: LayoutAnswer;
  diameter: number;
}

const VIEWS = [
  { value: 'there', name: 'From where you stand' },
  { value: 'side', name: 'From the side' },
] as const;

/**
 * The bends of a piece one after the other: the part-bent piece is turned in the shoe, and bent. Each press is a step; it also plays
 * by itself, and stops wherever somebody presses.
 */
export function BendingSteps({ bends, plan, diameter }: BendingStepsProps) {
  const [step, setStep] = useState(0);
  const [view, setView] = useState<(typeof VIEWS)[number]['value']>('there');
  const bend = bends[step];
  const last = bend === undefined ? 0 : picturesOf(bend) - 1;
  const { picture, playing, play, pause, show } = usePictures(last, () => {
    const more = step + 1 < bends.length;
    if (more) {
      setStep(step + 1);
    }
    return more;
  });
  const answer = plan.steps[step];
  if (bend === undefined || answer === undefined) {
    return null;
  }
  const go = (to: number) => {
    setStep(Math.min(bends.length - 1, Math.max(0, to)));
    show(0);
  };
  const at = Math.min(picture, last);
  const turning = turnsOf(bend);
  const turn = turnWords(bend.turnSeenDeg);
  return (
    <section
      aria-label="Bending, step by step"
      className="flex min-h-0 min-w-0 flex-1 flex-col"
      onKeyDown={(event) => {
        if (event.key === 'PageDown' || event.key === 'PageUp') {
          event.preventDefault();
          go(step + (event.key === 'PageDown' ? 1 : -1));
        }
      }}
    >
      <div className="flex min-h-0 flex-1 max-md:flex-col">
        <div className="relative min-h-[15rem] min-w-0 flex-1">
          <InShoe
            bend={bend}
            moment={Math.max(0, at - turning)}
            turnLeft={turning === 0 ? 0 : Math.max(0, 1 - at / turning)}
            outsideDiameter={diameter}
            gaze={view === 'there' ? FROM_THERE : FROM_THE_SIDE}
            description={described(bend, step, turn)}
          />
        </div>
        <div className="flex w-72 shrink-0 flex-col gap-1 p-3 leading-snug max-md:w-full max-md:p-2" aria-live="polite">
          <p className="text-2xl leading-none font-semibold">
            Bend {step + 1} of {bends.length}
          </p>
          {turn !== undefined && (
            <p className="text-xl leading-tight">
              <span aria-hidden="true">{bend.turnSeenDeg > 0 ? '↻ ' : '↺ '}</span>Turn it <b>{turn}</b>, seen from where
              you stand
            </p>
          )}
          <StepWords step={answer} plan={plan} shown />
          <p>
            {bend.stance === 'inTheAir'
              ? 'In the air: the lever’s end on the floor, the conduit pulled down.'
              : `You stand at the ${bend.fromDatumEnd ? 'datum' : 'far'} end.`}
            {answer.standing != null && answer.standing.leverLeanDeg > 0.5 && (
              <>
                {' '}
                Lean the lever {Math.round(answer.standing.leverLeanDeg)}° past what is bent; keep the plane, it invites
                a dog leg.
              </>
            )}
          </p>
        </div>
      </div>
      <div className="flex shrink-0 flex-wrap items-center gap-2 px-2.5 pb-1">
        <button
          type="button"
          className={BUTTON}
          aria-label="Bend before"
          disabled={step === 0}
          onClick={() => {
            go(step - 1);
          }}
        >
          <ChevronLeft size={24} />
        </button>
        <button
          type="button"
          className={`${BUTTON} w-24`}
          aria-pressed={playing}
          onClick={() => {
            if (playing) {
              pause();
              return;
            }
            if (step === bends.length - 1 && picture >= last) {
              setStep(0);
              show(0);
            }
            play();
          }}
        >
          {playing ? <Pause size={20} /> : <Play size={20} />} {playing ? 'Pause' : 'Play'}
        </button>
        <button
          type="button"
          className={BUTTON}
          aria-label="Next bend"
          disabled={step + 1 >= bends.length}
          onClick={() => {
            go(step + 1);
          }}
        >
          <ChevronRight size={24} />
        </button>
        <input
          type="range"
          aria-label="How far this bend is"
          min={0}
          max={last}
          value={at}
          className="range range-sm min-w-24 flex-1 max-w-64"
          onChange={(event) => {
            show(Number(event.target.value));
          }}
        />
        <Choice label="Seen" options={VIEWS} value={view} onChange={setView} />
      </div>
    </section>
  );
}

const BUTTON =
  'flex h-11 min-w-11 items-center justify-center gap-1.5 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg disabled:opacity-50';

function described(bend: Schemas['ShownBendAnswer'], step: number, turn: string | undefined): string {
  const turned = turn === undefined ? '' : ` turned ${turn} before, seen from where one stands,`;
  return `Bend ${String(step + 1)}: the piece in the shoe,${turned} bent to ${String(Math.round(bend.moments.at(-1)?.bentDeg ?? 0))}°.`;
}
