import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import { featureName, featureOf } from '../entry/features';
import { Figure } from '../entry/Figure';
import type { FigureUnit } from '../entry/figures';
import { MissSign } from './MethodMisses';

/** What the marks come to: asked, predicted by the simulation of the rounded marks, and what the other method gives. */
export function Outcome({
  plan,
  foresight,
  bender,
  onAsk,
}: {
  plan: LayoutAnswer;
  foresight: Schemas['ForesightView'] | undefined;
  bender: Schemas['BenderView'] | undefined;
  /** Asks why a number is what it is. */
  onAsk: (about: string) => void;
}) {
  const other = plan.otherMethod?.impossible == null ? (plan.otherMethod ?? undefined) : undefined;
  return (
    <>
      <table className="w-full leading-[1.3]">
        <caption className="sr-only">What the marks will give</caption>
        <thead>
          <tr className="text-left text-sm">
            <th className="font-normal">What the marks give</th>
            <th className="px-1 text-right font-normal">asked</th>
            <th className="px-1 text-right font-normal">comes out</th>
            {other !== undefined && (
              <th className="text-right font-normal">{other.method === 'exact' ? 'if exact' : 'by chart'}</th>
            )}
          </tr>
        </thead>
        <tbody>
          {plan.features.map((feature) => (
            <tr key={feature.id} className="border-t border-base-300">
              <th scope="row" className="text-left font-normal">
                {featureName(feature.id, plan.marks.length)}
              </th>
              <td className="text-right text-[1.05rem]">
                <Figure value={feature.target} unit={feature.unit} />
              </td>
              <td className="text-right text-[1.05rem]">
                <button
                  type="button"
                  className="min-h-6 underline decoration-dotted underline-offset-4"
                  aria-label={`Why ${featureName(feature.id, plan.marks.length)}`}
                  onClick={() => {
                    onAsk(featureOf(feature.id).kind === 'mark' ? feature.id : `predicted/${feature.id}`);
                  }}
                >
                  <MissSign grade={foresight?.misses.find((miss) => miss.feature === feature.id)?.grade} />
                  <Figure value={feature.predicted} unit={feature.unit} fine={feature.unit === 'in'} />
                </button>
              </td>
              {other !== undefined && (
                <td className="text-right text-[1.05rem]">
                  <Other feature={feature} other={other} />
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      {plan.otherMethod?.impossible != null && (
        <p className="leading-snug">
          {plan.otherMethod.method === 'exact' ? 'Exactly' : 'By the chart'} it cannot be laid out:{' '}
          {plan.otherMethod.impossible}.
        </p>
      )}
      <dl className="grid grid-cols-[1fr_auto] gap-x-3 border-t-2 border-base-content/40 pt-1 leading-snug">
        <Line name="Shrink, one side" value={plan.shrinkIn} />
        {plan.cutLengthIn != null && <Line name="Cut length" value={plan.cutLengthIn} />}
        {plan.clearance != null && <Line name="Gap to the obstacle" value={plan.clearance.gapIn} />}
        <Line name="Bends add up to" value={plan.totalBendDeg} unit="deg" />
        {bender !== undefined && (
          <>
            {bender.figures.takeUpIn != null && (
              <Line name={plan.tool === 'machine' ? 'Deduct' : 'Take-up'} value={bender.figures.takeUpIn} />
            )}
            <Line name="Gain of a ninety" value={bender.gainIn} />
          </>
        )}
      </dl>
    </>
  );
}

function Line({ name, value, unit = 'in' }: { name: string; value: number; unit?: FigureUnit }) {
  return (
    <>
      <dt>{name}</dt>
      <dd className="text-right text-[1.05rem] leading-tight">
        <Figure value={value} unit={unit} />
      </dd>
    </>
  );
}

/** What the other method predicts; a dash where both say the same. */
function Other({ feature, other }: { feature: LayoutAnswer['features'][number]; other: Schemas['OtherMethod'] }) {
  const difference = other.differences.find(({ id }) => id === feature.id);
  return difference === undefined ? (
    <span aria-label="the same">–</span>
  ) : (
    <Figure value={difference.predicted} unit={feature.unit} fine={feature.unit === 'in'} />
  );
}
