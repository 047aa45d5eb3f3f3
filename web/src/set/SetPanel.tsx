import { type ComponentProps, useState } from 'react';
import type { Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import { kindOf } from '../bends/kinds';
import { QuantityField } from '../entry/QuantityField';
import { Choice } from '../frame/Header';
import { Alongside } from './Alongside';
import { bendersFor, chosen, DIVISIONS, type Draft, inputsOf, methodOf } from './draft';
import { cured } from './deskFields';
import { Fittings } from './Fittings';
import { Select } from '../frame/Select';
import { FilesMenu } from './FilesMenu';
import { hasOwnOrder, inOrder, inProposedOrder, isRun } from './run';
import { RunInputs } from './RunInputs';
import { exerciseOf } from './asked';
import { RunSticks } from './RunSticks';
import { MethodMisses } from './MethodMisses';
import { Outcome } from './Outcome';
import { type OwnOrder, Steps } from './Steps';
import { TestBends } from './TestBends';
import { TakeOffFields } from './TakeOffFields';
import { UsualClearance } from './UsualClearance';
import type { Desk } from './useDesk';
import { WhyPanel } from './WhyPanel';

export type FieldProps = Omit<ComponentProps<typeof QuantityField>, 'place'>;

interface SetPanelProps {
  shed: Schemas['Shed'];
  desk: Desk;
  /** The kind's inputs by name, as they also stand on the drawing. */
  fields: ReadonlyMap<string, FieldProps>;
  /** The number that was asked about last. */
  asked: string | undefined;
  onAsk: (about: string | undefined) => void;
}

const SIDES = [
  { value: 'inputs', name: 'Inputs' },
  { value: 'outcome', name: 'Comes out' },
  { value: 'steps', name: 'Bending' },
  { value: 'why', name: 'Why' },
] as const;

/** The same inputs as on the drawing, as a list; what they come to; how it is bent; and why the numbers are what they are. */
export function SetPanel({ shed, desk, fields, asked, onAsk }: SetPanelProps) {
  const { draft, plan, request } = desk;
  const [chosen, setChosen] = useState<(typeof SIDES)[number]['value']>('inputs');
  // Whoever asks about a number, on the strip or in the list, is shown why.
  const side = asked === undefined ? chosen : 'why';
  const shown = desk.isRefused ? undefined : plan;
  return (
    <aside
      aria-label="Inputs"
      className="flex w-full shrink-0 flex-col gap-2 overflow-y-auto border-base-300 bg-base-200 p-3 lg:w-[21rem] lg:border-l"
    >
      <Choice
        label="Shown"
        options={SIDES}
        value={side}
        onChange={(next) => {
          setChosen(next);
          onAsk(undefined);
        }}
      />
      <MethodMisses
        foresight={desk.foresight}
        methodFree={draft.methodFree}
        method={draft.method}
        bends={plan?.marks.length ?? 1}
        onCure={(cure) => {
          desk.change('cure', (before) => cured(before, cure, desk.sizes));
        }}
      />
      {side === 'inputs' && <Inputs shed={shed} desk={desk} fields={fields} />}
      {side === 'outcome' && shown !== undefined && (
        <Outcome
          plan={shown}
          foresight={desk.foresight}
          bender={shed.benders.find(({ id }) => id === draft.benderId)}
          onAsk={(about) => {
            setChosen('why');
            onAsk(about);
          }}
        />
      )}
      {side === 'outcome' && shown !== undefined && request !== undefined && isRun(draft) && (
        <RunSticks
          request={request}
          exercise={() => exerciseOf(shed, draft, request, undefined)}
          entry={draft.entry}
          onGiven={({ libraryId, version }) => {
            const copied = libraryId !== draft.entry.id;
            desk.saved({ id: libraryId, version, theirs: copied ? undefined : draft.entry.theirs });
          }}
        />
      )}
      {side === 'steps' && shown !== undefined && <Steps plan={shown} order={ownOrder(desk, shown)} />}
      {side === 'steps' && request !== undefined && (draft.kind === 'offset' || draft.kind === 'kick') && (
        <Alongside first={request} />
      )}
      {side === 'why' && shown !== undefined && <WhyPanel request={request} about={asked} bends={shown.marks.length} />}
      {side !== 'inputs' && shown === undefined && <p className="text-lg">It cannot be laid out like this.</p>}
      <div className="mt-auto">
        <FilesMenu shed={shed} desk={desk} />
        {shown !== undefined && <Cautions cautions={shown.cautions} />}
      </div>
    </aside>
  );
}

/** Of a run that is bent by hand: a machine's and a former's bends wait for no other. */
function ownOrder({ draft, change }: Desk, { steps, tool }: LayoutAnswer): OwnOrder | undefined {
  if (!isRun(draft) || tool !== 'shoe') {
    return undefined;
  }
  const made = steps.map(({ mark, hookTowards }) => ({ bend: mark, hookTowards: hookTowards ?? ('datum' as const) }));
  return {
    isOwn: hasOwnOrder(draft),
    onEarlier: (step) => {
      const moved = made.filter((_, i) => i !== step);
      const one = made[step];
      if (one !== undefined) {
        moved.splice(step - 1, 0, one);
        change('order', (before) => inOrder(before, moved));
      }
    },
    onProposed: () => {
      change('order', inProposedOrder);
    },
  };
}

function Inputs({ shed, desk, fields }: Pick<SetPanelProps, 'shed' | 'desk' | 'fields'>) {
  const { draft } = desk;
  const { choices } = kindOf(draft.kind);
  const inputs = inputsOf(draft);
  const bender = shed.benders.find(({ id }) => id === draft.benderId);
  const [takingOff, setTakingOff] = useState<string>();
  const change = (part: Partial<Draft>) => {
    desk.change(Object.keys(part).join(), (before) => ({ ...before, ...part }));
  };
  const takenOff = takingOff === undefined ? undefined : fields.get(takingOff);
  return (
    <>
      {takenOff !== undefined && (
        <TakeOffFields
          label={takenOff.label}
          text={takenOff.text}
          onTake={(text) => {
            takenOff.onText(text);
            setTakingOff(undefined);
          }}
          onClose={() => {
            setTakingOff(undefined);
          }}
        />
      )}
      {isRun(draft) ? (
        <RunInputs desk={desk} fields={fields} />
      ) : (
        <div className={`grid items-start gap-x-2 gap-y-1.5 ${inputs.length > 4 ? 'grid-cols-3' : 'grid-cols-2'}`}>
          {inputs.map(({ name, kind }) => {
            const field = fields.get(name);
            return field === undefined ? null : (
              <QuantityField
                key={name}
                {...field}
                {...(kind === 'length' && name !== 'insertionIn'
                  ? {
                      onTakeOff: () => {
                        setTakingOff(name);
                      },
                    }
                  : {})}
                place="list"
              />
            );
          })}
        </div>
      )}
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
        {inputs.some(({ name }) => name === 'clearanceIn') && (
          <UsualClearance
            measuredIn={desk.sizes.heightIn ?? desk.sizes.riseIn}
            unit={draft.unit}
            text={draft.texts.clearanceIn ?? ''}
            following={draft.toWholeInch === true}
            onTake={(clearanceIn, toWholeInch) => {
              desk.change('clearance', (before) => withClearance(before, clearanceIn, toWholeInch));
            }}
            onFollow={(clearanceIn) => {
              desk.amend((before) => withClearance(before, clearanceIn, true));
            }}
          />
        )}
        {!isRun(draft) && <Fittings desk={desk} />}
        <Select
          label="Method"
          options={METHODS.filter(({ value }) => value !== 'chart' || kindOf(draft.kind).charted)}
          value={draft.methodFree ? 'free' : methodOf(draft)}
          onChange={(method) => {
            change(
              method === 'free'
                ? { methodFree: true }
                : { methodFree: false, method: method === 'exact' ? 'exact' : 'chart' },
            );
          }}
        />
        <Select
          label="Conduit"
          value={draft.conduitId}
          onChange={(conduitId) => {
            change({ conduitId });
          }}
          options={[
            ...brought(draft, 'conduitLabel'),
            ...shed.conduits.map(({ id, label }) => ({ value: id, name: label })),
          ]}
        />
        <Select
          label="Bender"
          value={draft.benderId}
          onChange={(benderId) => {
            change({ benderId });
          }}
          options={[
            ...(draft.conduitId === '' ? brought(draft, 'benderLabel') : []),
            ...bendersFor(shed, draft.conduitId).map(({ id, label, doubtful }) => ({
              value: id,
              name: doubtful ? `▲ ${label}, doubtful` : label,
            })),
          ]}
        />
        <Select
          label="Tolerance"
          value={draft.preset}
          onChange={(preset) => {
            change({ preset });
          }}
          options={[...new Set([...shed.tolerances.map(({ preset }) => preset), draft.preset])].map((preset) => ({
            value: preset,
            name: preset,
          }))}
        />
        <Select
          label="Readings"
          value={draft.readings}
          onChange={(readings) => {
            change({ readings: readings === 'short' ? 'short' : 'all' });
          }}
          options={[
            { value: 'all', name: 'everything' },
            { value: 'short', name: 'finished sizes' },
          ]}
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
      {bender?.figures.kind === 'machine' && <TestBends key={bender.id} bender={bender} />}
    </>
  );
}

/** What came with the exercise and is not in the shed, to be chosen again. */
function brought(draft: Draft, label: 'conduitLabel' | 'benderLabel'): { value: string; name: string }[] {
  return draft.brought === undefined || draft.conduitId !== ''
    ? []
    : [{ value: '', name: `${draft.brought[label]} (its own)` }];
}

function withClearance(draft: Draft, clearanceIn: string, toWholeInch: boolean): Draft {
  return { ...draft, toWholeInch, texts: { ...draft.texts, clearanceIn } };
}

/** Where the method is free, marks are not judged, and finished sizes by what is asked. */
const METHODS = [
  { value: 'chart', name: 'By the chart' },
  { value: 'exact', name: 'Exact' },
  { value: 'free', name: 'Free: marks not judged' },
] as const;

function Cautions({ cautions }: { cautions: readonly string[] }) {
  return (
    <details className="border-t border-base-300 pt-1 text-base leading-snug">
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
