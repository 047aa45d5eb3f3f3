import { useState } from 'react';
import type { Schemas } from '../api/client';
import type { Attempt } from '../api/queries';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';
import { barsOf, spanOf } from './waterfallBars';

const STAGES: Record<Schemas['PartView']['stage'], string> = {
  plan: 'The method’s share',
  arithmetic: 'Own arithmetic',
  rings: 'Rings',
  bender: 'The bender',
  angles: 'Angles',
  plane: 'Plane',
  rest: 'Left over',
};

interface Limits {
  over: number;
  under: number;
}

/** Where the deviation of each finished dimension came in, stage by stage; the parts add up to the whole. */
export function Waterfall({ attempt, budgets }: { attempt: Attempt; budgets: readonly Schemas['BudgetView'][] }) {
  const features = new Map(attempt.features.map((feature) => [feature.id, feature]));
  const limits = (id: string) => ({ over: features.get(id)?.tolerance ?? 1, under: features.get(id)?.under ?? 1 });
  const inTolerances = ({ feature, deviation }: Schemas['BudgetView']) =>
    deviation < 0 ? -deviation / limits(feature).under : deviation / limits(feature).over;
  const worst = [...budgets].sort((one, other) => inTolerances(other) - inTolerances(one))[0];
  const [chosen, setChosen] = useState(worst?.feature);
  const budget = budgets.find(({ feature }) => feature === chosen) ?? worst;
  const bends = attempt.plan.marks.length;
  if (budget === undefined) {
    return <p className="text-lg leading-snug">No finished dimension is read yet.</p>;
  }
  return (
    <section aria-label="Where the deviation came from" className="grid gap-3">
      <div role="radiogroup" aria-label="Dimension" className="flex flex-wrap gap-1.5">
        {budgets.map((each) => {
          const outside = features.get(each.feature)?.band === 'outside';
          return (
            <label
              key={each.feature}
              className={`flex min-h-10 cursor-pointer items-center gap-1 rounded-field border-2 px-2 has-focus-visible:outline-3 has-focus-visible:outline-info ${
                each === budget
                  ? 'border-base-content bg-base-content text-base-100'
                  : 'border-base-content/60 bg-base-100'
              }`}
            >
              <input
                type="radio"
                name="dimension"
                className="sr-only"
                checked={each === budget}
                onChange={() => {
                  setChosen(each.feature);
                }}
              />
              <span aria-hidden="true">{outside ? '✕' : '●'}</span>
              {featureName(each.feature, bends)}
            </label>
          );
        })}
      </div>
      <Bars budget={budget} tolerance={limits(budget.feature)} bends={bends} />
      <p className="text-sm leading-snug">
        The method’s share is what the set method itself misses: it costs nobody a point. Then each stage is put in the
        place of the plan, in the order of the work, and simulated. What was not read at a stage lies in the next one;
        what no reading explains is left over: where the shoe stood, what slipped, how it was read.
      </p>
    </section>
  );
}

function Bars({ budget, tolerance, bends }: { budget: Schemas['BudgetView']; tolerance: Limits; bends: number }) {
  const unit = useDisplayUnit();
  const bars = barsOf(budget);
  const span = spanOf(budget, tolerance);
  const at = (value: number) => ((value - span.from) / (span.to - span.from)) * 100;
  const name = featureName(budget.feature, bends);
  return (
    <table className="w-full border-separate border-spacing-y-0.5 text-base leading-tight">
      <caption className="pb-1 text-left text-lg">
        {name}: from what was asked, off by{' '}
        <Figure value={budget.deviation} unit={budget.unit} signed className="text-2xl" />
      </caption>
      <tbody>
        {bars.map(({ stage, change, from, to, known }) => (
          <tr key={stage}>
            <th scope="row" className={`w-32 text-left font-normal ${known ? '' : 'opacity-75'}`}>
              {STAGES[stage]}
              {!known && <span className="block text-sm">not read</span>}
            </th>
            <td className="w-16 pr-2 text-right">
              <Figure value={change} unit={budget.unit} signed fine className="text-lg" />
            </td>
            <td>
              <Track at={at} tolerance={tolerance}>
                <span
                  className={`absolute inset-y-1 ${
                    Math.abs(at(to) - at(from)) < 1 ? 'bg-base-content/40' : change < 0 ? 'bg-info' : 'bg-secondary'
                  }`}
                  style={{
                    left: `${String(Math.min(at(from), at(to)))}%`,
                    width: `max(2px, ${String(Math.abs(at(to) - at(from)))}%)`,
                  }}
                />
              </Track>
            </td>
          </tr>
        ))}
        <tr>
          <th scope="row" className="text-left font-semibold">
            As read
          </th>
          <td className="pr-2 text-right">
            <Figure value={budget.deviation} unit={budget.unit} signed className="text-lg" />
          </td>
          <td>
            <Track at={at} tolerance={tolerance}>
              <span
                className="absolute inset-y-0 w-1 -translate-x-1/2 bg-base-content"
                style={{ left: `${String(at(budget.deviation))}%` }}
              />
            </Track>
          </td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={2} />
          <td className="pt-0.5 text-sm">
            <span className="mr-1 inline-block h-3 w-6 bg-success/30 align-middle" aria-hidden="true" />
            tolerance {quantityText(-tolerance.under, budget.unit, unit, { signed: true })} to{' '}
            {quantityText(tolerance.over, budget.unit, unit, { signed: true })}
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

function Track({
  at,
  tolerance,
  children,
}: {
  at: (value: number) => number;
  tolerance: Limits;
  children: React.ReactNode;
}) {
  return (
    <span className="relative block h-8 border border-base-300 bg-base-100" aria-hidden="true">
      <span
        className="absolute inset-y-0 bg-success/30"
        style={{
          left: `${String(at(-tolerance.under))}%`,
          width: `${String(at(tolerance.over) - at(-tolerance.under))}%`,
        }}
      />
      <span className="absolute inset-y-0 w-px bg-base-content" style={{ left: `${String(at(0))}%` }} />
      {children}
    </span>
  );
}
