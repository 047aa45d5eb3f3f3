import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Schemas } from '../api/client';
import { quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';

type Attempt = Schemas['AttemptPoint'];

const AXIS = {
  stroke: 'var(--line)',
  tick: { fill: 'var(--color-base-content)', fontSize: 14 },
  tickLine: false,
} as const;

interface DotProps {
  cx?: number;
  cy?: number;
  payload?: { good: boolean; beyond?: string };
}

/** A round point for what is within, a cross for what is not: never by colour alone. */
function Point({ cx, cy, payload }: DotProps) {
  if (cx === undefined || cy === undefined || Number.isNaN(cy)) {
    return <g />;
  }
  if (payload?.beyond !== undefined) {
    // Off the scale: an arrow at the edge with the true figure.
    const up = payload.beyond.startsWith('+') ? 1 : -1;
    return (
      <g fill="var(--color-error)">
        <path d={`M${String(cx - 6)} ${String(cy + 5 * up)}h12l-6 ${String(-11 * up)}z`} />
        <text x={cx + 9} y={cy + 4} fontSize={15} className="figures">
          {payload.beyond}
        </text>
      </g>
    );
  }
  return payload?.good === true ? (
    <circle cx={cx} cy={cy} r={5} fill="var(--made)" />
  ) : (
    <path
      d={`M${String(cx - 5)} ${String(cy - 5)}l10 10m0-10l-10 10`}
      stroke="var(--color-error)"
      className="line-bold"
    />
  );
}

/** What was made, attempt by attempt. */
const MADE = {
  stroke: 'var(--made)',
  strokeWidth: 1.75,
  dot: <Point />,
  isAnimationActive: false,
  activeDot: false,
} as const;

/** Attempts at even distances: what counts is their order, not the holidays between. */
function day(attempt: Attempt): string {
  return new Date(attempt.startedAt).toLocaleDateString([], { day: 'numeric', month: 'short' });
}

export function ScoreChart({ history }: { history: readonly Attempt[] }) {
  const rows = history.map((attempt, i) => ({
    i,
    day: day(attempt),
    points: attempt.points,
    good: attempt.passed,
    passMark: attempt.passMark,
  }));
  const passed = rows.filter(({ good }) => good).length;
  const last = rows.at(-1);
  const passMark = last?.passMark ?? 0;
  const described = `Scores of ${String(rows.length)} attempts, ${String(passed)} passed, the last ${String(Math.round(last?.points ?? 0))}. The attempts are listed below.`;
  return (
    <div className="h-[10rem] text-sm" role="img" aria-label={described}>
      <ResponsiveContainer>
        <ComposedChart data={rows} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--grid)" vertical={false} />
          <XAxis
            dataKey="i"
            {...AXIS}
            tickFormatter={(i: number) => rows[i]?.day ?? ''}
            interval="preserveStartEnd"
            minTickGap={28}
          />
          <YAxis domain={[0, 100]} ticks={[0, passMark, 100]} width={62} {...AXIS} />
          <ReferenceLine y={passMark} stroke="var(--asked)" strokeDasharray="7 4" />
          <Line dataKey="points" {...MADE} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

/** Deviations of one feature within the band of the tolerance that each was judged by. */
export function DeviationChart({ history, feature }: { history: readonly Attempt[]; feature: string }) {
  const display = useDisplayUnit();
  const rows = history.flatMap((attempt, i) => {
    const point = attempt.deviations.find((each) => each.feature === feature);
    return point === undefined
      ? []
      : [
          {
            i,
            day: day(attempt),
            band: [-point.tolerance, point.tolerance] as [number, number],
            tolerance: point.tolerance,
            deviation: point.deviation,
            unit: point.unit,
            good: point.within,
          },
        ];
  });
  const unit = rows[0]?.unit ?? 'in';
  // A slip of half a foot must not flatten all the rest: what lies further out is drawn at the edge.
  const widest = Math.max(...rows.map(({ tolerance }) => tolerance));
  const edge = Math.min(Math.max(...rows.map(({ deviation }) => Math.abs(deviation)), widest * 1.6), widest * 3);
  const clipped = rows.map((row) =>
    Math.abs(row.deviation) > edge
      ? {
          ...row,
          deviation: Math.sign(row.deviation) * edge,
          beyond: quantityText(row.deviation, unit, display, { signed: true }),
        }
      : row,
  );
  const step = unit === 'deg' ? (edge > 4 ? 2 : 1) : edge > 0.4 ? 0.25 : 0.125;
  const ticks = Array.from({ length: 2 * Math.floor(edge / step) + 1 }, (_, i) => (i - Math.floor(edge / step)) * step);
  const outside = rows.filter(({ good }) => !good).length;
  return (
    <div
      className="h-[13.5rem] text-sm"
      role="img"
      aria-label={`Deviations of ${String(rows.length)} attempts, ${String(outside)} outside tolerance. The attempts are listed below.`}
    >
      <ResponsiveContainer>
        <ComposedChart data={clipped} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <XAxis
            dataKey="i"
            {...AXIS}
            tickFormatter={(i: number) => clipped[i]?.day ?? ''}
            interval="preserveStartEnd"
            minTickGap={28}
          />
          <YAxis
            domain={[-edge * 1.08, edge * 1.08]}
            ticks={ticks}
            width={62}
            tickFormatter={(value: number) => quantityText(value, unit, display, { signed: true })}
            {...AXIS}
          />
          <Area
            type="step"
            dataKey="band"
            fill="var(--asked)"
            fillOpacity={0.17}
            stroke="var(--asked)"
            strokeDasharray="7 4"
            isAnimationActive={false}
            activeDot={false}
          />
          <ReferenceLine y={0} stroke="var(--line)" />
          <Line dataKey="deviation" {...MADE} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
