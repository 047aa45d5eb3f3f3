import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Problem, Schemas } from '../api/client';
import { useLayout, useQuantity, useShed } from '../api/queries';
import { StubElevation } from '../drawing/StubElevation';
import { Strip } from '../drawing/Strip';
import { Figure } from '../entry/Figure';
import { QuantityField } from '../entry/QuantityField';
import { quantityText } from '../entry/figures';
import { Header } from '../frame/Header';
import { useNarrow } from '../frame/narrow';
import { useDisplayUnit } from '../frame/signedIn';
import { bendersFor, type Draft, firstDraft, inUnit, layoutRequest } from './draft';
import { GiveOut } from './GiveOut';
import { Notices } from './Notices';
import { SetPanel } from './SetPanel';
import { useLastGood } from './useLastGood';

/** The setting desk: a stub ninety with its inputs on the drawing, live as numbers change. */
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
  const leg = useQuantity('length', draft.legText, draft.unit);
  const otherLeg = useQuantity('length', draft.otherLegText, draft.unit);
  const otherIsOpen = draft.otherLegText.trim() === '';
  if (draft.unit !== unit && leg.data !== undefined && (otherIsOpen || otherLeg.data !== undefined)) {
    setDraft(inUnit(draft, unit, leg.data.value, otherLeg.data?.value));
  }
  const request =
    otherIsOpen || otherLeg.data !== undefined
      ? layoutRequest(shed, draft, leg.data?.value, otherIsOpen ? undefined : otherLeg.data?.value)
      : undefined;
  const layout = useLayout(request);
  const plan = useLastGood(layout.data);
  const conduit = shed.conduits.find(({ id }) => id === draft.conduitId);
  const diameter = conduit?.figures.outsideDiameterIn ?? 1;
  const problemOf = (pointer: string, typed: Problem | null): Problem | null =>
    typed ?? (layout.error?.errors.some((error) => error.pointer === pointer) === true ? layout.error : null);
  const nudge = (value: number | undefined, to: (text: string) => void) => (steps: 1 | -1) => {
    if (value !== undefined) {
      to(quantityText(Math.max(0, value + steps * draft.divisionIn), 'in', unit, { lines: 32 }));
    }
  };
  const setLeg = (legText: string) => {
    change({ legText });
  };
  const setOther = (otherLegText: string) => {
    change({ otherLegText });
  };
  const legField = {
    label: 'Leg',
    kind: 'length' as const,
    text: draft.legText,
    onText: setLeg,
    problem: problemOf('/bend/legIn', leg.error),
    onNudge: nudge(leg.data?.value, setLeg),
  };
  const otherField = {
    label: 'Other leg',
    kind: 'length' as const,
    text: draft.otherLegText,
    onText: setOther,
    problem: problemOf('/bend/otherLegIn', otherLeg.error),
    onNudge: nudge(otherLeg.data?.value, setOther),
    optional: true,
  };
  // On a phone the fields stand below the drawing, which has only room for figures.
  const onDrawing = (field: typeof legField, value: number | undefined) =>
    narrow ? (
      <span className="bg-base-100/85 px-1 text-2xl">
        {value === undefined || field.text.trim() === '' ? field.label : <Figure value={value} unit="in" />}
      </span>
    ) : (
      <QuantityField {...field} place="drawing" />
    );
  const stale = layout.data === undefined;
  return (
    <div className="flex h-full min-h-[46rem] sm:min-h-[38rem] flex-col">
      <Header title="Set" about="Stub ninety">
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
      <div className="flex min-h-0 flex-1 max-lg:flex-col">
        <div className="relative min-h-[18rem] min-w-0 flex-1 sm:min-h-[22rem]">
          {plan !== undefined && (
            <StubElevation
              asked={plan.shape.centreline}
              outsideDiameter={diameter}
              markIn={plan.marks[0]?.positionIn ?? 0}
              description={describe(plan, unit)}
              at={{
                leg: onDrawing(legField, leg.data?.value),
                otherLeg: onDrawing(otherField, otherLeg.data?.value),
                angle1: <span className="figures text-[1.9rem]">90°</span>,
                mark1: plan.marks[0] !== undefined && (
                  <span className="bg-base-100/80 text-lg whitespace-nowrap">
                    ring at <Figure value={plan.marks[0].positionIn} unit="in" className="text-[1.75rem]" />
                  </span>
                ),
              }}
            />
          )}
          <Notices plan={plan} problem={layout.error} />
        </div>
        <SetPanel
          shed={shed}
          draft={draft}
          change={change}
          plan={plan}
          problem={layout.error}
          legField={legField}
          otherField={otherField}
        />
      </div>
      <div className="h-[8.6rem] shrink-0 border-t border-base-300 bg-base-100">
        {plan !== undefined && <Strip plan={plan} outsideDiameter={diameter} divisionIn={draft.divisionIn} />}
      </div>
    </div>
  );
}

function describe(plan: Schemas['LayoutAnswer'], unit: 'in' | 'mm'): string {
  const figures = plan.features.map(
    ({ id, unit: of, target, predicted }) =>
      `${id}: asked ${quantityText(target, of, unit)}, the marks will give ${quantityText(predicted, of, unit, { lines: 32 })}`,
  );
  return `Stub ninety standing on the floor. ${figures.join('. ')}.`;
}
