import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import type { Kind } from '../bends/kinds';
import { boxAround, fit, path, type Point, type View } from './geometry';
import type { Space } from './pose';
import { Sized } from './Sized';
import { type Gaze, ISOMETRIC, seen, turned } from './turn';

interface TurnedProps {
  kind: Kind;
  plan: LayoutAnswer;
  outsideDiameter: number;
  /** What is asked for exactly, to compare with. */
  wanted?: readonly Space[] | undefined;
  exaggeration: number;
  description: string;
}

const DEGREES_PER_PIXEL = 0.4;
const DEGREES_PER_KEY = 5;
/** How far an obstacle reaches to both sides, inches. */
const HALF_WIDTH = 6;

/** A piece in space, to be turned by dragging or with the arrow keys; drawn with vectors. */
export function Turned(props: TurnedProps) {
  return <Sized name="turned">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>;
}

function Drawing({
  kind,
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
  const stand = standing(kind, plan.shape.centreline, outsideDiameter);
  const asked = wanted?.map(stand);
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
        <Conduit piece={piece} look={look} view={view} diameter={outsideDiameter} />
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
      <div className="absolute bottom-3 left-3 flex gap-1">
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

type Place = (point: Space) => Space;

/** Puts a piece on its surface, y = 0: nineties stand on their far or middle leg, everything else lies. */
function standing(kind: Kind, centreline: readonly Space[], diameter: number): Place {
  const half = diameter / 2;
  const most = (index: number) => Math.max(...centreline.map((point) => point[index] ?? 0));
  if (kind === 'stub90' || kind === 'backToBack90') {
    const deepest = most(0);
    return ([x = 0, y = 0, z = 0]) => [y, deepest - x + half, z];
  }
  if (kind === 'boxOffset') {
    const wall = most(1);
    return ([x = 0, y = 0, z = 0]) => [x, wall - y + half, -z];
  }
  return ([x = 0, y = 0, z = 0]) => [x, y + half, z];
}

function larger(asked: Space | undefined, made: Space, factor: number): Space {
  return asked === undefined ? made : made.map((value, i) => (asked[i] ?? 0) + factor * (value - (asked[i] ?? 0)));
}

/** Edges of something solid, each a line through points. */
interface Solid {
  name: string;
  edges: Space[][];
}

function obstacleSolids(obstacle: Schemas['ObstacleAnswer'] | null | undefined): Solid[] {
  if (obstacle == null) {
    return [];
  }
  const { shape, fromIn, widthIn, heightIn } = obstacle;
  const width = Math.min(widthIn, 40);
  const outline: [number, number][] =
    shape === 'round'
      ? Array.from({ length: 33 }, (_, i) => {
          const angle = (i / 32) * 2 * Math.PI;
          return [fromIn + (width / 2) * (1 + Math.cos(angle)), (heightIn / 2) * (1 + Math.sin(angle))];
        })
      : [
          [fromIn, 0],
          [fromIn, heightIn],
          [fromIn + width, heightIn],
          [fromIn + width, 0],
          [fromIn, 0],
        ];
  const side = (z: number) => outline.map(([x, y]): Space => [x, y, z]);
  const step = shape === 'round' ? 8 : 1;
  const across = outline
    .filter((_, i) => i % step === 0)
    .map(([x, y]): Space[] => [
      [x, y, -HALF_WIDTH],
      [x, y, HALF_WIDTH],
    ]);
  return [{ name: 'obstacle', edges: [side(-HALF_WIDTH), side(HALF_WIDTH), ...across] }];
}

/** A junction box round the axis of the conduit that enters it. */
function boxes(around: readonly Schemas['SurroundAnswer'][], stand: Place): Solid[] {
  return around
    .filter(({ kind }) => kind === 'box')
    .map(({ at, into }, i) => {
      const from = stand(at);
      const to = stand(at.map((value, axis) => value + (into[axis] ?? 0)));
      const along = to.map((value, axis) => value - (from[axis] ?? 0));
      const [ax = 0, ay = 0] = along;
      const side: Space = [0, 0, 1];
      const up: Space = [-ay, ax, 0];
      const corner = (a: number, b: number, depth: number): Space =>
        from.map(
          (value, axis) => value + (along[axis] ?? 0) * depth + (up[axis] ?? 0) * a * 2 + (side[axis] ?? 0) * b * 2,
        );
      const face = (depth: number) =>
        [
          [1, 1],
          [1, -1],
          [-1, -1],
          [-1, 1],
          [1, 1],
        ].map(([a = 0, b = 0]) => corner(a, b, depth));
      const between = [
        [1, 1],
        [1, -1],
        [-1, -1],
        [-1, 1],
      ].map(([a = 0, b = 0]) => [corner(a, b, 0), corner(a, b, 2.1)]);
      return { name: `box ${String(i)}`, edges: [face(0), face(2.1), ...between] };
    });
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

/** Parts of the tube from the furthest to the nearest, each with its edges, its body and its sheen. */
function Conduit({
  piece,
  look,
  view,
  diameter,
}: {
  piece: readonly Space[];
  look: (point: Space) => { x: number; y: number; near: number };
  view: View;
  diameter: number;
}) {
  const fine = subdivided(piece, 2);
  const parts = fine
    .slice(1)
    .map((to, i) => ({ from: look(fine[i] ?? to), to: look(to) }))
    .sort((a, b) => a.from.near + a.to.near - b.from.near - b.to.near);
  const width = diameter * view.scale;
  return (
    <g strokeLinecap="round" fill="none">
      {parts.map(({ from, to }, i) => {
        const line = path([view.toScreen(from), view.toScreen(to)]);
        return (
          <g key={i}>
            <path d={line} stroke="var(--steel-edge)" strokeWidth={width} />
            <path d={line} stroke="var(--steel-fill)" strokeWidth={Math.max(1, width - 3)} />
            <path d={line} stroke="var(--steel-sheen)" strokeWidth={width * 0.25} />
          </g>
        );
      })}
    </g>
  );
}

/** The same line in parts no longer than this, so that near parts hide far ones. */
function subdivided(line: readonly Space[], longest: number): Space[] {
  return line.flatMap((point, i) => {
    const before = line[i - 1];
    if (before === undefined) {
      return [point];
    }
    const length = Math.hypot(...point.map((value, axis) => value - (before[axis] ?? 0)));
    const parts = Math.max(1, Math.ceil(length / longest));
    return Array.from({ length: parts }, (_, part) =>
      point.map((value, axis) => (before[axis] ?? 0) + ((value - (before[axis] ?? 0)) * (part + 1)) / parts),
    );
  });
}
