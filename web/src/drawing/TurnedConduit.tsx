import type { LayoutAnswer } from '../api/queries';
import { Label } from './Dimension';
import { path, type View } from './geometry';
import type { Space } from './pose';
import type { Seen } from './turn';

/** Straights and arcs of the tube from the furthest to the nearest, each with its edges, its body and its sheen. */
export function Conduit({
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
    <g fill="none" strokeLinejoin="round" data-tube="steel">
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
export function Rings({
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
