import { STANDINGS, type Standing } from './standings';

/** Where somebody stands, as rings on a piece of conduit: none to three; a signature closes it with a tick. */
export function StandingMark({ standing, wide = 58 }: { standing: Standing; wide?: number }) {
  const { rings } = STANDINGS[standing];
  const done = standing === 'signed' || standing === 'ready';
  const tone = done ? 'var(--asked)' : 'var(--steel-edge)';
  return (
    <svg width={wide} height={16} viewBox="0 1 58 16" aria-hidden="true" className="shrink-0">
      {standing === 'notTried' ? (
        <line x1={3} x2={55} y1={9} y2={9} stroke="var(--line)" className="line-thin" strokeDasharray="3 4" />
      ) : (
        <rect
          x={1}
          y={3}
          width={56}
          height={12}
          rx={2}
          fill={standing === 'signed' ? 'var(--asked)' : 'var(--steel-fill)'}
          stroke={tone}
          className="line-medium"
        />
      )}
      {standing === 'signed' ? (
        <path d="M21 9l5 5 11-11" fill="none" stroke="var(--color-primary-content)" className="line-bold" />
      ) : (
        Array.from({ length: rings }, (_, i) => (
          <line
            key={i}
            x1={14 + i * 15}
            x2={14 + i * 15}
            y1={1}
            y2={17}
            stroke={standing === 'ready' ? 'var(--asked)' : 'var(--color-base-content)'}
            className="line-bold"
          />
        ))
      )}
    </svg>
  );
}
