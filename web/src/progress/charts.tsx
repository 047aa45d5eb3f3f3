import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Schemas } from '../api/client';
import { quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';

type Family = Schemas['FamilyView'];
type FeatureTrend = Schemas['FeatureTrend'];
type Piece = Schemas['PieceView'];

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
    <circle cx={cx} cy={cy} r={4.5} fill="var(--made)" />
  ) : (
    <path
      d={`M${String(cx - 5)} ${String(cy - 5)}l10 10m0-10l-10 10`}
      stroke="var(--color-error)"
      className="line-bold"
    />
  );
}

/** What was made, piece by piece: points only, so that the level is what leads the eye. */
const MADE = { stroke: 'none', dot: <Point />, isAnimationActive: false, activeDot: false } as const;

/** Where it is going: the weighted mean. */
const LEVEL = {
  stroke: 'var(--made)',
  strokeWidth: 1.75,
  dot: false,
  isAnimationActive: false,
  activeDot: false,
} as const;

/** Pieces at even distances: what counts is their order, not the holidays between. */
function day(piece: Piece): string {
  return new Date(piece.measuredAt).toLocaleDateString([], { day: 'numeric', month: 'short' });
}

function ticks(family: Family) {
  return {
    dataKey: 'i',
    ...AXIS,
    tickFormatter: (i: number) => {
      const piece = family.history[i];
      return piece === undefined ? '' : day(piece);
    },
    type: 'number' as const,
    domain: [-0.5, family.history.length - 0.5] as [number, number],
    ticks: family.history.map((_, i) => i),
    interval: 'preserveStartEnd' as const,
    minTickGap: 28,
  };
}

/** Where a change was found: a line between two pieces. */
function stepAt(family: Family, step: Schemas['LevelStep'] | null | undefined): number | undefined {
  const at = family.history.findIndex(({ attemptId }) => attemptId === step?.attemptId);
  return at > 0 ? at - 0.5 : undefined;
}

export function ScoreChart({ family }: { family: Family }) {
  const rows = family.history.map((piece, i) => ({
    i,
    points: piece.points,
    good: piece.passed,
    level: family.scores[i],
  }));
  const passed = rows.filter(({ good }) => good).length;
  const passMark = family.history.at(-1)?.passMark ?? 0;
  const step = stepAt(family, family.scoreStep);
  const described = `Scores of ${String(rows.length)} pieces, ${String(passed)} passed, the last ${String(Math.round(rows.at(-1)?.points ?? 0))}. The pieces are listed below.`;
  return (
    <div className="h-[8.6rem] text-sm" role="img" aria-label={described}>
      <ResponsiveContainer>
        <ComposedChart data={rows} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--grid)" vertical={false} />
          <XAxis {...ticks(family)} />
          <YAxis domain={[0, 100]} ticks={[0, passMark, 100]} width={62} {...AXIS} />
          <ReferenceLine y={passMark} stroke="var(--asked)" strokeDasharray="7 4" />
          {step !== undefined && <ReferenceLine x={step} stroke="var(--color-base-content)" strokeWidth={1.75} />}
          <Line dataKey="level" {...LEVEL} />
          <Line dataKey="points" {...MADE} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

/** Deviations of one feature within the band of the tolerance that each was judged by. */
export function DeviationChart({ family, feature }: { family: Family; feature: FeatureTrend }) {
  const display = useDisplayUnit();
  const at = family.features.indexOf(feature);
  const { unit } = feature;
  const rows = family.history.flatMap((piece, i) => {
    const deviation = piece.deviations[at];
    const tolerance = piece.tolerances[at];
    return deviation == null || tolerance == null
      ? []
      : [
          {
            i,
            band: [-tolerance, tolerance] as [number, number],
            tolerance,
            deviation,
            level: feature.levels[i] ?? undefined,
            good: piece.within[at] === true,
          },
        ];
  });
  // A slip of half a foot must not flatten all the rest: what lies further out is drawn at the edge.
  const widest = Math.max(...rows.map(({ tolerance }) => tolerance));
  const edge = Math.min(Math.max(...rows.map(({ deviation }) => Math.abs(deviation)), widest * 1.6), widest * 3);
  const clipped = rows.map((row) => ({
    ...row,
    level: row.level === undefined ? undefined : Math.max(-edge, Math.min(edge, row.level)),
    ...(Math.abs(row.deviation) > edge
      ? {
          deviation: Math.sign(row.deviation) * edge,
          beyond: quantityText(row.deviation, unit, display, { signed: true }),
        }
      : {}),
  }));
  const grid = unit === 'deg' ? (edge > 4 ? 2 : 1) : edge > 0.4 ? 0.25 : 0.125;
  const marks = Array.from({ length: 2 * Math.floor(edge / grid) + 1 }, (_, i) => (i - Math.floor(edge / grid)) * grid);
  const outside = rows.filter(({ good }) => !good).length;
  const step = stepAt(family, feature.step);
  return (
    <div
      className="h-[12.5rem] text-sm"
      role="img"
      aria-label={`Deviations of ${String(rows.length)} pieces, ${String(outside)} outside tolerance. The pieces are listed below.`}
    >
      <ResponsiveContainer>
        <ComposedChart data={clipped} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <XAxis {...ticks(family)} />
          <YAxis
            domain={[-edge * 1.08, edge * 1.08]}
            ticks={marks}
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
          {step !== undefined && <ReferenceLine x={step} stroke="var(--color-base-content)" strokeWidth={1.75} />}
          <Line dataKey="level" connectNulls {...LEVEL} />
          <Line dataKey="deviation" {...MADE} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
