import { type ReactNode, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Problem, Schemas } from '../api/client';
import { useLayout, useQuantities, useShed } from '../api/queries';
import { type InputField, kindOf, KINDS } from '../bends/kinds';
import { Elevation } from '../drawing/Elevation';
import { Strip } from '../drawing/Strip';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { QuantityField } from '../entry/QuantityField';
import { type DisplayUnit, quantityText } from '../entry/figures';
import { Header } from '../frame/Header';
import { useNarrow } from '../frame/narrow';
import { useDisplayUnit } from '../frame/signedIn';
import { bendersFor, type Draft, firstDraft, inUnit, layoutRequest, type Sizes, withKind } from './draft';
import { GiveOut } from './GiveOut';
import { Notices } from './Notices';
import { type FieldProps, SetPanel } from './SetPanel';
import { useLastGood } from './useLastGood';

/** The setting desk: a bend with its inputs on the drawing, live as numbers change. */
export default function SetDesk() {
  const shed = useShed();
  if (shed.data === undefined) {
    return <p className="p-8">{shed.error?.message ?? 'Opening…'}</p>;
  }
  if (shed.data.benders.length === 0) {
    return <p className="p-8 text-xl">There is no bender in the shed yet, so nothing can be laid out.</p>;
  }
  return <Desk shed={shed.data} />;
}

function Desk({ shed }: { shed: Schemas['Shed'] }) {
  const unit = useDisplayUnit();
  const narrow = useNarrow();
  const [search] = useSearchParams();
  const [draft, setDraft] = useState<Draft>(() => firstDraft(shed, unit));
  const change = (part: Partial<Draft>) => {
    setDraft((before) => {
      const next = { ...before, ...part };
      const fitting = bendersFor(shed, next.conduitId);
      return fitting.some(({ id }) => id === next.benderId) ? next : { ...next, benderId: fitting[0]?.id ?? '' };
    });
  };
  const { sizes, problems } = useSizes(draft);
  const bend = kindOf(draft.kind);
  const request = layoutRequest(shed, draft, sizes);
  if (draft.unit !== unit && request !== undefined) {
    setDraft(inUnit(draft, unit, sizes));
  }
  const layout = useLayout(request);
  // Another kind of bend has nothing in common with the last drawing.
  const plan = useLastGood(layout.data, draft.kind);
  const diameter = shed.conduits.find(({ id }) => id === draft.conduitId)?.figures.outsideDiameterIn ?? 1;
  const fields = new Map(
    bend.inputs.map((input) => [
      input.name,
      fieldOf(input, draft, sizes[input.name], problems[input.name] ?? null, layout.error, unit, (text) => {
        setDraft((before) => ({ ...before, texts: { ...before.texts, [input.name]: text } }));
      }),
    ]),
  );
  const stale = layout.data === undefined;
  return (
    <div className="flex h-full min-h-[46rem] flex-col sm:min-h-[38rem]">
      <Header
        title="Set"
        about={
          <select
            aria-label="Bend"
            value={draft.kind}
            onChange={(event) => {
              change(withKind(draft, kindOf(event.target.value).kind));
            }}
            className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
          >
            {KINDS.map(({ kind, name }) => (
              <option key={kind} value={kind}>
                {name}
              </option>
            ))}
          </select>
        }
      >
        <input
          value={draft.title}
          aria-label="Title"
          maxLength={120}
          onChange={(event) => {
            change({ title: event.target.value });
          }}
          className="h-11 w-64 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
        />
        <GiveOut
          shed={shed}
          draft={draft}
          request={stale ? undefined : request}
          preferredTrainee={search.get('trainee') ?? undefined}
        />
      </Header>
      <div className="flex min-h-0 flex-1 max-lg:min-h-fit max-lg:flex-col">
        <div className="relative min-h-[18rem] min-w-0 flex-1 sm:min-h-[22rem]">
          {plan !== undefined && (
            <Elevation
              kind={draft.kind}
              plan={plan}
              outsideDiameter={diameter}
              description={describe(bend.name, plan, unit)}
              at={places(plan, bend.inputs, fields, sizes, narrow)}
            />
          )}
          <Notices
            plan={plan}
            problem={layout.error}
            corner={draft.kind === 'stub90' ? 'top' : 'bottom'}
            onCure={(cure) => {
              setDraft((before) => cured(before, cure, unit));
            }}
          />
        </div>
        <SetPanel
          shed={shed}
          draft={draft}
          change={change}
          plan={plan}
          problem={layout.error}
          request={request}
          fields={fields}
        />
      </div>
      <div className="h-[8.6rem] shrink-0 border-t border-base-300 bg-base-100">
        {plan !== undefined && <Strip plan={plan} outsideDiameter={diameter} divisionIn={draft.divisionIn} />}
      </div>
    </div>
  );
}

/** What the inputs of the draft's kind are as sizes, and why some are none. */
function useSizes(draft: Draft): { sizes: Sizes; problems: Readonly<Record<string, Problem | null>> } {
  const { inputs } = kindOf(draft.kind);
  const read = useQuantities(
    inputs.map(({ name, kind }) => ({ kind, text: draft.texts[name] ?? '', bare: draft.unit })),
  );
  return {
    sizes: Object.fromEntries(inputs.map(({ name }, i) => [name, read[i]?.data?.value])),
    problems: Object.fromEntries(inputs.map(({ name }, i) => [name, read[i]?.error ?? null])),
  };
}

function fieldOf(
  input: InputField,
  draft: Draft,
  size: number | undefined,
  typed: Problem | null,
  layout: Problem | null,
  unit: DisplayUnit,
  onText: (text: string) => void,
): FieldProps {
  const concerned = layout?.errors.some(({ pointer }) => pointer === `/bend/${input.name}`) === true;
  return {
    label: input.label,
    kind: input.kind,
    text: draft.texts[input.name] ?? '',
    onText,
    problem: typed,
    doubtful: concerned,
    onNudge: (steps) => {
      if (size !== undefined) {
        const step = input.kind === 'angle' ? 0.5 : draft.divisionIn;
        onText(sizeText(Math.max(0, size + steps * step), input.kind, unit));
      }
    },
    optional: input.optional === true,
  };
}

/** A size as somebody would type it. */
function sizeText(size: number, kind: 'length' | 'angle', unit: DisplayUnit): string {
  return kind === 'angle' ? String(size) : quantityText(size, 'in', unit, { lines: 32 });
}

/** The draft with a cure applied: an input's size, or one of the choices. */
function cured(draft: Draft, cure: Schemas['CureAnswer'], unit: DisplayUnit): Draft {
  const name = cure.pointer.split('/').at(-1) ?? '';
  if (cure.pointer === '/method') {
    return { ...draft, method: cure.option === 'exact' ? 'exact' : 'chart' };
  }
  if (cure.value != null) {
    const text = sizeText(cure.value, cure.unit === 'deg' ? 'angle' : 'length', unit);
    return { ...draft, texts: { ...draft.texts, [name]: text } };
  }
  return cure.option == null ? draft : { ...draft, choices: { ...draft.choices, [name]: cure.option } };
}

/**
 * What stands at each dimension of the drawing: the input it comes from, else what the marks will give. Several rings have
 * their figures on the strip. On a phone the fields stand below, and the drawing has only room for figures.
 */
function places(
  plan: Schemas['LayoutAnswer'],
  inputs: readonly InputField[],
  fields: ReadonlyMap<string, FieldProps>,
  sizes: Sizes,
  narrow: boolean,
): Record<string, ReactNode> {
  const bends = plan.marks.length;
  const places: Record<string, ReactNode> = {};
  for (const { id, unit, predicted } of plan.features) {
    const input = inputs.find(({ at }) => at === id);
    const field = input === undefined ? undefined : fields.get(input.name);
    if (bends === 1 && id === 'mark1') {
      places[id] = (
        <span className="bg-base-100/80 text-lg whitespace-nowrap">
          ring at <Figure value={predicted} unit={unit} className="text-[1.75rem]" />
        </span>
      );
    } else if (field !== undefined && input !== undefined) {
      places[id] = narrow ? (
        <span className="bg-base-100/85 px-1 text-2xl">
          {sizes[input.name] === undefined ? field.label : <Figure value={sizes[input.name] ?? 0} unit={unit} />}
        </span>
      ) : (
        <QuantityField {...field} place="drawing" asked={plusClearance(id, sizes)} />
      );
    } else if (bends === 1) {
      places[id] = <Figure value={predicted} unit={unit} className="text-[1.9rem]" />;
    } else if (!id.startsWith('mark') && id !== 'dogLeg' && id !== 'tailLift') {
      places[id] = (
        <span className="block bg-base-100/85 px-1 text-center leading-none whitespace-nowrap">
          <span className="block text-sm">{featureName(id)}</span>
          <Figure value={predicted} unit={unit} className="text-[1.6rem] max-sm:text-xl" />
        </span>
      );
    }
  }
  return places;
}

/** A rise or a height is drawn with its clearance; its field takes it without. */
function plusClearance(id: string, sizes: Sizes): ReactNode {
  const clearance = sizes.clearanceIn;
  return (id === 'rise' || id === 'height') && clearance !== undefined && clearance > 0 ? (
    <>
      {' '}
      + <Figure value={clearance} unit="in" /> clear
    </>
  ) : null;
}

function describe(name: string, plan: Schemas['LayoutAnswer'], unit: DisplayUnit): string {
  const figures = plan.features.map(
    ({ id, unit: of, target, predicted }) =>
      `${featureName(id, plan.marks.length)}: asked ${quantityText(target, of, unit)}, the marks will give ${quantityText(predicted, of, unit, { lines: 32 })}`,
  );
  return `${name}. ${figures.join('. ')}.`;
}
