import type { Schemas } from '../api/client';
import { boxAround, fit, path } from './geometry';
import { arrowHead, asSeen, notYetTurned, turnArrow } from './shoeView';
import type { Space } from './pose';
import { Sized } from './Sized';
import { type Gaze, seen } from './turn';
import { Conduit } from './TurnedConduit';
import { Label } from './Dimension';

export interface InShoeProps {
  bend: Schemas['ShownBendAnswer'];
  /** Which moment, from 0; before the first, how much of the turn is still to come, in parts. */
  moment: number;
  turnLeft: number;
  outsideDiameter: number;
  gaze: Gaze;
  description: string;
}

/** A shoe's rim is drawn in so many parts. */
const SHOE_PARTS = 24;
/** How large the arrow round the conduit is drawn, pixels. */
const ARROW_PX = 34;

/** The part-bent piece in the shoe, on the floor or in the air, at one moment of a bend. */
export function InShoe(props: InShoeProps) {
  return <Sized name="in the shoe">{(width, height) => <Drawing {...props} width={width} height={height} />}</Sized>;
}

function Drawing({
  bend,
  moment,
  turnLeft,
  outsideDiameter,
  gaze,
  description,
  width,
  height,
}: InShoeProps & { width: number; height: number }) {
  const now = bend.moments[moment] ?? bend.moments[0];
  const first = bend.moments[0];
  if (now === undefined || first === undefined) {
    return null;
  }
  const half = outsideDiameter / 2;
  const axis = axisOf(first, half);
  const turnedBy = bend.turnSeenDeg * turnLeft;
  const look = (point: Space) => seen(asSeen(point), gaze);
  // One scale for all moments, so that nothing jumps while it is bent.
  const all = bend.moments.flatMap(({ centreline, lever }) => [...centreline, ...cutOff(lever)]);
  const floor = floorOf(all);
  const view = fit(boxAround([...all, ...floor].map(look)), width, height, {
    left: 24,
    right: 24,
    top: 24,
    bottom: 24,
  });
  const screen = (points: readonly Space[]) => points.map((point) => view.toScreen(look(point)));
  const turned = notYetTurned(now.centreline, turnedBy, axis);
  const lift = underFloor(turned, half);
  const piece = turned.map(([x = 0, y = 0, z = 0]) => [x, y + lift, z]);
  // What comes of it: the piece turned, then bent.
  const next = (turnLeft > 0 ? first : bend.moments.at(-1))?.centreline;
  // It is turned outside of the shoe.
  const shoe = turnLeft > 0 ? undefined : shoeOf(now, outsideDiameter);
  const turns = Math.abs(bend.turnSeenDeg) > 0.01;
  const arrow = screen(turnArrow(bend.turnSeenDeg, axis + lift, ARROW_PX / view.scale, heelOf(all) + 2));
  return (
    <svg width={width} height={height} role="img" aria-label={description} className="absolute inset-0 block">
      <path
        d={path(screen(floor), true)}
        fill="var(--color-base-200)"
        stroke="var(--line)"
        className="line-medium"
        data-floor=""
      />
      <g stroke="var(--grid)" className="line-medium">
        {linesOn(floor).map((line, i) => (
          <path key={i} d={path(screen(line))} />
        ))}
      </g>
      <path
        d={path(screen(piece.map(([x = 0, , z = 0]) => [x, 0, z])))}
        fill="none"
        stroke="var(--color-base-300)"
        strokeWidth={outsideDiameter * view.scale}
        strokeLinejoin="round"
      />
      {shoe !== undefined && (
        <path
          d={path(screen(shoe.body), true)}
          fill="var(--color-accent)"
          fillOpacity={0.55}
          stroke="var(--color-base-content)"
          className="line-medium"
          data-shoe=""
        />
      )}
      {next !== undefined && (
        <path
          d={path(screen(next))}
          fill="none"
          stroke="var(--asked)"
          className="line-medium"
          strokeDasharray="7 4"
          strokeLinejoin="round"
          data-look="next"
        />
      )}
      <Conduit piece={piece} look={look} view={view} diameter={outsideDiameter} arcs={bend.arcs} />
      {shoe !== undefined && (
        <path
          d={path(screen(shoe.lever))}
          fill="none"
          stroke="var(--color-accent)"
          strokeWidth={Math.max(4, 1.1 * view.scale)}
          strokeLinecap="round"
          strokeOpacity={0.8}
          data-lever=""
        />
      )}
      {turns && turnLeft > 0 && (
        <g fill="none" stroke="var(--made)" data-turn={bend.turnSeenDeg > 0 ? 'clockwise' : 'anticlockwise'}>
          <path d={path(arrow)} strokeWidth={4} />
          <path d={path(arrowHead(arrow, 16), true)} fill="var(--made)" />
        </g>
      )}
      {[0, -1].map((end) => {
        const point = piece.at(end);
        return point === undefined ? null : (
          <Label key={end} at={offset(view.toScreen(look(point)))} size={14} fill="var(--line)">
            {end === 0 ? 'datum end' : 'far end'}
          </Label>
        );
      })}
    </svg>
  );
}

/** How far it is held up while it is turned, so that nothing of it is below the floor. */
function underFloor(points: readonly Space[], half: number): number {
  return Math.max(0, half - Math.min(...points.map(([, y = 0]) => y)));
}

function offset({ x, y }: { x: number; y: number }) {
  return { x, y: y - 14 };
}

type Moment = Schemas['ShownBendAnswer']['moments'][number];

/** How high the conduit lies in the shoe: half of it over the floor, or as high as the lever holds it. */
function axisOf(first: Moment, half: number): number {
  const lowest = Math.min(...first.centreline.map(([, y = 0]) => y));
  const straight = first.centreline.filter(([, , z = 0]) => Math.abs(z) < 1e-6).map(([, y = 0]) => y);
  return straight.length === 0 ? Math.max(half, lowest) : Math.max(half, mostCommon(straight));
}

function mostCommon(values: readonly number[]): number {
  const rounded = values.map((value) => Math.round(value * 1000) / 1000);
  return rounded.reduce((best, value) =>
    rounded.filter((each) => each === value).length > rounded.filter((each) => each === best).length ? value : best,
  );
}

function heelOf(points: readonly Space[]): number {
  return Math.max(...points.map(([x = 0]) => x));
}

/** The floor under everything, in whole feet. */
function floorOf(points: readonly Space[]): Space[] {
  const feet = (value: number, up: boolean) => (up ? Math.ceil(value / 12 + 0.2) : Math.floor(value / 12 - 0.2)) * 12;
  const xs = points.map(([x = 0]) => x);
  const zs = points.map(([, , z = 0]) => z);
  const [left, right] = [feet(Math.min(...xs), false), feet(Math.max(...xs), true)];
  const [near, far] = [feet(Math.min(...zs, -6), false), feet(Math.max(...zs, 6), true)];
  return [
    [left, 0, near],
    [right, 0, near],
    [right, 0, far],
    [left, 0, far],
  ];
}

function linesOn([one, , other]: readonly Space[]): Space[][] {
  const [left = 0, , near = 0] = one ?? [];
  const [right = 0, , far = 0] = other ?? [];
  const lines: Space[][] = [];
  for (let x = left + 12; x < right; x += 12) {
    lines.push([
      [x, 0, near],
      [x, 0, far],
    ]);
  }
  for (let z = near + 12; z < far; z += 12) {
    lines.push([
      [left, 0, z],
      [right, 0, z],
    ]);
  }
  return lines;
}

/** So much of the lever is drawn, inches: it goes on. */
const LEVER = 24;

/** What is drawn of a lever: nobody needs all of it to see which way it stands. */
function cutOff(lever: Moment['lever']): Space[] {
  const [from, to] = lever ?? [];
  if (from === undefined || to === undefined) {
    return [];
  }
  const length = Math.hypot(...to.map((value, axis) => value - (from[axis] ?? 0)));
  // One that stands on the floor is seen down to there.
  const part = (to[1] ?? 0) < (from[1] ?? 0) ? 1 : Math.min(1, LEVER / (length || 1));
  return [from, from.map((value, axis) => value + ((to[axis] ?? 0) - value) * part)];
}

/** The shoe as a slice about its centre, and its lever; nothing where there is none. */
function shoeOf({ lever, centreline }: Moment, diameter: number): { body: Space[]; lever: Space[] } | undefined {
  const [centre, end] = lever ?? [];
  if (centre === undefined || end === undefined) {
    return undefined;
  }
  const [cx = 0, cy = 0] = centre;
  const [ex = 0, ey = 0] = end;
  const radius = Math.max(
    1,
    Math.min(
      ...centreline.filter(([, , z = 0]) => Math.abs(z) < 1e-6).map(([x = 0, y = 0]) => Math.hypot(x - cx, y - cy)),
    ) -
      diameter / 2,
  );
  const away = Math.atan2(ey - cy, ex - cx);
  // A shoe is about a third of a wheel, opposite its lever.
  const body = Array.from({ length: SHOE_PARTS + 1 }, (_, i): Space => {
    const angle = away + Math.PI + ((i / SHOE_PARTS - 0.5) * 2 * Math.PI) / 2.4;
    return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle), 0];
  });
  return { body: [...body, [cx, cy, 0]], lever: cutOff(lever) };
}
