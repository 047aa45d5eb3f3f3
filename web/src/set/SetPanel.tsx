import { type ComponentProps, useState } from 'react';
import type { Problem, Schemas } from '../api/client';
import type { LayoutAnswer, LayoutRequest } from '../api/queries';
import { kindOf } from '../bends/kinds';
import { QuantityField } from '../entry/QuantityField';
import { Choice } from '../frame/Header';
import { bendersFor, chosen, DIVISIONS, type Draft } from './draft';
import { Alongside } from './Alongside';
import { Outcome } from './Outcome';
import { Steps } from './Steps';

export type FieldProps = Omit<ComponentProps<typeof QuantityField>, 'place'>;

interface SetPanelProps {
  shed: Schemas['Shed'];
  draft: Draft;
  change: (part: Partial<Draft>) => void;
  plan: LayoutAnswer | undefined;
  problem: Problem | null;
  /** What is asked of the core; undefined while an input is no size. */
  request: LayoutRequest | undefined;
  /** The kind's inputs by name, as they also stand on the drawing. */
  fields: ReadonlyMap<string, FieldProps>;
}

const SIDES = [
  { value: 'inputs', name: 'Inputs' },
  { value: 'outcome', name: 'Comes out' },
  { value: 'steps', name: 'Bending' },
] as const;

/** The same inputs as on the drawing, as a list; what they come to; and how it is bent. */
export function SetPanel({ shed, draft, change, plan, problem, request, fields }: SetPanelProps) {
  const [side, setSide] = useState<(typeof SIDES)[number]['value']>('inputs');
  const shown = problem === null ? plan : undefined;
  return (
    <aside
      aria-label="Inputs"
      className="flex w-full shrink-0 flex-col gap-2 overflow-y-auto border-base-300 bg-base-200 p-3 lg:w-[21rem] lg:border-l"
    >
      <Choice label="Shown" options={SIDES} value={side} onChange={setSide} />
      {side === 'inputs' && <Inputs shed={shed} draft={draft} change={change} fields={fields} />}
      {side === 'outcome' && shown !== undefined && (
        <Outcome plan={shown} bender={shed.benders.find(({ id }) => id === draft.benderId)} />
      )}
      {side === 'steps' && shown !== undefined && <Steps plan={shown} />}
      {side === 'steps' && request !== undefined && (draft.kind === 'offset' || draft.kind === 'kick') && (
        <Alongside first={request} />
      )}
      {side !== 'inputs' && shown === undefined && <p className="text-lg">It cannot be laid out like this.</p>}
      <Cautions cautions={shed.cautions} />
    </aside>
  );
}

function Inputs({ shed, draft, change, fields }: Pick<SetPanelProps, 'shed' | 'draft' | 'change' | 'fields'>) {
  const { inputs, choices } = kindOf(draft.kind);
  return (
    <>
      <div className={`grid items-start gap-x-2 gap-y-1.5 ${inputs.length > 4 ? 'grid-cols-3' : 'grid-cols-2'}`}>
        {inputs.map(({ name }) => {
          const field = fields.get(name);
          return field === undefined ? null : <QuantityField key={name} {...field} place="list" />;
        })}
      </div>
      <div className="grid grid-cols-2 gap-x-2 gap-y-1.5">
        {choices.map(({ name, label, options }) => (
          <Select
            key={name}
            label={label}
            options={options}
            value={chosen(draft, name, options)}
            onChange={(value) => {
              change({ choices: { ...draft.choices, [name]: value } });
            }}
          />
        ))}
        <Select
          label="Method"
          options={METHODS}
          value={draft.method}
          onChange={(method) => {
            change({ method: method === 'exact' ? 'exact' : 'chart' });
          }}
        />
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
    </>
  );
}

const METHODS = [
  { value: 'chart', name: 'By the chart' },
  { value: 'exact', name: 'Exact' },
] as const;

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
