import type { ComponentProps } from 'react';
import type { Problem, Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import { Figure } from '../entry/Figure';
import { featureName } from '../entry/features';
import { QuantityField } from '../entry/QuantityField';
import { Choice } from '../frame/Header';
import { bendersFor, DIVISIONS, type Draft } from './draft';

type FieldProps = Omit<ComponentProps<typeof QuantityField>, 'place'>;

interface SetPanelProps {
  shed: Schemas['Shed'];
  draft: Draft;
  change: (part: Partial<Draft>) => void;
  plan: LayoutAnswer | undefined;
  problem: Problem | null;
  legField: FieldProps;
  otherField: FieldProps;
}

/** The same inputs as on the drawing, as a list, with what they come to. */
export function SetPanel({ shed, draft, change, plan, problem, legField, otherField }: SetPanelProps) {
  return (
    <aside
      aria-label="Inputs"
      className="flex w-full shrink-0 flex-col gap-2.5 overflow-y-auto border-base-300 bg-base-200 p-3 lg:w-[21rem] lg:border-l"
    >
      <div className="grid grid-cols-2 items-start gap-2">
        <QuantityField {...legField} place="list" />
        <QuantityField {...otherField} place="list" />
      </div>
      <Choice
        label="Placed by"
        options={[
          { value: 'arrow', name: 'By the arrow' },
          { value: 'star', name: 'By the star' },
        ]}
        value={draft.placement}
        onChange={(placement) => {
          change({ placement });
        }}
      />
      <div className="grid grid-cols-2 gap-x-2 gap-y-2">
        <Select
          label="Conduit"
          value={draft.conduitId}
          onChange={(conduitId) => {
            change({ conduitId });
          }}
          options={shed.conduits.map(({ id, label }) => ({ value: id, name: label }))}
        />
        <Select
          label="Bender"
          value={draft.benderId}
          onChange={(benderId) => {
            change({ benderId });
          }}
          options={bendersFor(shed, draft.conduitId).map(({ id, label }) => ({ value: id, name: label }))}
        />
        <Select
          label="Tolerance"
          value={draft.preset}
          onChange={(preset) => {
            change({ preset });
          }}
          options={shed.tolerances.map(({ preset }) => ({ value: preset, name: preset }))}
        />
        <Select
          label="Tape division"
          value={String(draft.divisionIn)}
          onChange={(division) => {
            change({ divisionIn: Number(division) });
          }}
          options={DIVISIONS}
        />
      </div>
      {plan !== undefined && problem === null && (
        <Comes plan={plan} bender={shed.benders.find(({ id }) => id === draft.benderId)} />
      )}
      <Cautions cautions={shed.cautions} />
    </aside>
  );
}

function Select({
  label,
  value,
  onChange,
  options,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  options: readonly { value: string; name: string }[];
}) {
  return (
    <label className="grid gap-0.5">
      <span className="text-sm leading-none">{label}</span>
      <select
        value={value}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        className="h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2"
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** What the marks come to: asked, and predicted by the simulation of the rounded marks. */
function Comes({ plan, bender }: { plan: LayoutAnswer; bender: Schemas['BenderView'] | undefined }) {
  return (
    <table className="w-full leading-snug">
      <caption className="sr-only">What the marks will give</caption>
      <thead>
        <tr className="text-left text-sm">
          <th className="font-normal">What the marks give</th>
          <th className="text-right font-normal">asked</th>
          <th className="text-right font-normal">comes out</th>
        </tr>
      </thead>
      <tbody>
        {plan.features.map((feature) => (
          <tr key={feature.id} className="border-t border-base-300">
            <th scope="row" className="py-0.5 text-left font-normal">
              {featureName(feature.id)}
            </th>
            <td className="text-right text-xl leading-snug">
              <Figure value={feature.target} unit={feature.unit} />
            </td>
            <td className="text-right text-xl leading-snug">
              <Figure value={feature.predicted} unit={feature.unit} />
            </td>
          </tr>
        ))}
        {bender !== undefined && (
          <tr className="border-t border-base-300">
            <th scope="row" className="py-0.5 text-left font-normal">
              Take-up, gain
            </th>
            <td className="text-right text-xl leading-snug">
              <Figure value={bender.figures.takeUpIn ?? 0} unit="in" />
            </td>
            <td className="text-right text-xl leading-snug">
              <Figure value={bender.gainIn} unit="in" />
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

function Cautions({ cautions }: { cautions: readonly string[] }) {
  return (
    <details className="mt-auto border-t border-base-300 pt-1 text-base leading-snug">
      <summary className="cursor-pointer py-1">
        <b>Cautions.</b> {cautions[0]} <span className="underline">All of them</span>
      </summary>
      <ul className="list-disc pl-5">
        {cautions.slice(1).map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </details>
  );
}
