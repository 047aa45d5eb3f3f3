import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import type { Kind } from '../bends/kinds';
import { Around, reach } from './Around';
import { DimensionLine, Label } from './Dimension';
import { Floor, Paper } from './Film';
import { along, type Box, boxAround, type Centreline, exaggerated, fit, path, type Point, type View } from './geometry';
import { ObstacleShape } from './ObstacleShape';
import { type Pose, poseOf } from './pose';
import { type Measure, roomForRun, runSpots, type RunSpot } from './runSpots';
import { Tube } from './Tube';
import { Sized } from './Sized';

export interface ElevationProps {
  kind: Kind;
  plan: LayoutAnswer;
  outsideDiameter: number;
  /** What was made, to be laid over what was asked. */
  made?: Centreline | undefined;
  /** What the rings alone would have given. */
  marked?: Centreline | undefined;
  exaggeration?: number;
  /** What the exercise asks for exactly: then the piece is laid over it, with its difference made larger. */
  wanted?: Centreline | undefined;
  /** Sizes that are drawn on what they are the size of, such as an obstacle's; else each is drawn on its feature. */
  dimensions?: readonly Schemas['DimensionAnswer'][];
  /** Drawn over it, with where points of the piece and the places of dimensions are on the screen. */
  notes?: (spots: NoteSpots) => ReactNode;
  /** Pixels to leave free at the foot of the drawing. */
  footroom?: number;
  /** What stands at each feature's place: an input or a figure; where there is nothing, there is no place. */
  at: Partial<Record<string, ReactNode>>;
  description: string;
}

/** Where notes can point to, in pixels. */
export interface NoteSpots {
  width: number;
  height: number;
  /** A position along the conduit, inches. */
  along: (position: number) => Point;
  /** Where a given dimension is taken. */
  input: (name: string) => Point | undefined;
}

/** A run in its place, to scale: on its surface, over its obstacle, with its dimensions around it. */
export function RunElevation(props: ElevationProps) {
  return <Sized name="elevation">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>;
}

function Drawing({
  kind,
  plan,
  outsideDiameter,
  made,
  marked,
  wanted,
  dimensions = [],
  notes,
  exaggeration = 1,
  footroom = 0,
  at: places,
  description,
  width,
  height,
}: ElevationProps & { width: number; height: number }) {
  const pose = poseOf(kind, plan.shape.centreline, outsideDiameter);
  const predicted = plan.shape.centreline.map(pose.place);
  const wantedPiece = wanted?.map(pose.place);
  const asked = wantedPiece === undefined ? predicted : exaggerated(wantedPiece, predicted, exaggeration);
  const madePiece = made === undefined ? undefined : exaggerated(asked, made.map(pose.place), exaggeration);
  const markedPiece = marked === undefined ? undefined : exaggerated(asked, marked.map(pose.place), exaggeration);
  const above = pose.fromAbove === undefined ? undefined : plan.shape.centreline.map(pose.fromAbove);
  const madeAbove =
    pose.fromAbove === undefined || made === undefined || above === undefined
      ? undefined
      : exaggerated(above, made.map(pose.fromAbove), exaggeration);
  const measures = measured(plan, dimensions, pose).filter(({ id }) => places[id] !== undefined);
  const half = outsideDiameter / 2;
  const inner = boxAround([
    ...asked,
    ...(madePiece ?? []),
    ...(markedPiece ?? []),
    ...(above ?? []),
    ...(madeAbove ?? []),
    ...reach(plan.around, pose.place),
  ]);
  const box: Box = { ...inner, top: inner.top + half, bottom: Math.min(0, inner.bottom - half) };
  const free = height - footroom;
  const view = fit(box, width, free, roomForRun(measures, width));
  const spots = runSpots(measures, view, box, width, free);
  return (
    <>
      <svg width={width} height={height} role="img" aria-label={description} className="absolute inset-0 block">
        <Paper width={width} height={height} view={view} />
        <Floor view={view} width={width} />
        <Around around={plan.around} place={pose.place} view={view} />
        {plan.obstacle != null && <ObstacleShape obstacle={plan.obstacle} view={view} width={width} />}
        {spots.map((spot) => (
          <Leader key={spot.id} spot={spot} />
        ))}
        <Pieces asked={asked} made={madePiece} outsideDiameter={outsideDiameter} view={view} />
        {markedPiece !== undefined && (
          <Tube points={markedPiece} outsideDiameter={outsideDiameter} view={view} look="marked" />
        )}
        {wantedPiece !== undefined && (
          <Tube points={wantedPiece} outsideDiameter={outsideDiameter} view={view} look="asked" />
        )}
        {above !== undefined && (
          <>
            <Pieces asked={above} made={madeAbove} outsideDiameter={outsideDiameter} view={view} />
            <Label
              at={offset(view.toScreen(above[0] ?? { x: 0, y: 0 }), 0, 26)}
              size={14}
              anchor="start"
              fill="var(--line)"
            >
              from above
            </Label>
          </>
        )}
        {plan.marks.map((mark) => (
          <Ring
            key={mark.number}
            points={asked}
            markIn={mark.positionIn}
            number={mark.number}
            half={half}
            view={view}
          />
        ))}
        <Label
          at={offset(
            view.toScreen(asked[0] ?? { x: 0, y: 0 }),
            kind === 'backToBack90' ? 0 : 2,
            kind === 'backToBack90' ? -14 : -half * view.scale - 12,
          )}
          size={14}
          anchor={kind === 'backToBack90' ? 'middle' : 'start'}
          fill="var(--line)"
        >
          datum end
        </Label>
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
      {notes?.({
        width,
        height,
        along: (position) => view.toScreen(along(asked, position).point),
        input: (name) => {
          const dimension = dimensions.find(({ input }) => input === name);
          return dimension === undefined ? undefined : spots.find(({ id }) => id === dimension.at)?.spot;
        },
      })}
    </>
  );
}

/** Everything that has a place: what the exercise gives where it gives it, all else on the piece. */
function measured(plan: LayoutAnswer, dimensions: readonly Schemas['DimensionAnswer'][], pose: Pose): Measure[] {
  const given = dimensions.map(({ at, from, to }) => ({ id: at, from, to }));
  const rest = plan.features.filter(({ id }) => !given.some((each) => each.id === id));
  return [...given, ...rest].map(({ id, from, to }) => {
    const place = id === 'roll' && pose.fromAbove !== undefined ? pose.fromAbove : pose.place;
    return { id, from: place(from), to: place(to) };
  });
}

function offset({ x, y }: Point, dx: number, dy: number): Point {
  return { x: x + dx, y: y + dy };
}

function Pieces({
  asked,
  made,
  outsideDiameter,
  view,
}: {
  asked: readonly Point[];
  made: readonly Point[] | undefined;
  outsideDiameter: number;
  view: View;
}) {
  return made === undefined ? (
    <Tube points={asked} outsideDiameter={outsideDiameter} view={view} />
  ) : (
    <>
      <Tube points={made} outsideDiameter={outsideDiameter} view={view} look="made" />
      <Tube points={asked} outsideDiameter={outsideDiameter} view={view} look="asked" />
    </>
  );
}

/** From what is written to what it is about. */
function Leader({ spot: { spot, line, anchors } }: { spot: RunSpot }) {
  const [first, second] = anchors;
  if (line !== undefined && first !== undefined && second !== undefined) {
    return <DimensionLine from={line.from} to={line.to} anchors={[first, second]} />;
  }
  return (
    <g stroke="var(--line)" fill="none">
      {first !== undefined && <path d={path([spot, first])} className="line-thin" strokeOpacity={0.8} />}
      {line !== undefined && <DimensionLine from={line.from} to={line.to} />}
    </g>
  );
}

/** The pencil ring round the bent conduit with its number. */
function Ring({
  points,
  markIn,
  number,
  half,
  view,
}: {
  points: readonly Point[];
  markIn: number;
  number: number;
  half: number;
  view: View;
}) {
  const { point, direction } = along(points, markIn);
  const across = (distance: number) =>
    view.toScreen({ x: point.x - direction.y * distance, y: point.y + direction.x * distance });
  const [one, other] = [across(half * 1.3), across(-half * 1.3)];
  const lower = one.y > other.y ? one : other;
  return (
    <g>
      <line x1={one.x} y1={one.y} x2={other.x} y2={other.y} stroke="var(--color-base-content)" className="line-bold" />
      <Label at={{ x: lower.x, y: lower.y + 10 }} size={14}>
        {number}
      </Label>
    </g>
  );
}
