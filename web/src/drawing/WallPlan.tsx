import type { ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { DimensionLine, Label } from './Dimension';
import { along, at as pointAt, boxAround, fit, path, type Point, type View } from './geometry';
import type { PlaceSize } from './dimensionSpots';
import { legSpots } from './room';
import type { Shape, Space } from './pose';
import { Sized } from './Sized';
import { Tube } from './Tube';
import { usePlaceSizes } from './usePlaceSizes';
import { lengthBefore, onPlan, partOnWall, type Wall } from './walls';

/** Something that is read or written on the plan of a wall, with where it is taken, in the piece's own frame. */
export interface OnWall {
  id: string;
  from: Space;
  to: Space;
}

interface WallPlanProps {
  wall: Wall;
  shape: Shape;
  arcs: number;
  outsideDiameter: number;
  /** Laid over it, of the same run: what was asked for, or what was made. */
  over?: { shape: Shape; look: 'asked' | 'made' } | undefined;
  marks: readonly Schemas['MarkAnswer'][];
  /** Where it is coupled, along the straight conduit, inches. */
  couplings?: readonly number[];
  dimensions: readonly OnWall[];
  at: Readonly<Record<string, ReactNode>>;
  faded?: boolean;
  usual: PlaceSize;
  /** Beside something larger: figures alone. */
  small?: boolean;
}

/** One wall of a run, to scale, as a fitter sketches it: its legs with their lengths, and where it comes from and goes on. */
export function WallPlan(props: WallPlanProps) {
  return (
    <figure aria-label={props.wall.title} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <figcaption className="px-2 pt-1 text-base leading-tight font-semibold">{props.wall.title}</figcaption>
      <div className="min-h-0 flex-1">
        <Sized name="wall">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>
      </div>
    </figure>
  );
}

function Drawing({
  wall,
  shape,
  arcs,
  outsideDiameter,
  over,
  marks,
  couplings = [],
  dimensions,
  at: places,
  faded = false,
  usual,
  small = false,
  width,
  height,
}: WallPlanProps & { width: number; height: number }) {
  const { holder, sizes } = usePlaceSizes();
  const project = onPlan(wall);
  const whole = shape.centreline.map(project);
  const piece = partOnWall(whole, arcs, wall);
  const other = over === undefined ? undefined : partOnWall(over.shape.centreline.map(project), arcs, wall);
  const here = dimensions.filter(({ id }) => places[id] !== undefined);
  const box = boxAround([...piece, ...(other ?? [])]);
  const beside = small ? 13 : 26;
  const room = beside + usual.height;
  const view = fit(box, width, height, {
    left: small ? 38 : wall.before == null ? 84 : 60,
    right: small ? 38 : 60,
    top: small ? room - 8 : room,
    bottom: room,
  });
  const line = piece.map(view.toScreen);
  const spots = legSpots(
    here.map(({ id, from, to }) => ({ id, from: view.toScreen(project(from)), to: view.toScreen(project(to)) })),
    line,
    sizes,
    usual,
    {
      width,
      height,
      texts: small || wall.before != null ? [] : [datumText(line)],
      halfWidth: Math.max(5, (outsideDiameter / 2) * view.scale),
      beside,
    },
  );
  const from = lengthBefore(shape.centreline, arcs, wall);
  return (
    <div ref={holder} className="contents">
      <svg width={width} height={height} aria-hidden="true" className="absolute inset-0 block">
        <g opacity={faded ? 0.3 : 1}>
          {spots.map((spot) => (
            <g key={spot.id} stroke="var(--line)" fill="none">
              {spot.leader !== undefined && <path d={path([spot.leader.from, spot.leader.to])} className="line-thin" />}
              {isLong(spot.line) && <DimensionLine from={spot.line.from} to={spot.line.to} anchors={spot.anchors} />}
            </g>
          ))}
          {other === undefined ? (
            <Tube points={piece} outsideDiameter={outsideDiameter} view={view} />
          ) : (
            <>
              <Tube points={other} outsideDiameter={outsideDiameter} view={view} look={over?.look ?? 'asked'} />
              <Tube
                points={piece}
                outsideDiameter={outsideDiameter}
                view={view}
                look={over?.look === 'made' ? 'asked' : 'steel'}
              />
            </>
          )}
          {!faded &&
            marks.map(({ number, positionIn }) => (
              <Ring
                key={number}
                line={piece}
                at={positionIn - from}
                number={number}
                half={outsideDiameter / 2}
                view={view}
              />
            ))}
          {couplings.map((positionIn, i) => (
            <Coupling
              key={positionIn}
              line={piece}
              at={positionIn - from}
              before={i + 1}
              half={outsideDiameter / 2}
              view={view}
            />
          ))}
          <End
            from={pointAt(line, 1)}
            point={pointAt(line, 0)}
            goes={wall.before}
            text={small ? undefined : 'datum end'}
          />
          <End from={pointAt(line, -2)} point={pointAt(line, -1)} goes={wall.after} />
        </g>
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
    </div>
  );
}

function isLong({ from, to }: { from: Point; to: Point }): boolean {
  return Math.hypot(to.x - from.x, to.y - from.y) > 4;
}

/** Room for the name of the datum end. */
function datumText(line: readonly Point[]) {
  const [point, from] = [pointAt(line, 0), pointAt(line, 1)];
  const size = Math.hypot(point.x - from.x, point.y - from.y) || 1;
  const x = point.x + ((point.x - from.x) / size) * 36;
  const y = point.y + ((point.y - from.y) / size) * 16;
  return { left: x - 30, right: x + 30, top: y - 8, bottom: y + 8 };
}

/** Where the run goes on out of the plan: a dot towards who looks, a cross away from there; its end has its name beyond it. */
function End({
  from,
  point,
  goes,
  text,
}: {
  from: Point;
  point: Point;
  goes: Wall['before'];
  text?: string | undefined;
}) {
  if (goes == null) {
    const size = Math.hypot(point.x - from.x, point.y - from.y) || 1;
    const way = { x: (point.x - from.x) / size, y: (point.y - from.y) / size };
    return text === undefined ? null : (
      <Label
        at={{ x: point.x + way.x * 8, y: point.y + way.y * 16 }}
        size={13}
        anchor={way.x < -0.5 ? 'end' : way.x > 0.5 ? 'start' : 'middle'}
        fill="var(--line)"
      >
        {text}
      </Label>
    );
  }
  const r = 7;
  return (
    <g stroke="var(--color-base-content)" className="line-medium" fill="var(--color-base-100)" data-goes={goes}>
      <circle cx={point.x} cy={point.y} r={r} />
      {goes === 'towards' ? (
        <circle cx={point.x} cy={point.y} r={2} fill="var(--color-base-content)" />
      ) : (
        <path d={`M${xy(point, -r, -r)}L${xy(point, r, r)}M${xy(point, r, -r)}L${xy(point, -r, r)}`} />
      )}
    </g>
  );
}

/** Half way out to a circle's edge. */
function xy({ x, y }: Point, dx: number, dy: number): string {
  return `${(x + dx * 0.7).toFixed(1)} ${(y + dy * 0.7).toFixed(1)}`;
}

/** Half of a coupling is about as long as the conduit is thick; small runs are drawn large enough to see it. */
const LEAST_COUPLING = 7;

/** A sleeve over both ends, with the numbers of the pieces that meet in it. */
function Coupling({
  line,
  at,
  before,
  half,
  view,
}: {
  line: readonly Point[];
  at: number;
  before: number;
  half: number;
  view: View;
}) {
  const spot = onLine(line, at);
  if (spot === undefined) {
    return null;
  }
  const { x, y } = view.toScreen(spot.point);
  const size = Math.max(LEAST_COUPLING, half * 1.5 * view.scale);
  // The plan's up is the screen's down.
  const upright = Math.abs(spot.direction.y) > 0.5;
  const turned = (Math.atan2(-spot.direction.y, spot.direction.x) * 180) / Math.PI;
  return (
    <g data-coupling={before} stroke="var(--color-base-content)" className="line-medium">
      <rect
        x={x - size * 1.5}
        y={y - size}
        width={size * 3}
        height={size * 2}
        rx={2}
        fill="var(--color-base-100)"
        transform={`rotate(${turned.toFixed(1)} ${x.toFixed(1)} ${y.toFixed(1)})`}
      />
      <Label
        at={upright ? { x: x - size - 5, y: y + 4 } : { x, y: y + size + 13 }}
        size={13}
        anchor={upright ? 'end' : 'middle'}
        fill="var(--color-base-content)"
      >
        {`${String(before)}·${String(before + 1)}`}
      </Label>
    </g>
  );
}

/** A place along what is on the plan; nothing where it is on another wall. */
function onLine(line: readonly Point[], place: number) {
  const length = line.reduce((sum, point, i) => {
    const before = line[i - 1];
    return before === undefined ? 0 : sum + Math.hypot(point.x - before.x, point.y - before.y);
  }, 0);
  return place < 0 || place > length ? undefined : along(line, place);
}

function Ring({
  line,
  at,
  number,
  half,
  view,
}: {
  line: readonly Point[];
  at: number;
  number: number;
  half: number;
  view: View;
}) {
  const spot = onLine(line, at);
  if (spot === undefined) {
    return null;
  }
  const { point, direction } = spot;
  const across = { x: -direction.y * half * 1.6, y: direction.x * half * 1.6 };
  const one = view.toScreen({ x: point.x + across.x, y: point.y + across.y });
  const other = view.toScreen({ x: point.x - across.x, y: point.y - across.y });
  const text = view.toScreen({ x: point.x - across.x * 2.2, y: point.y - across.y * 2.2 });
  return (
    <g>
      <line x1={one.x} y1={one.y} x2={other.x} y2={other.y} stroke="var(--color-base-content)" className="line-bold" />
      <Label at={text} size={13}>
        {number}
      </Label>
    </g>
  );
}
