import { type ReactNode, useState } from 'react';
import type { Schemas } from '../api/client';
import { type InputField, kindOf } from '../bends/kinds';
import { describedPiece } from '../drawing/describe';
import { Elevation } from '../drawing/Elevation';
import { Turned } from '../drawing/Turned';
import { featureName, featureOf } from '../entry/features';
import { Figure } from '../entry/Figure';
import { unitOfKind } from '../entry/figures';
import { QuantityField } from '../entry/QuantityField';
import { Choice } from '../frame/Header';
import { useNarrow } from '../frame/narrow';
import { useDisplayUnit } from '../frame/signedIn';
import { cured, fieldsOf } from './deskFields';
import { inputsOf, missingFrom } from './draft';
import { MissSign } from './MethodMisses';
import { Notices, WarningSigns } from './Notices';
import type { FieldProps } from './SetPanel';
import type { Desk } from './useDesk';
import { WhichAngle } from './WhichAngle';

const VIEWS = [
  { value: 'side', name: 'Side' },
  { value: 'turned', name: 'In space' },
] as const;

const LARGER = [
  { value: '1', name: '1×' },
  { value: '5', name: '5×' },
  { value: '20', name: '20×' },
] as const;

/** The piece in its place with its inputs; the marks' piece over the one that is wanted, its difference made larger. */
export function DeskDrawing({ desk, diameter, shed }: { desk: Desk; diameter: number; shed: Schemas['Shed'] }) {
  const unit = useDisplayUnit();
  const narrow = useNarrow();
  const [view, setView] = useState<'side' | 'turned'>('side');
  const [larger, setLarger] = useState<(typeof LARGER)[number]['value']>('1');
  const { draft, plan, problem, change } = desk;
  const bend = kindOf(draft.kind);
  const onCure = (cure: Schemas['CureAnswer']) => {
    change('cure', (before) => cured(before, cure, desk.sizes));
  };
  // What was laid out before the error is ground to write on, and nothing more.
  const stale = desk.isRefused;
  const warnings = stale ? [] : (plan?.warnings ?? []);
  const notices = <Notices warnings={warnings} problem={problem} onCure={onCure} />;
  if (plan === undefined) {
    return (
      <div className="flex h-full flex-col">
        <div className="min-h-0 flex-1 overflow-auto">
          <NothingYet desk={desk} />
        </div>
        {notices}
      </div>
    );
  }
  const description = stale
    ? `${bend.name}, as it was before. It cannot be laid out as it is set now.`
    : describedPiece(bend.name, plan, unit);
  return (
    <div className="flex h-full flex-col">
      <div className="relative min-h-0 flex-1">
        {view === 'side' ? (
          <Elevation
            plan={plan}
            outsideDiameter={diameter}
            wanted={plan.wanted}
            dimensions={plan.dimensions}
            exaggeration={Number(larger)}
            faded={stale}
            description={description}
            at={places(plan, bend.inputs, fieldsOf(desk), desk, narrow, stale)}
            notes={(spots) => <WarningSigns warnings={warnings} spots={spots} />}
          />
        ) : (
          <div className={stale ? 'absolute inset-0 opacity-30' : 'contents'}>
            <Turned
              plan={plan}
              outsideDiameter={diameter}
              wanted={plan.wanted}
              exaggeration={Number(larger)}
              description={description}
            />
          </div>
        )}
      </div>
      {notices}
      <div className="flex shrink-0 gap-2 px-2.5 pb-2">
        <div className="contents max-sm:hidden">
          <Choice label="View" options={VIEWS} value={view} onChange={setView} />
          {plan.wanted != null && (
            <Choice label="Difference to what is asked" options={LARGER} value={larger} onChange={setLarger} />
          )}
        </div>
        {desk.isCurrent && <WhichAngle desk={desk} shed={shed} />}
      </div>
    </div>
  );
}

/** Why there is no drawing: what is missing or unreadable, with its fields; or only that it is on its way. */
function NothingYet({ desk }: { desk: Desk }) {
  const { draft, problem, problems } = desk;
  const missing = missingFrom(draft);
  const fields = fieldsOf(desk);
  const unreadable = inputsOf(draft).filter(({ name }) => problems[name] != null);
  const open = [...missing, ...unreadable.filter((input) => !missing.includes(input))];
  if (open.length === 0) {
    return problem === null ? (
      <p className="p-6 text-xl" role="status">
        Laying it out…
      </p>
    ) : null;
  }
  return (
    <section aria-label="Nothing can be drawn yet" className="grid max-w-md gap-3 p-6">
      <p className="text-xl leading-snug" role="status">
        {missing.length === 0 ? 'It can be drawn once this can be read:' : 'It can be drawn once this is given:'}
      </p>
      {open.map(({ name }) => {
        const field = fields.get(name);
        return field === undefined ? null : <QuantityField key={name} {...field} place="list" />;
      })}
    </section>
  );
}

/**
 * What stands at each dimension of the drawing: the input it comes from, else what the marks will give. Several rings have
 * their figures on the strip. On a phone the fields stand below, and the drawing has only room for figures.
 */
function places(
  plan: Schemas['LayoutAnswer'],
  inputs: readonly InputField[],
  fields: ReadonlyMap<string, FieldProps>,
  { sizes, foresight, draft }: Desk,
  narrow: boolean,
  stale: boolean,
): Record<string, ReactNode> {
  const bends = plan.marks.length;
  const places: Record<string, ReactNode> = {};
  for (const input of inputs) {
    const field = fields.get(input.name);
    const size = sizes[input.name];
    if (input.at == null || field === undefined) {
      continue;
    }
    places[input.at] = narrow ? (
      <span className="bg-base-100 px-1 text-2xl">
        {size === undefined ? field.label : <Figure value={size} unit={unitOfKind(input.kind)} />}
      </span>
    ) : (
      <div className="grid justify-items-center">
        <QuantityField {...field} place="drawing" />
        {!draft.methodFree && !stale && (
          <MissTag miss={foresight?.misses.find(({ feature }) => feature === input.at)} />
        )}
      </div>
    );
  }
  // Figures of what was laid out before would be taken for what is asked now.
  for (const { id, unit, predicted } of stale ? [] : plan.features) {
    if (places[id] !== undefined && inputs.some(({ at, name }) => at === id && isPlaced(plan, name))) {
      continue;
    }
    // How flat a bend gets is nobody's to set, and the right one is not flat at all.
    if (unit === 'percent') {
      continue;
    }
    if (bends === 1 && id === 'mark1') {
      places[id] = (
        <span className="bg-base-100 text-lg whitespace-nowrap">
          ring at <Figure value={predicted} unit={unit} className="text-[1.75rem]" />
        </span>
      );
    } else if (bends === 1) {
      places[id] = <Figure value={predicted} unit={unit} className="text-[1.9rem]" />;
    } else if (featureOf(id).kind !== 'mark' && id !== 'dogLeg' && id !== 'tailLift') {
      places[id] = (
        <span className="block bg-base-100 px-1 text-center leading-none whitespace-nowrap">
          <span className="block text-sm">{featureName(id)}</span>
          <Figure value={predicted} unit={unit} className="text-[1.6rem] max-sm:text-xl" />
        </span>
      );
    }
  }
  return places;
}

/** What the right marks give instead, at the dimension that they miss. */
function MissTag({ miss }: { miss: Schemas['MissView'] | undefined }) {
  return miss === undefined ? null : (
    <span
      data-miss={miss.grade}
      className={`mt-1 inline-block rounded-field bg-base-100 px-1.5 text-base leading-tight font-semibold whitespace-nowrap ${miss.grade === 'beyond' ? 'text-error' : ''}`}
    >
      <MissSign grade={miss.grade} />
      gives <Figure value={miss.right} unit={miss.unit} />
    </span>
  );
}

/** Whether an input that may be left open has a size, and so a place. */
function isPlaced(plan: Schemas['LayoutAnswer'], name: string): boolean {
  return plan.dimensions.some(({ input }) => input === name);
}
