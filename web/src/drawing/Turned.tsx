import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import type { Kind } from '../bends/kinds';
import { Label } from './Dimension';
import { boxAround, fit, path, type Point, type View } from './geometry';
import type { Space } from './pose';
import { Sized } from './Sized';
import { type Gaze, ISOMETRIC, type Seen, seen, turned } from './turn';

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

/** Straights and arcs of the tube from the furthest to the nearest, each with its edges, its body and its sheen. */
function Conduit({
  piece,
  look,
  view,
  diameter,
  arcs,
}: {
  piece: readonly Space[];
  look: (point: Space) => Seen;
  view: View;
  diameter: number;
  arcs: number;
}) {
  const parts = runs(piece.map(look), arcs).sort((a, b) => middle(a) - middle(b));
  const width = diameter * view.scale;
  return (
    <g fill="none" strokeLinejoin="round">
      {parts.map((part, i) => {
        const line = path(part.map(view.toScreen));
        return (
          <g key={i}>
            <path d={line} stroke="var(--steel-edge)" strokeWidth={width} />
            <path d={line} stroke="var(--steel-fill)" strokeWidth={Math.max(1, width - 3)} strokeLinecap="square" />
            <path d={line} stroke="var(--steel-sheen)" strokeWidth={width * 0.25} />
          </g>
        );
      })}
    </g>
  );
}

/** A centreline of two ends and, between them, equally many points for every arc, in its straights and arcs. */
function runs(points: readonly Seen[], arcs: number): Seen[][] {
  const perArc = (points.length - 2) / arcs;
  const parts: Seen[][] = [];
  for (let i = 0; i < arcs; i++) {
    const start = 1 + i * perArc;
    parts.push(points.slice(start - 1, start + 1), points.slice(start, start + perArc));
  }
  return [...parts, points.slice(-2)];
}

function middle(part: readonly Seen[]): number {
  return part.reduce((sum, { near }) => sum + near, 0) / part.length;
}

/** The rings, each a line across the tube with its number. */
function Rings({
  piece,
  plan,
  look,
  view,
  diameter,
}: {
  piece: readonly Space[];
  plan: LayoutAnswer;
  look: (point: Space) => Seen;
  view: View;
  diameter: number;
}) {
  const lengths = lengthsAlong(piece);
  return plan.marks.map(({ number, positionIn }) => {
    const i = Math.max(
      1,
      lengths.findIndex((length) => length >= positionIn),
    );
    const [before, after] = [lengths[i - 1] ?? 0, lengths[i] ?? 1];
    const part = (positionIn - before) / (after - before || 1);
    const [from, to] = [look(piece[i - 1] ?? [0, 0, 0]), look(piece[i] ?? [0, 0, 0])];
    const at = view.toScreen({ x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part });
    const size = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    const half = diameter * view.scale * 0.7;
    const across = { x: ((to.y - from.y) / size) * half, y: ((to.x - from.x) / size) * half };
    return (
      <g key={number}>
        <line
          x1={at.x - across.x}
          y1={at.y - across.y}
          x2={at.x + across.x}
          y2={at.y + across.y}
          stroke="var(--color-base-content)"
          className="line-bold"
        />
        <Label at={{ x: at.x + across.x, y: at.y + across.y + 12 }} size={15}>
          {number}
        </Label>
      </g>
    );
  });
}

/** How much conduit there is up to each point. */
function lengthsAlong(line: readonly Space[]): number[] {
  let sum = 0;
  return line.map((point, i) => {
    const before = line[i - 1] ?? point;
    sum += Math.hypot(...point.map((value, axis) => value - (before[axis] ?? 0)));
    return sum;
  });
}
