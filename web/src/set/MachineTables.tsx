import type { Schemas } from '../api/client';
import { Figure } from '../entry/Figure';
import { useDisplayUnit } from '../frame/signedIn';

type Fit = Schemas['MachineTestsAnswer'];

/** The tables that test bends give, with their scatter. */
export function Tables({ fit }: { fit: Fit }) {
  return (
    <table className="w-full leading-tight" data-testid="machine-tables">
      <caption className="sr-only">The tables that the test bends give</caption>
      <thead className="text-left text-sm">
        <tr>
          <th className="font-normal">at rest</th>
          <th className="text-right font-normal">springs back</th>
          <th className="pl-4 text-right font-normal">under load</th>
          <th className="text-right font-normal">ram out</th>
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: Math.max(fit.springback.length, fit.ramTravel.length) }, (_, row) => (
          // One bend more may make a row more of one table and not of the other.
          <Row key={row} springback={fit.springback[row]} travel={fit.ramTravel[row]} />
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t border-base-300">
          <td>scatter</td>
          <td className="text-right">
            {fit.springbackScatterDeg == null ? '?' : `±${fit.springbackScatterDeg.toFixed(1)}°`}
          </td>
          <td />
          <td className="text-right">
            {fit.travelScatterIn == null ? (
              '?'
            ) : (
              <>±{<Figure value={fit.travelScatterIn} unit="in" shown={{ lines: 64 }} />}</>
            )}
          </td>
        </tr>
        {fit.travelScatterIn == null && (
          <tr>
            <td colSpan={4} className="text-sm">
              How much they scatter is seen with a few more bends.
            </td>
          </tr>
        )}
      </tfoot>
    </table>
  );
}

function Row({
  springback,
  travel,
}: {
  springback: Fit['springback'][number] | undefined;
  travel: Fit['ramTravel'][number] | undefined;
}) {
  return (
    <tr className="border-t border-base-300 text-lg">
      <td>{springback !== undefined && <Figure value={springback.angleDeg ?? 0} unit="deg" />}</td>
      <td className="text-right">
        {springback !== undefined && <Figure value={springback.springbackDeg ?? 0} unit="deg" />}
      </td>
      <td className="pl-4 text-right">{travel !== undefined && <Figure value={travel.angleDeg ?? 0} unit="deg" />}</td>
      <td className="text-right">{travel !== undefined && <Figure value={travel.travelIn ?? 0} unit="in" />}</td>
    </tr>
  );
}

const WIDTH = 380;
const HEIGHT = 150;
const EDGE = 26;

/** Travel over the angle under load: each bend as a ring, the table as a line. */
export function Curve({ fit, tests }: { fit: Fit; tests: readonly Schemas['MachineTestInput'][] }) {
  const unit = useDisplayUnit();
  const largest = Math.max(...tests.map(({ underLoadDeg }) => underLoadDeg ?? 0), 1) * 1.1;
  const longest = Math.max(...tests.map(({ travelIn }) => travelIn ?? 0), 0.1) * 1.1;
  const x = (degrees: number) => EDGE + (degrees / largest) * (WIDTH - EDGE - 8);
  const y = (inches: number) => HEIGHT - EDGE - (inches / longest) * (HEIGHT - EDGE - 8);
  const line = fit.ramTravel.map(
    ({ angleDeg, travelIn }) => `${x(angleDeg ?? 0).toFixed(1)},${y(travelIn ?? 0).toFixed(1)}`,
  );
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      role="img"
      aria-label="Travel of the ram over the angle under load"
      className="w-full"
    >
      <path
        d={`M${String(EDGE)} 8V${String(HEIGHT - EDGE)}H${String(WIDTH - 8)}`}
        fill="none"
        stroke="var(--line)"
        className="line-thin"
      />
      <polyline points={line.join(' ')} fill="none" stroke="var(--color-primary)" className="line-medium" />
      {tests.map(({ underLoadDeg, travelIn }, i) => (
        <circle
          key={i}
          cx={x(underLoadDeg ?? 0)}
          cy={y(travelIn ?? 0)}
          r="4"
          fill="none"
          stroke="var(--made)"
          className="line-medium"
        />
      ))}
      {[30, 60, 90]
        .filter((degrees) => degrees < largest)
        .map((degrees) => (
          <text key={degrees} x={x(degrees)} y={HEIGHT - 8} textAnchor="middle" fontSize="13" fill="currentColor">
            {degrees}°
          </text>
        ))}
      <text x={EDGE + 4} y={18} fontSize="13" fill="currentColor">
        ram out, {unit}
      </text>
    </svg>
  );
}
