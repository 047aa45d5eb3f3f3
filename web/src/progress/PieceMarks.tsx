/** Last pieces from the oldest: a bar as high as its points with a dot for a pass, or a hollow one with a cross for none. */
export function PieceMarks({
  pieces,
  most = 6,
}: {
  pieces: readonly { points: number; passed: boolean }[];
  most?: number;
}) {
  const step = 12;
  return (
    <svg width={most * step} height={24} aria-hidden="true" className="shrink-0">
      {pieces.slice(-most).map(({ points, passed }, i) => {
        const x = i * step;
        const height = Math.max(1.5, (points / 100) * 14);
        return passed ? (
          <g key={i} fill="currentColor">
            <rect x={x + 2} y={15 - height} width={7} height={height} />
            <circle cx={x + 5.5} cy={20} r={2.4} />
          </g>
        ) : (
          <g key={i} fill="none" stroke="var(--color-error)">
            <rect x={x + 2.5} y={15 - height} width={6} height={height} className="line-thin" />
            <path d={`M${String(x + 2.8)} 17.4l5.2 5.2m0-5.2l-5.2 5.2`} className="line-medium" />
          </g>
        );
      })}
    </svg>
  );
}

/** The same in words. */
export function piecesInWords(pieces: readonly { passed: boolean }[]): string {
  const passes = pieces.filter(({ passed }) => passed).length;
  return pieces.length === 0 ? 'no piece' : `${String(passes)} of the last ${String(pieces.length)} passed`;
}
