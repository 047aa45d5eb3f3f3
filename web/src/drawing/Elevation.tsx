import { type ReactNode, useMemo, useState } from 'react';
import { Around } from './Around';
import { DimensionLine, Label } from './Dimension';
import { Floor, Paper } from './Film';
import type { Folds } from './folds';
import { along, path, type Point, type View } from './geometry';
import { ObstacleShape } from './ObstacleShape';
import { aboveText, type Drawn, layOutElevation, ringEnds, ringNumber } from './elevationLayout';
import type { DimensionSpot } from './dimensionSpots';
import { usePlaceSizes } from './usePlaceSizes';
import { Tube } from './Tube';
import { Sized } from './Sized';

export interface ElevationProps extends Drawn {
  /** Drawn over it, with where points of the piece and the places of dimensions are on the screen. */
  notes?: (spots: NoteSpots) => ReactNode;
  /** It is not what is asked for now: its marks and figures do not count. */
  faded?: boolean;
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

/** A piece in its place, to scale: on its surface, over its obstacle, with its dimensions around it. */
export function Elevation(props: ElevationProps) {
  return <Sized name="elevation">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>;
}

function Drawing(props: ElevationProps & { width: number; height: number }) {
  const { plan, outsideDiameter, dimensions, notes, faded = false, at: places, description, width, height } = props;
  const { made, marked, first, wanted, exaggeration } = props;
  const { holder, sizes } = usePlaceSizes();
  const [whole, setWhole] = useState(false);
  const named = Object.keys(places)
    .filter((id) => places[id] !== undefined)
    .join(' ');
  const { pieces, view, folds, foldable, spots, half, datum, pose, switchHalfWay } = useMemo(
    () =>
      layOutElevation(
        { plan, outsideDiameter, made, marked, first, wanted, exaggeration, dimensions },
        new Set(named.split(' ')),
        sizes,
        width,
        height,
        whole,
      ),
    [plan, outsideDiameter, made, marked, first, wanted, exaggeration, dimensions, named, sizes, width, height, whole],
  );
  return (
    <div ref={holder} className="contents">
      <svg width={width} height={height} role="img" aria-label={description} className="absolute inset-0 block">
        <g opacity={faded ? 0.3 : 1}>
          <Paper width={width} height={height} view={view} />
          <Floor view={view} width={width} from={pose.surfaceFrom} />
          <Around around={plan.around} place={pose.place} view={view} />
          {plan.obstacle != null && <ObstacleShape obstacle={plan.obstacle} view={view} width={width} />}
          {spots.map((spot) => (
            <Leader key={spot.id} spot={spot} />
          ))}
          <Pieces asked={pieces.asked} made={pieces.made} outsideDiameter={outsideDiameter} view={view} />
          {pieces.first !== undefined && (
            <Tube points={pieces.first} outsideDiameter={outsideDiameter} view={view} look="first" />
          )}
          {pieces.marked !== undefined && (
            <Tube points={pieces.marked} outsideDiameter={outsideDiameter} view={view} look="marked" />
          )}
          {pieces.wanted !== undefined && (
            <Tube points={pieces.wanted} outsideDiameter={outsideDiameter} view={view} look="asked" />
          )}
          {pieces.above !== undefined && (
            <>
              <Pieces asked={pieces.above} made={pieces.madeAbove} outsideDiameter={outsideDiameter} view={view} />
              <Label at={aboveText(pieces.above, view)} size={14} anchor="start" fill="var(--line)">
                from above
              </Label>
            </>
          )}
          {[pieces.asked, pieces.above].map(
            (line, i) => line !== undefined && <Breaks key={i} line={line} folds={folds} half={half} view={view} />,
          )}
          {!faded &&
            plan.marks.map((mark) => (
              <Ring
                key={mark.number}
                points={pieces.asked}
                markIn={mark.positionIn}
                number={mark.number}
                half={half}
                view={view}
              />
            ))}
          <Label at={datum.at} size={14} anchor={datum.anchor} fill="var(--line)">
            datum end
          </Label>
        </g>
      </svg>
      {inReadingOrder(spots, places).map(({ id, spot }) => (
        <div
          key={id}
          data-place={id}
          className="absolute -translate-x-1/2 -translate-y-1/2 focus-within:z-10"
          style={{ left: spot.x, top: spot.y }}
        >
          {places[id]}
        </div>
      ))}
      {foldable && (
        <button
          type="button"
          aria-pressed={whole}
          className={`absolute right-1 h-11 rounded-field border-2 border-base-content/50 bg-base-100 px-2 text-sm ${switchHalfWay ? 'top-1/2 -translate-y-1/2' : 'top-1'}`}
          onClick={() => {
            setWhole(!whole);
          }}
        >
          {whole ? 'Break straights' : 'Whole length'}
        </button>
      )}
      {notes?.({
        width,
        height,
        along: (position) => view.toScreen(along(pieces.asked, position).point),
        input: (name) => {
          const dimension = dimensions?.find(({ input }) => input === name);
          return dimension === undefined ? undefined : spots.find(({ id }) => id === dimension.at)?.spot;
        },
      })}
    </div>
  );
}

/**
 * As they were given, however they found their places: a field that changed its place among the others would lose the focus of
 * whoever writes in it, and the Tab key would jump about.
 */
function inReadingOrder(spots: readonly DimensionSpot[], places: ElevationProps['at']): DimensionSpot[] {
  const order = Object.keys(places);
  return [...spots].sort((one, other) => order.indexOf(one.id) - order.indexOf(other.id));
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

/** The line of a dimension, and a thin one from what is written to what it is about. */
function Leader({ spot: { line, anchors, leader } }: { spot: DimensionSpot }) {
  const [first, second] = anchors;
  return (
    <g stroke="var(--line)" fill="none">
      {leader !== undefined && (
        <path d={path([leader.from, leader.to])} className="line-thin" strokeOpacity={0.8} data-leader="" />
      )}
      {line !== undefined &&
        (first !== undefined && second !== undefined ? (
          <DimensionLine from={line.from} to={line.to} anchors={[first, second]} />
        ) : (
          <DimensionLine from={line.from} to={line.to} />
        ))}
    </g>
  );
}

/** Where a long straight is broken: a strip of paper between two slanting edges. */
function Breaks({ line, folds, half, view }: { line: readonly Point[]; folds: Folds; half: number; view: View }) {
  const across = half * view.scale * 1.5 + 3;
  return (['x', 'y'] as const).flatMap((axis) =>
    folds[axis].map(({ from, to }) => {
      const point = crossing(line, axis, (from + to) / 2);
      if (point === undefined) {
        return null;
      }
      const { x, y } = view.toScreen(point);
      const [top, foot] = [`-${across.toFixed(1)}`, across.toFixed(1)];
      return (
        <g
          key={`${axis} ${String(from)}`}
          transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})${axis === 'y' ? ' rotate(90)' : ''}`}
          data-break=""
        >
          <path d={`M-8 ${foot} L-3 ${top} L8 ${top} L3 ${foot} Z`} fill="var(--halo)" stroke="none" />
          <path
            d={`M-8 ${foot} L-3 ${top} M3 ${foot} L8 ${top}`}
            fill="none"
            stroke="var(--line)"
            className="line-medium"
          />
        </g>
      );
    }),
  );
}

/** Where a line has this value of an axis. */
function crossing(line: readonly Point[], axis: 'x' | 'y', value: number): Point | undefined {
  for (let i = 0; i + 1 < line.length; i++) {
    const [one, other] = [line[i] as Point, line[i + 1] as Point];
    if (Math.min(one[axis], other[axis]) <= value && Math.max(one[axis], other[axis]) > value) {
      const part = (value - one[axis]) / (other[axis] - one[axis]);
      return { x: one.x + (other.x - one.x) * part, y: one.y + (other.y - one.y) * part };
    }
  }
  return undefined;
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
  const [one, other] = ringEnds(points, markIn, half, view);
  return (
    <g>
      <line x1={one.x} y1={one.y} x2={other.x} y2={other.y} stroke="var(--color-base-content)" className="line-bold" />
      <Label at={ringNumber(points, markIn, half, view)} size={14}>
        {number}
      </Label>
    </g>
  );
}
