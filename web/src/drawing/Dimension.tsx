import type { ReactNode } from 'react';
import type { Point } from './geometry';

interface DimensionLineProps {
  /** Screen points that the dimension runs between. */
  from: Point;
  to: Point;
  /** Screen points on the piece that it measures: thin lines lead from there. */
  anchors?: readonly [Point, Point];
  children?: ReactNode;
}

const SLASH = 6;

/** A dimension line that ends in slashes, with lines leading to what it measures. */
export function DimensionLine({ from, to, anchors, children }: DimensionLineProps) {
  return (
    <g stroke="var(--line)" fill="none">
      {anchors?.map((anchor, i) => {
        const end = i === 0 ? from : to;
        return (
          <line key={i} x1={anchor.x} y1={anchor.y} x2={end.x} y2={end.y} className="line-thin" strokeOpacity={0.7} />
        );
      })}
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} className="line-thin" />
      {[from, to].map(({ x, y }, i) => (
        <line key={i} x1={x - SLASH} y1={y + SLASH} x2={x + SLASH} y2={y - SLASH} className="line-medium" />
      ))}
      {children}
    </g>
  );
}

interface LabelProps {
  at: Point;
  children: ReactNode;
  size?: number;
  anchor?: 'start' | 'middle' | 'end';
  fill?: string;
}

/** Figures on a drawing, with a halo so that lines behind do not cross them. */
export function Label({ at, children, size = 17, anchor = 'middle', fill = 'var(--color-base-content)' }: LabelProps) {
  return (
    <text
      x={at.x}
      y={at.y}
      fontSize={size}
      textAnchor={anchor}
      dominantBaseline="central"
      className="figures"
      fill={fill}
      stroke="var(--halo)"
      strokeWidth={5}
      strokeLinejoin="round"
      paintOrder="stroke"
    >
      {children}
    </text>
  );
}
