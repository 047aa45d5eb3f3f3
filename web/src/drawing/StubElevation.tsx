import type { ReactNode } from 'react';
import { DimensionLine, Label } from './Dimension';
import type { Schemas } from '../api/client';
import { Around, reach } from './Around';
import { Floor, Paper } from './Film';
import {
  along,
  boxAround,
  type Centreline,
  exaggerated,
  fit,
  path,
  type Point,
  standOnFarLeg,
  type View,
} from './geometry';
import { angleArc, roomAround, type StubPlace, stubSpots } from './stubSpots';
import { usePlaceSizes } from './usePlaceSizes';
import { Tube } from './Tube';
import type { NoteSpots } from './RunElevation';
import { Sized } from './Sized';

interface StubElevationProps {
  asked: Centreline;
  outsideDiameter: number;
  /** Where the ring is, along the conduit; of a job that is still to be worked out, nowhere. */
  markIn: number | undefined;
  /** What was made, to be laid over what was asked. */
  made?: Centreline | undefined;
  /** What the ring alone would have given. */
  marked?: Centreline | undefined;
  /** What is asked for exactly: then the piece is laid over it, with its difference made larger. */
  wanted?: Centreline | undefined;
  around?: readonly Schemas['SurroundAnswer'][];
  notes?: ((spots: NoteSpots) => ReactNode) | undefined;
  exaggeration?: number;
  /** It is not what is asked for now: its ring does not count. */
  faded: boolean;
  /** What stands at each place: an input or a figure. Keep it within about 190 × 100 px. */
  at: Partial<Record<StubPlace, ReactNode>>;
  description: string;
}

/** A stub ninety in its place, to scale: standing on the floor, with its dimensions around it. */
export function StubElevation(props: StubElevationProps) {
  return <Sized name="elevation">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>;
}

function Drawing({
  asked,
  outsideDiameter,
  markIn,
  made,
  marked,
  wanted,
  around = [],
  notes,
  exaggeration = 1,
  faded,
  at: places,
  description,
  width,
  height,
}: StubElevationProps & { width: number; height: number }) {
  const { holder, sizes } = usePlaceSizes();
  const stood = standOnFarLeg(asked, outsideDiameter);
  const wantedPiece = wanted === undefined ? undefined : standOnFarLeg(wanted, outsideDiameter).points;
  const piece = wantedPiece === undefined ? stood.points : exaggerated(wantedPiece, stood.points, exaggeration);
  const madePiece =
    made === undefined ? undefined : exaggerated(piece, standOnFarLeg(made, outsideDiameter).points, exaggeration);
  const markedPiece =
    marked === undefined ? undefined : exaggerated(piece, standOnFarLeg(marked, outsideDiameter).points, exaggeration);
  const half = outsideDiameter / 2;
  const box = boxAround([
    ...piece,
    ...(madePiece ?? []),
    ...(markedPiece ?? []),
    ...reach(around, stood.place),
    { x: -half, y: 0 },
  ]);
  const written = { leg: places.leg !== undefined, otherLeg: places.otherLeg !== undefined };
  const view = fit({ ...box, bottom: Math.min(0, box.bottom) }, width, height, roomAround(width, written));
  const spots = stubSpots(piece, half, markIn ?? 0, view, width, height, sizes);
  return (
    <div ref={holder} className="contents">
      <svg width={width} height={height} role="img" aria-label={description} className="absolute inset-0 block">
        <g opacity={faded ? 0.3 : 1}>
          <Paper width={width} height={height} view={view} />
          <Floor view={view} width={width} />
          <Around around={around} place={stood.place} view={view} />
          {madePiece === undefined ? (
            <Tube points={piece} outsideDiameter={outsideDiameter} view={view} />
          ) : (
            <>
              <Tube points={madePiece} outsideDiameter={outsideDiameter} view={view} look="made" />
              <Tube points={piece} outsideDiameter={outsideDiameter} view={view} look="asked" />
            </>
          )}
          {markedPiece !== undefined && (
            <Tube points={markedPiece} outsideDiameter={outsideDiameter} view={view} look="marked" />
          )}
          {wantedPiece !== undefined && (
            <Tube points={wantedPiece} outsideDiameter={outsideDiameter} view={view} look="asked" />
          )}
          {!faded && markIn !== undefined && (
            <RingOnPiece
              points={piece}
              markIn={markIn}
              half={half}
              view={view}
              to={spots.mark1}
              shown={places.mark1 !== undefined}
            />
          )}
          {written.leg && (
            <DimensionLine from={spots.legTop} to={spots.legFoot} anchors={[spots.datumFace, spots.legFoot]} />
          )}
          {written.otherLeg && (
            <DimensionLine from={spots.otherStart} to={spots.otherEnd} anchors={[spots.backFoot, spots.farFace]} />
          )}
          <path
            d={path(angleArc(half).map(view.toScreen))}
            fill="none"
            stroke="var(--line)"
            className="line-thin"
            strokeDasharray="3 3"
          />
          {places.angle1 !== undefined && spots.angleLeader !== undefined && (
            <path
              d={path([spots.angleLeader.from, spots.angleLeader.to])}
              fill="none"
              stroke="var(--line)"
              className="line-thin"
              data-leader=""
            />
          )}
          <Label
            at={{ x: spots.datumFace.x, y: view.toScreen({ x: 0, y: box.top }).y - 18 }}
            size={14}
            fill="var(--line)"
          >
            datum end
          </Label>
        </g>
      </svg>
      <Place spot={spots.leg} name="leg">
        {places.leg}
      </Place>
      <Place spot={spots.otherLeg} name="otherLeg">
        {places.otherLeg}
      </Place>
      <Place spot={spots.angle1} name="angle1">
        {places.angle1}
      </Place>
      <Place spot={spots.mark1} name="mark1">
        {places.mark1}
      </Place>
      {notes?.({
        width,
        height,
        along: (position) => view.toScreen(along(piece, position).point),
        input: (name) => ({ legIn: spots.leg, otherLegIn: spots.otherLeg })[name],
      })}
    </div>
  );
}

function Place({ spot, name, children }: { spot: Point; name: string; children: ReactNode }) {
  if (children === undefined || children === null) {
    return null;
  }
  return (
    <div
      data-place={name}
      // A leader runs to the left edge of what is said of the ring; dimensions stand around their middle.
      className={`absolute -translate-y-1/2 ${name === 'mark1' ? '' : '-translate-x-1/2'}`}
      style={{ left: spot.x, top: spot.y }}
    >
      {children}
    </div>
  );
}

/** The pencil ring round the bent conduit, with a line to where its figure stands. */
function RingOnPiece({
  points,
  markIn,
  half,
  view,
  to,
  shown,
}: {
  points: readonly Point[];
  markIn: number;
  half: number;
  view: View;
  to: Point;
  shown: boolean;
}) {
  const { point, direction } = along(points, markIn);
  const across = (distance: number) =>
    view.toScreen({ x: point.x - direction.y * distance, y: point.y + direction.x * distance });
  const [one, other] = [across(half * 1.25), across(-half * 1.25)];
  const near = one.x > other.x ? one : other;
  return (
    <g stroke="var(--color-base-content)">
      <line x1={one.x} y1={one.y} x2={other.x} y2={other.y} className="line-bold" />
      {shown && (
        <path d={path([near, { x: to.x - 4, y: to.y }])} fill="none" stroke="var(--line)" className="line-thin" />
      )}
    </g>
  );
}
