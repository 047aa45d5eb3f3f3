import type { Schemas } from '../api/client';
import type { View } from './geometry';

/** What the conduit has to clear, standing on the surface; what goes on for ever ends with the drawing. */
export function ObstacleShape({
  obstacle,
  view,
  width,
}: {
  obstacle: Schemas['ObstacleAnswer'];
  view: View;
  width: number;
}) {
  const { shape, fromIn, widthIn, heightIn } = obstacle;
  const corner = view.toScreen({ x: fromIn, y: heightIn });
  const foot = view.toScreen({ x: fromIn + widthIn, y: 0 });
  const common = { fill: 'url(#hatch)', stroke: 'var(--line)', className: 'line-medium' };
  if (shape === 'round') {
    const radius = (widthIn / 2) * view.scale;
    return <circle cx={corner.x + radius} cy={corner.y + radius} r={radius} {...common} data-obstacle="round" />;
  }
  return (
    <rect
      x={corner.x}
      y={corner.y}
      width={Math.max(0, Math.min(foot.x, width + 4) - corner.x)}
      height={foot.y - corner.y}
      {...common}
      data-obstacle="rectangular"
    />
  );
}
