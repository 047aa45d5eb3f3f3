import { tapeLines } from './tape';

/** The tape beneath the strip. */
export function TapeRule({
  lengthIn,
  divisionIn,
  scale,
  x,
  top,
  height,
}: {
  lengthIn: number;
  divisionIn: number;
  scale: number;
  x: (inches: number) => number;
  top: number;
  height: number;
}) {
  const longest = Math.min(17, height - 18);
  return (
    <g stroke="var(--line)" aria-hidden="true">
      <line x1={x(0)} x2={x(lengthIn)} y1={top} y2={top} className="line-thin" />
      {tapeLines(lengthIn, divisionIn, scale).map(({ inches, level, label, foot }) => (
        <g key={inches}>
          <line
            x1={x(inches)}
            x2={x(inches)}
            y1={top}
            y2={top + longest * 0.78 ** (level * 1.6)}
            className={foot === true ? 'line-bold' : 'line-thin'}
          />
          {label !== undefined && (
            <text
              x={x(inches)}
              y={top + longest + 10}
              fontSize={14}
              textAnchor="middle"
              stroke="none"
              fill="var(--color-base-content)"
              className="figures"
            >
              {label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
