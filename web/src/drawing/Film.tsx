import type { View } from './geometry';

/** The film's grid: whole inches, so that the eye has a scale. */
export function Paper({ width, height, view }: { width: number; height: number; view: View }) {
  const origin = view.toScreen({ x: 0, y: 0 });
  const step = view.scale * (view.scale < 12 ? 6 : view.scale < 26 ? 2 : 1);
  return (
    <>
      <pattern id="film" width={step} height={step} patternUnits="userSpaceOnUse" x={origin.x} y={origin.y}>
        <path d={`M${String(step)} 0H0V${String(step)}`} fill="none" stroke="var(--grid)" className="line-thin" />
      </pattern>
      <rect width={width} height={height} fill="url(#film)" />
    </>
  );
}

/** Hatching for what is solid. */
export function Hatch() {
  return (
    <pattern id="hatch" width={9} height={9} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1={0} x2={0} y1={0} y2={9} stroke="var(--line)" className="line-thin" />
    </pattern>
  );
}

/** The surface that a piece lies or stands on; what it hangs over begins somewhere. */
export function Floor({ view, width, from }: { view: View; width: number; from?: number | undefined }) {
  const { x: edge, y } = view.toScreen({ x: from ?? 0, y: 0 });
  const left = from === undefined ? 0 : Math.max(0, edge);
  return (
    <g stroke="var(--line)">
      <Hatch />
      <rect
        x={left}
        y={y}
        width={Math.max(0, width - left)}
        height={9}
        fill="url(#hatch)"
        stroke="none"
        opacity={0.6}
      />
      <line x1={left} x2={width} y1={y} y2={y} className="line-medium" />
      {from !== undefined && <line x1={left} x2={left} y1={y} y2={y + 40} className="line-medium" />}
    </g>
  );
}
