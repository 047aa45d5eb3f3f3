import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { LayoutAnswer } from '../api/queries';
import { boxAround, fit, path, type Point, type View } from './geometry';
import { type Shape, type Space, stood } from './pose';
import { Sized } from './Sized';
import { boxes, larger, obstacleSolids } from './solids';
import { type Gaze, ISOMETRIC, seen, turned } from './turn';
import { Conduit, Rings } from './TurnedConduit';

interface TurnedProps {
  plan: LayoutAnswer;
  outsideDiameter: number;
  /** What is asked for exactly, to compare with. */
  wanted?: Shape | null | undefined;
  exaggeration: number;
  description: string;
}

const DEGREES_PER_PIXEL = 0.4;
const DEGREES_PER_KEY = 5;

/** A piece in space, to be turned by dragging or with the arrow keys; drawn with vectors. */
export function Turned(props: TurnedProps) {
  return <Sized name="turned">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>;
}

function Drawing({
  plan,
  outsideDiameter,
  wanted,
  exaggeration,
  description,
  width,
  height,
}: TurnedProps & { width: number; height: number }) {
  const [gaze, setGaze] = useState<Gaze>(ISOMETRIC);
  const drag = useRef<{ x: number; y: number } | undefined>(undefined);
  const stand = stood(plan.shape, outsideDiameter);
  const asked = wanted?.centreline.map(stood(wanted, outsideDiameter));
  const piece = plan.shape.centreline.map(stand).map((point, i) => larger(asked?.[i], point, exaggeration));
  const solids = obstacleSolids(plan.obstacle).concat(boxes(plan.around, stand));
  const look = (point: Space) => seen(point, gaze);
  const extent = [...piece, ...(asked ?? []), ...solids.flatMap(({ edges }) => edges.flat())];
  const view = fit(boxAround(extent.map(look)), width, height, { left: 50, right: 50, top: 60, bottom: 60 });
  const screen = (points: readonly Space[]) => points.map((point) => view.toScreen(look(point)));
  const onKeyDown = (event: KeyboardEvent) => {
    const turn: Partial<Record<string, [number, number]>> = {
      ArrowLeft: [DEGREES_PER_KEY, 0],
      ArrowRight: [-DEGREES_PER_KEY, 0],
      ArrowUp: [0, DEGREES_PER_KEY],
      ArrowDown: [0, -DEGREES_PER_KEY],
    };
    const by = turn[event.key];
    if (by !== undefined) {
      event.preventDefault();
      setGaze(turned(gaze, ...by));
    }
  };
  const onPointerMove = (event: PointerEvent) => {
    if (drag.current !== undefined) {
      const { clientX: x, clientY: y } = event;
      setGaze(turned(gaze, (drag.current.x - x) * DEGREES_PER_PIXEL, (y - drag.current.y) * DEGREES_PER_PIXEL));
      drag.current = { x, y };
    }
  };
  return (
    <>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`${description} Seen from ${gaze.round.toFixed(0)}° round and ${gaze.up.toFixed(0)}° up; turn it with the arrow keys.`}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onPointerDown={(event) => {
          drag.current = { x: event.clientX, y: event.clientY };
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={onPointerMove}
        onPointerUp={() => {
          drag.current = undefined;
        }}
        className="absolute inset-0 block cursor-grab touch-none active:cursor-grabbing"
      >
        <FloorGrid piece={piece} screen={screen} />
        {solids.map(({ name, edges }) => (
          <g key={name} stroke="var(--line)" className="line-medium" fill="none" data-solid={name}>
            {edges.map((edge, i) => (
              <path key={i} d={path(screen(edge))} />
            ))}
          </g>
        ))}
        <Shadow piece={piece} screen={screen} view={view} diameter={outsideDiameter} />
        <Conduit piece={piece} look={look} view={view} diameter={outsideDiameter} arcs={plan.marks.length} />
        <Rings piece={piece} plan={plan} look={look} view={view} diameter={outsideDiameter} />
        {asked !== undefined && (
          <path
            d={path(screen(asked))}
            fill="none"
            stroke="var(--asked)"
            className="line-bold"
            strokeDasharray="7 4"
            data-look="asked"
          />
        )}
      </svg>
      <div className="absolute top-2.5 left-2.5 flex gap-1">
        {(
          [
            ['Corner', ISOMETRIC],
            ['Side', { round: 0, up: 0 }],
            ['Above', { round: 0, up: 90 }],
            ['End', { round: 90, up: 0 }],
          ] as const
        ).map(([name, to]) => (
          <button
            key={name}
            type="button"
            className="min-h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-3"
            onClick={() => {
              setGaze(to);
            }}
          >
            {name}
          </button>
        ))}
      </div>
    </>
  );
}

type Screen = (points: readonly Space[]) => Point[];

function FloorGrid({ piece, screen }: { piece: readonly Space[]; screen: Screen }) {
  const xs = piece.map(([x = 0]) => x);
  const [least, most] = [Math.floor(Math.min(...xs) / 6) * 6 - 6, Math.ceil(Math.max(...xs) / 6) * 6 + 6];
  const lines: Space[][] = [];
  for (let x = least; x <= most; x += 6) {
    lines.push([
      [x, 0, -12],
      [x, 0, 12],
    ]);
  }
  for (let z = -12; z <= 12; z += 6) {
    lines.push([
      [least, 0, z],
      [most, 0, z],
    ]);
  }
  return (
    <g stroke="var(--grid)" className="line-medium">
      {lines.map((line, i) => (
        <path key={i} d={path(screen(line))} />
      ))}
    </g>
  );
}

/** Right below the piece, so that the eye sees how high it is. */
function Shadow({
  piece,
  screen,
  view,
  diameter,
}: {
  piece: readonly Space[];
  screen: Screen;
  view: View;
  diameter: number;
}) {
  return (
    <path
      d={path(screen(piece.map(([x = 0, , z = 0]) => [x, 0, z])))}
      fill="none"
      stroke="var(--grid)"
      strokeWidth={diameter * view.scale}
      strokeLinecap="butt"
      strokeLinejoin="round"
    />
  );
}
