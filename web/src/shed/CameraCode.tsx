/** A code for a camera: black on white in either theme, with its quiet zone. */
export function CameraCode({
  rows,
  label,
  width = 'w-52',
}: {
  rows: readonly string[];
  label: string;
  width?: string;
}) {
  const size = rows.length;
  const black = rows.flatMap((row, y) =>
    [...row].flatMap((cell, x) => (cell === '1' ? [`M${String(x)} ${String(y)}h1v1h-1z`] : [])),
  );
  return (
    <svg
      viewBox={`0 0 ${String(size)} ${String(size)}`}
      className={width}
      role="img"
      aria-label={label}
      shapeRendering="crispEdges"
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={black.join('')} fill="#000" />
    </svg>
  );
}
