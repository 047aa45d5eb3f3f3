import { beside, path, type Point, type View } from './geometry';

interface TubeProps {
  points: readonly Point[];
  outsideDiameter: number;
  view: View;
  look?: 'steel' | 'made' | 'asked' | 'marked' | 'first';
}

/**
 * Conduit to scale: two edges, a soft band of sheen, a fine centreline. What was asked for is an outline only; what the rings
 * alone would have given is a dotted centreline, and what was first bent a dotted outline.
 */
export function Tube({ points, outsideDiameter, view, look = 'steel' }: TubeProps) {
  const screen = (line: readonly Point[]) => line.map(view.toScreen);
  const left = screen(beside(points, outsideDiameter / 2));
  const right = screen(beside(points, -outsideDiameter / 2));
  const outline = path([...left, ...right.reverse()], true);
  if (look === 'asked') {
    return (
      <g data-tube={look}>
        <path
          d={outline}
          fill="var(--asked)"
          fillOpacity={0.08}
          stroke="var(--asked)"
          className="line-medium"
          strokeDasharray="7 4"
        />
      </g>
    );
  }
  if (look === 'first') {
    return (
      <path
        d={outline}
        fill="none"
        stroke="var(--made)"
        className="line-medium"
        strokeDasharray="2 3"
        strokeLinejoin="round"
        data-look="first"
      />
    );
  }
  if (look === 'marked') {
    return (
      <path
        d={path(screen(points))}
        fill="none"
        stroke="var(--color-base-content)"
        className="line-medium"
        strokeDasharray="2 5"
        strokeLinecap="round"
        data-look="marked"
      />
    );
  }
  const sheen = path(screen(beside(points, outsideDiameter * 0.16)));
  const made = look === 'made';
  return (
    <g data-tube={look}>
      <path
        d={outline}
        fill={made ? 'var(--made-fill)' : 'var(--steel-fill)'}
        stroke={made ? 'var(--made)' : 'var(--steel-edge)'}
        className="line-medium"
        strokeLinejoin="round"
      />
      <path
        d={sheen}
        fill="none"
        stroke="var(--steel-sheen)"
        strokeOpacity={made ? 0.4 : 0.75}
        strokeWidth={Math.max(1.5, outsideDiameter * view.scale * 0.26)}
      />
      <path
        d={path(screen(points))}
        fill="none"
        stroke={made ? 'var(--made)' : 'var(--steel-edge)'}
        className="line-thin"
        strokeDasharray="14 3 2 3"
        strokeOpacity={0.75}
      />
    </g>
  );
}
