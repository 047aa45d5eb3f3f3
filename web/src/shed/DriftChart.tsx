import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { Schemas } from '../api/client';
import { quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';
import { day } from './days';
import { driftTicks } from './driftTicks';
import { TOLD } from './figureWords';

const AXIS = {
  stroke: 'var(--line)',
  tick: { fill: 'var(--color-base-content)', fontSize: 14 },
  tickLine: false,
} as const;

/** A figure of a bender week by week: what its pieces say, what it has now, and the moment of change. */
export function DriftChart({ series, told }: { series: Schemas['ToldSeries']; told: Schemas['ToldFigure'] }) {
  const unit = useDisplayUnit();
  const as = TOLD[told.figure];
  if (as === undefined || series.weeks.length === 0) {
    return null;
  }
  const words = (value: number) => quantityText(value, as.unit, unit, { lines: 32 });
  const rows = series.weeks.map((week, i) => ({ i, value: week.value }));
  const values = [...rows.map(({ value }) => value), told.now, told.value - told.reach, told.value + told.reach];
  const least = Math.min(...values);
  const most = Math.max(...values);
  const room = Math.max((most - least) * 0.15, as.unit === 'deg' ? 0.25 : 1 / 32);
  const since = told.since;
  const changed = since == null ? -1 : series.weeks.findIndex(({ week }) => addDays(week, 6) >= since);
  const described =
    `${as.words} week by week, from ${words(series.weeks[0]?.value ?? 0)} to ${words(series.weeks.at(-1)?.value ?? 0)}; ` +
    `it has ${words(told.now)} now, the class says ${words(told.value)}` +
    (since == null ? '.' : `, since ${day(since)}.`);
  return (
    <figure>
      <figcaption className="text-lg leading-tight">
        {as.words}, week by week: ▬ what it has now, ▒ what the class says
        {changed >= 0 && ', │ where it changed'}
      </figcaption>
      <div className="h-[9rem] text-sm" role="img" aria-label={described}>
        <ResponsiveContainer>
          <ComposedChart data={rows} margin={{ top: 8, right: 12, bottom: 0, left: 0 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--grid)" vertical={false} />
            <XAxis
              dataKey="i"
              type="number"
              domain={[-0.5, rows.length - 0.5]}
              ticks={rows.map(({ i }) => i)}
              tickFormatter={(i: number) => {
                const week = series.weeks[i]?.week;
                return week === undefined
                  ? ''
                  : new Date(week).toLocaleDateString([], { day: 'numeric', month: 'short' });
              }}
              interval="preserveStartEnd"
              minTickGap={28}
              {...AXIS}
            />
            <YAxis
              domain={[least - room, most + room]}
              ticks={driftTicks(least - room, most + room, as.unit)}
              tickFormatter={words}
              width={82}
              {...AXIS}
            />
            <ReferenceArea
              y1={told.value - told.reach}
              y2={told.value + told.reach}
              fill="var(--made)"
              fillOpacity={0.18}
            />
            <ReferenceLine y={told.now} stroke="var(--asked)" strokeWidth={1.75} />
            {changed > 0 && <ReferenceLine x={changed - 0.5} stroke="var(--color-base-content)" strokeWidth={1.75} />}
            <Line
              dataKey="value"
              stroke="var(--made)"
              strokeWidth={1.75}
              dot={{ r: 4.5, fill: 'var(--made)', stroke: 'none' }}
              isAnimationActive={false}
              activeDot={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

function addDays(date: string, days: number): string {
  const at = new Date(`${date}T12:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return at.toISOString().slice(0, 10);
}
