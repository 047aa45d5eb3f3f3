import { type ReactNode, useState } from 'react';
import type { LayoutAnswer } from '../api/queries';
import { useNarrow } from '../frame/narrow';
import type { Shape } from './pose';
import { larger } from './solids';
import { type OnWall, WallPlan } from './WallPlan';
import { wallOf } from './walls';

interface RunWallsProps {
  plan: LayoutAnswer;
  outsideDiameter: number;
  /** What was made, laid over what was asked. */
  made?: Shape | null | undefined;
  exaggeration?: number;
  /** What is read or written, with where it is taken in the piece's frame: its features, or the sizes that are given. */
  dimensions: readonly OnWall[];
  /** Where it is coupled, along the straight conduit, inches. */
  couplings?: readonly number[];
  /** There is room below, too: two walls stand beside each other, and the next below them. */
  stacked?: boolean;
  /** What stands at each of them, by its id. */
  at: Readonly<Record<string, ReactNode>>;
  /** The one in hand: on a phone only its wall is shown. */
  active?: string | undefined;
  description: string;
}

/** Whether a piece goes along walls, each with a plan of its own; a device may remember pieces from before there were runs. */
export function isRun(plan: LayoutAnswer): boolean {
  return ((plan as Partial<LayoutAnswer>).walls ?? []).length > 0;
}

const USUAL = { width: 84, height: 40 };

/** A run as the plans of its walls side by side, with what is read or written where it is taken. What is of all of it stands below. */
export function RunWalls({
  plan,
  outsideDiameter,
  made,
  exaggeration = 1,
  dimensions,
  couplings = [],
  stacked = false,
  at,
  active,
  description,
}: RunWallsProps) {
  const narrow = useNarrow();
  const [chosen, setChosen] = useState(0);
  const { walls } = plan;
  const inHand = active === undefined ? undefined : wallOf(walls, active);
  const only = narrow ? (inHand ?? Math.min(chosen, walls.length - 1)) : undefined;
  const over =
    made == null
      ? undefined
      : {
          shape: {
            ...made,
            centreline: made.centreline.map((point, i) => larger(plan.shape.centreline[i], point, exaggeration)),
          },
          look: 'made' as const,
        };
  const whole = Object.keys(at).filter((id) => wallOf(walls, id) === undefined);
  return (
    <div role="group" aria-label={description} className="flex h-full min-h-0 flex-col">
      {narrow && walls.length > 1 && inHand === undefined && (
        <div className="flex gap-1 px-2 pt-1">
          {walls.map(({ title }, i) => (
            <button
              key={i}
              type="button"
              aria-pressed={i === only}
              className="min-h-11 flex-1 rounded-field border-2 border-base-content/50 px-1 text-sm leading-tight aria-pressed:bg-base-content aria-pressed:text-base-100"
              onClick={() => {
                setChosen(i);
              }}
            >
              {title}
            </button>
          ))}
        </div>
      )}
      <div
        className={
          stacked && !narrow && walls.length > 2
            ? 'grid min-h-0 flex-1 auto-rows-fr grid-cols-2 gap-px *:outline-1 *:outline-base-300'
            : 'flex min-h-0 flex-1 divide-x divide-base-300'
        }
      >
        {walls.map((wall, i) =>
          only !== undefined && i !== only ? null : (
            <WallPlan
              key={i}
              wall={wall}
              shape={plan.shape}
              arcs={plan.shape.arcs.length || arcsOf(plan)}
              outsideDiameter={outsideDiameter}
              over={over}
              marks={plan.marks}
              couplings={couplings}
              dimensions={dimensions.filter(({ id }) => wallOf(walls, id) === i)}
              at={Object.fromEntries(Object.entries(at).filter(([id]) => wallOf(walls, id) === i))}
              usual={USUAL}
            />
          ),
        )}
      </div>
      {whole.length > 0 && (
        <div className="flex shrink-0 flex-wrap items-end gap-1.5 border-t border-base-300 p-1.5 max-sm:hidden">
          {whole.map((id) => (
            <div key={id} data-place={id}>
              {at[id]}
            </div>
          ))}
        </div>
      )}
    </div>
  );
}

/** A job is shown without where its arcs lie on the straight conduit; how many there are says its last wall. */
function arcsOf({ walls }: LayoutAnswer): number {
  return walls.at(-1)?.arcsEnd ?? 0;
}
