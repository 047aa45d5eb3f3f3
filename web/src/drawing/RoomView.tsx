import { type PointerEvent, type ReactNode, useRef, useState } from 'react';
import type { LayoutAnswer } from '../api/queries';
import { DimensionLine, Label } from './Dimension';
import { boxAround, fit, path, type Point } from './geometry';
import { bodiesOf, type Body, boxBody, drawnAlong, legSpots, planesOf, type Standing, toRoom } from './room';
import type { Space } from './pose';
import { Sized } from './Sized';
import { type Gaze, ISOMETRIC, seen, turned } from './turn';
import { Conduit, Rings } from './TurnedConduit';
import { usePlaceSizes } from './usePlaceSizes';

/** A leg of the run that is drawn. */
export interface LegDrawn {
  id: string;
  number: number;
  /** Where its dimension is taken, in the room. */
  from: Space;
  to: Space;
  /** Its direction; its end is drawn along it. */
  vector: Space;
}

interface RoomViewProps {
  /** As it is laid out; nothing while that is not known. */
  plan: LayoutAnswer | undefined;
  outsideDiameter: number;
  legs: readonly LegDrawn[];
  room: readonly Standing[];
  /** What stands at each leg's dimension, by its id. */
  at: Readonly<Record<string, ReactNode>>;
  /** What is laid out is not what is asked for now. */
  faded: boolean;
  /** Draws the end of a leg along it, by inches since it was taken. */
  onDraw?: (number: number, by: number, begins: boolean) => void;
  description: string;
  /** How large what stands at a dimension usually is. */
  usual: { width: number; height: number };
}

const DEGREES_PER_PIXEL = 0.4;
/** A corner may be taken this near to it, pixels. */
const HANDLE = 22;

const GAZES = [
  ['Corner', ISOMETRIC],
  ['Wall', { round: 0, up: 0 }],
  ['Above', { round: 0, up: 90 }],
  ['Right', { round: 90, up: 0 }],
] as const;

/** A run in its room, with its lengths at its legs; its corners can be taken and drawn along, and all of it turned. */
export function RoomView(props: RoomViewProps) {
  return <Sized name="room">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>;
}

function Drawing({
  plan,
  outsideDiameter,
  legs,
  room,
  at: places,
  faded,
  onDraw,
  description,
  usual,
  width,
  height,
}: RoomViewProps & { width: number; height: number }) {
  const [gaze, setGaze] = useState<Gaze>(ISOMETRIC);
  const { holder, sizes } = usePlaceSizes();
  const turning = useRef<Point | undefined>(undefined);
  const inRoom = plan === undefined ? undefined : toRoom(plan.shape);
  const piece = plan === undefined || inRoom === undefined ? [] : plan.shape.centreline.map(inRoom);
  const skeleton = legs.flatMap(({ from, to }, i) => (i === 0 ? [from, to] : [to]));
  const drawn: Space[] = [...piece, ...skeleton, [0, 0, 0]];
  const planes = planesOf(room, drawn, outsideDiameter / 2, gaze);
  const bodies = bodiesOf(room, gaze);
  const boxes =
    plan === undefined || inRoom === undefined
      ? [
          boxBody(
            'box',
            [0, 0, 0],
            (legs[0]?.vector ?? [1, 0, 0]).map((value) => -value),
            gaze,
          ),
        ]
      : plan.around
          .filter(({ kind }) => kind === 'box')
          .map(({ at, into }, i) => boxBody(`box ${String(i)}`, inRoom(at), inRoom(into), gaze));
  const look = (point: Space) => seen(point, gaze);
  const extent = [
    ...drawn,
    ...planes.filter(({ behind }) => behind).flatMap(({ corners }) => corners),
    ...bodies.flatMap(({ faces }) => faces.flat()),
    ...boxes.flatMap(({ faces }) => faces.flat()),
  ];
  const view = fit(boxAround(extent.map(look)), width, height, { left: 26, right: 26, top: 16, bottom: 26 });
  const onScreen = (point: Space) => view.toScreen(look(point));
  const seenLegs = legs.map(({ id, from, to }) => ({ id, from: onScreen(from), to: onScreen(to) }));
  const start = below(onScreen([0, 0, 0]));
  const line = (piece.length > 0 ? piece : skeleton).map(onScreen);
  const spots = legSpots(
    seenLegs.filter(({ id }) => places[id] !== undefined),
    line,
    sizes,
    usual,
    {
      width,
      height,
      texts: [
        { left: start.x - 34, right: start.x + 34, top: start.y - 9, bottom: start.y + 9 },
        // Where the buttons stand.
        { left: width - 250, right: width, top: height - 48, bottom: height },
      ],
      halfWidth: Math.max(6, (outsideDiameter / 2) * view.scale),
      beside: 30,
    },
  );
  const nearest = Math.max(...(drawn.length === 0 ? [0] : drawn.map((point) => look(point).near)));
  const inFront = (body: Body) => look(body.middle).near > nearest;
  return (
    <div ref={holder} className="contents">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={description}
        className="absolute inset-0 block cursor-grab touch-none active:cursor-grabbing"
        onPointerDown={(event) => {
          turning.current = { x: event.clientX, y: event.clientY };
          event.currentTarget.setPointerCapture(event.pointerId);
        }}
        onPointerMove={(event) => {
          if (turning.current !== undefined) {
            const { clientX: x, clientY: y } = event;
            const from = turning.current;
            setGaze((before) => turned(before, (from.x - x) * DEGREES_PER_PIXEL, (y - from.y) * DEGREES_PER_PIXEL));
            turning.current = { x, y };
          }
        }}
        onPointerUp={() => {
          turning.current = undefined;
        }}
      >
        <Planes planes={planes} onScreen={onScreen} />
        <Bodies bodies={bodies.filter((body) => !inFront(body))} onScreen={onScreen} named />
        <Bodies bodies={boxes} onScreen={onScreen} />
        <g opacity={faded ? 0.3 : 1}>
          {spots.map((spot) => (
            <g key={spot.id} stroke="var(--line)" fill="none">
              {spot.leader !== undefined && <path d={path([spot.leader.from, spot.leader.to])} className="line-thin" />}
              <DimensionLine from={spot.line.from} to={spot.line.to} anchors={spot.anchors} />
            </g>
          ))}
          {plan !== undefined && (
            <>
              <Conduit piece={piece} look={look} view={view} diameter={outsideDiameter} arcs={plan.shape.arcs.length} />
              {!faded && <Rings piece={piece} plan={plan} look={look} view={view} diameter={outsideDiameter} />}
            </>
          )}
        </g>
        {(faded || plan === undefined) && skeleton.length > 1 && (
          <path
            d={path(skeleton.map(onScreen))}
            fill="none"
            stroke="var(--asked)"
            className="line-bold"
            strokeDasharray="7 4"
            strokeLinejoin="round"
            data-look="skeleton"
          />
        )}
        <Bodies bodies={bodies.filter(inFront)} onScreen={onScreen} named />
        <Label at={start} size={14} fill="var(--line)">
          datum end
        </Label>
        {onDraw !== undefined &&
          legs.map((leg) => (
            <Handle
              key={leg.id}
              at={onScreen(leg.to)}
              leg={leg}
              along={(by) => drawnAlong(by, leg.vector, gaze, view)}
              onDraw={onDraw}
            />
          ))}
      </svg>
      {spots.map(({ id, spot }) => (
        <div
          key={id}
          data-place={id}
          className="absolute -translate-x-1/2 -translate-y-1/2 focus-within:z-10"
          style={{ left: spot.x, top: spot.y }}
        >
          {places[id]}
        </div>
      ))}
      <div className="absolute right-2 bottom-2 flex gap-1 max-sm:hidden" role="group" aria-label="Seen from">
        {GAZES.map(([name, to]) => (
          <button
            key={name}
            type="button"
            className="min-h-9 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-sm"
            onClick={() => {
              setGaze(to);
            }}
          >
            {name}
          </button>
        ))}
      </div>
    </div>
  );
}

function below({ x, y }: Point): Point {
  return { x, y: y + 30 };
}

type OnScreen = (point: Space) => Point;

/** Surfaces that are seen from inside of the room, with lines a foot apart; of the others only the edge. */
function Planes({ planes, onScreen }: { planes: ReturnType<typeof planesOf>; onScreen: OnScreen }) {
  return planes.map(({ name, corners, lines, behind }) => (
    <g key={name} data-plane={name}>
      <path
        d={path(corners.map(onScreen), true)}
        fill={behind ? 'var(--color-base-200)' : 'none'}
        fillOpacity={0.75}
        stroke="var(--line)"
        className="line-medium"
        strokeDasharray={behind ? undefined : '4 5'}
        strokeOpacity={behind ? 1 : 0.6}
      />
      {behind && (
        <g stroke="var(--grid)" className="line-medium">
          {lines.map((each, i) => (
            <path key={i} d={path(each.map(onScreen))} />
          ))}
        </g>
      )}
    </g>
  ));
}

function Bodies({ bodies, onScreen, named }: { bodies: readonly Body[]; onScreen: OnScreen; named?: boolean }) {
  return bodies.map(({ name, faces, middle }, i) => (
    <g key={`${name} ${String(i)}`} data-body={name}>
      {faces.map((face, j) => (
        <path
          key={j}
          d={path(face.map(onScreen), true)}
          fill="var(--color-base-300)"
          fillOpacity={0.7}
          stroke="var(--line)"
          className="line-medium"
        />
      ))}
      {named === true && (
        <Label at={onScreen(topOf(faces, middle))} size={15} fill="var(--line)">
          {name}
        </Label>
      )}
    </g>
  ));
}

/** Near its top, where what runs along it does not cover the name. */
function topOf(faces: readonly Space[][], [x = 0, y = 0, z = 0]: Space): Space {
  const top = Math.max(y, ...faces.flat().map(([, height = 0]) => height));
  return [x, y + (top - y) * 0.75, z];
}

/** The end of a leg, to be taken and drawn along it; by keyboard its length goes up and down in its field. */
function Handle({
  at,
  leg,
  along,
  onDraw,
}: {
  at: Point;
  leg: LegDrawn;
  along: (by: Point) => number;
  onDraw: (number: number, by: number, begins: boolean) => void;
}) {
  const from = useRef<Point | undefined>(undefined);
  const end = (event: PointerEvent) => {
    event.stopPropagation();
    from.current = undefined;
  };
  return (
    <g data-handle={leg.id} className="cursor-move">
      <circle cx={at.x} cy={at.y} r={5} fill="var(--color-base-100)" stroke="var(--asked)" className="line-bold" />
      <circle
        cx={at.x}
        cy={at.y}
        r={HANDLE}
        fill="transparent"
        onPointerDown={(event) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = { x: event.clientX, y: event.clientY };
          onDraw(leg.number, 0, true);
        }}
        onPointerMove={(event) => {
          if (from.current !== undefined) {
            event.stopPropagation();
            onDraw(leg.number, along({ x: event.clientX - from.current.x, y: event.clientY - from.current.y }), false);
          }
        }}
        onPointerUp={end}
        onPointerCancel={end}
      />
    </g>
  );
}
