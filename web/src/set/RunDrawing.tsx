import { type ReactNode, useRef, useState } from 'react';
import type { Schemas } from '../api/client';
import { kindOf } from '../bends/kinds';
import { describedPiece } from '../drawing/describe';
import { type Standing } from '../drawing/room';
import { RoomView } from '../drawing/RoomView';
import { WallPlan } from '../drawing/WallPlan';
import type { Wall as WallOfRun } from '../drawing/walls';
import { Figure } from '../entry/Figure';
import { quantityText } from '../entry/figures';
import { QuantityField } from '../entry/QuantityField';
import { Choice } from '../frame/Header';
import { useNarrow } from '../frame/narrow';
import { useDisplayUnit } from '../frame/signedIn';
import { BendingShown } from './BendingShown';
import { cured, fieldsOf } from './deskFields';
import { divisionFor } from '../drawing/tape';
import { Notices } from './Notices';
import { fieldsOfThing, legsOf, solidOf, thingPath } from './run';
import { lengthOf, legsDrawn } from './runLegs';
import { Rearrange } from './Rearrange';
import { RunTools } from './RunTools';
import type { Desk } from './useDesk';

const VIEWS = [
  { value: 'room', name: 'Room' },
  { value: 'walls', name: 'Walls' },
  { value: 'bending', name: 'Bending' },
] as const;

type Shown = (typeof VIEWS)[number]['value'];

const FIELD = { width: 112, height: 58 };
const FIGURE = { width: 70, height: 32 };
const SMALL = { width: 46, height: 22 };

/** A run on the desk: in its room, as plans of its walls, or while it is bent; drawn leg by leg. */
export function RunDrawing({ desk, diameter }: { desk: Desk; diameter: number }) {
  const unit = useDisplayUnit();
  const narrow = useNarrow();
  const [view, setView] = useState<Shown>('room');
  const pad = useRef<HTMLDivElement>(null);
  const awaited = useRef<string>(undefined);
  const drawnFrom = useRef(0);
  const { draft, plan, problem, change, isRefused, sizes } = desk;
  const laidOut = isRefused ? undefined : plan;
  const legs = legsDrawn(desk, diameter);
  const fields = fieldsOf(desk);
  const name = kindOf(draft.kind).name;
  const description =
    laidOut === undefined
      ? `${name} of ${String(legs.length)} ${legs.length === 1 ? 'leg' : 'legs'}, not laid out yet.`
      : describedPiece(name, laidOut, unit);
  const places = Object.fromEntries(
    legsOf(draft).map((leg) => {
      const id = `leg${String(leg.number)}`;
      const field = fields.get(`${leg.part.path}/lengthIn`);
      const length = lengthOf(leg, sizes);
      const content: ReactNode =
        narrow || leg.readings || field === undefined ? (
          <span className="bg-base-100 px-1 text-xl leading-none whitespace-nowrap">
            {length === undefined ? `Leg ${String(leg.number)}` : <Figure value={length} unit="in" />}
          </span>
        ) : (
          <QuantityField
            {...field}
            label={`Leg ${String(leg.number)}`}
            place="drawing"
            small
            inputRef={(input) => {
              if (input !== null && awaited.current === id) {
                awaited.current = undefined;
                input.focus();
              }
            }}
            onEnter={() => {
              pad.current?.focus();
            }}
          />
        );
      return [id, content];
    }),
  );
  const onDraw = (number: number, by: number, begins: boolean) => {
    const leg = legsOf(draft)[number - 1];
    if (leg === undefined || leg.readings) {
      return;
    }
    if (begins) {
      drawnFrom.current = lengthOf(leg, sizes) ?? 0;
      return;
    }
    const step = divisionFor(draft.divisionIn, draft.unit) * COARSE;
    const length = Math.max(step, Math.round((drawnFrom.current + by) / step) * step);
    change(`legs/${String(number - 1)} drawn`, (before) => ({
      ...before,
      texts: {
        ...before.texts,
        [`${leg.part.path}/lengthIn`]: quantityText(length, 'in', before.unit, { lines: 32 }),
      },
    }));
  };
  const walls = laidOut?.walls ?? [];
  const warnings = laidOut?.warnings ?? [];
  return (
    <div className="flex h-full flex-col">
      {view !== 'bending' && (
        <RunTools
          desk={desk}
          padRef={pad}
          onDrawn={(number) => {
            awaited.current = `leg${String(number)}`;
            setView('room');
          }}
        />
      )}
      <div className="relative flex min-h-0 flex-1 max-sm:min-h-[19rem]">
        {view === 'room' && (
          <>
            <div className="relative min-w-0 flex-1">
              <RoomView
                plan={laidOut}
                outsideDiameter={diameter}
                legs={legs}
                room={standing(desk)}
                at={places}
                faded={isRefused}
                onDraw={onDraw}
                description={description}
                usual={narrow ? FIGURE : FIELD}
              />
              {legs.length === 0 && <Begin narrow={narrow} />}
            </div>
            {walls.length > 0 && laidOut !== undefined && (
              <div className="flex w-[13.5rem] shrink-0 flex-col divide-y divide-base-300 border-l border-base-300 max-xl:hidden">
                {walls.map((wall, i) => (
                  <Wall key={i} wall={wall} plan={laidOut} diameter={diameter} />
                ))}
              </div>
            )}
          </>
        )}
        {view === 'walls' && laidOut !== undefined && (
          <div
            className={`grid min-w-0 flex-1 auto-rows-fr divide-x divide-y divide-base-300 max-sm:auto-rows-[15rem] max-sm:grid-cols-1 ${COLUMNS[Math.min(3, walls.length > 3 ? Math.ceil(walls.length / 2) : walls.length)] ?? ''}`}
          >
            {walls.map((wall, i) => (
              <Wall key={i} wall={wall} plan={laidOut} diameter={diameter} large />
            ))}
          </div>
        )}
        {view === 'bending' && desk.request !== undefined && laidOut !== undefined && (
          <BendingShown request={desk.request} plan={laidOut} diameter={diameter} />
        )}
        {view !== 'room' && laidOut === undefined && (
          <p className="p-6 text-xl" role="status">
            It is shown once it can be laid out.
          </p>
        )}
      </div>
      <Notices
        warnings={view === 'bending' ? warnings.filter(({ code }) => code === BLOCKED) : warnings}
        problem={problem}
        onCure={(cure) => {
          change('cure', (before) => cured(before, cure, sizes));
        }}
      />
      <div className="flex shrink-0 flex-wrap items-center gap-2 px-2.5 py-2">
        <Choice label="View" options={VIEWS} value={view} onChange={setView} />
        <Rearrange desk={desk} how="mirrored" />
        <Rearrange desk={desk} how="reversed" />
        {laidOut !== undefined && <Gaps gaps={laidOut.gaps} />}
      </div>
    </div>
  );
}

const COLUMNS: readonly string[] = ['', 'grid-cols-1', 'grid-cols-2', 'grid-cols-3'];

/** Of what is doubtful about a layout, what concerns its bending. */
const BLOCKED = 'bend-blocked';

/** A leg that is drawn with the pointer goes by so many lines of the tape: whoever wants it finer writes it. */
const COARSE = 4;

/** How to begin, in an empty room. */
function Begin({ narrow }: { narrow: boolean }) {
  return (
    <p className="absolute inset-x-0 top-1/3 mx-auto w-fit max-w-[26rem] rounded-field bg-base-100 p-3 text-center text-xl leading-snug">
      {narrow
        ? 'Press which way the first leg runs, then write its length below.'
        : 'Press which way the first leg runs, → ↑ ← ↓ or Page Up and Page Down, write its length, Enter. Then the next.'}
    </p>
  );
}

/** What stands in the room as far as its sizes are known. */
function standing({ draft, sizes }: Desk): Standing[] {
  return draft.room.flatMap(({ kind }, i) => {
    const solid = solidOf(kind);
    const known = fieldsOfThing(kind).map(({ name }) => [name, sizes[thingPath(i, name)]] as const);
    return solid === undefined || known.some(([, size]) => size === undefined)
      ? []
      : [
          {
            kind,
            name: solid.name,
            surface: solid.surface,
            sizes: Object.fromEntries(known) as Record<string, number>,
          },
        ];
  });
}

function Wall({
  wall,
  plan,
  diameter,
  large = false,
}: {
  wall: WallOfRun;
  plan: Schemas['LayoutAnswer'];
  diameter: number;
  large?: boolean;
}) {
  const dimensions = plan.features.filter(({ id }) => wall.legs.some((leg) => id === `leg${String(leg)}`));
  return (
    <WallPlan
      wall={wall}
      shape={plan.shape}
      arcs={plan.shape.arcs.length}
      outsideDiameter={diameter}
      marks={large ? plan.marks : []}
      dimensions={dimensions}
      at={Object.fromEntries(
        dimensions.map(({ id, target }) => [
          id,
          <span key={id} className="bg-base-100 px-1 whitespace-nowrap">
            <Figure value={target} unit="in" className={large ? 'text-2xl' : 'text-lg leading-none'} />
          </span>,
        ]),
      )}
      usual={large ? FIGURE : SMALL}
      small={!large}
    />
  );
}

/** How much room the run leaves to each of what stands there. */
function Gaps({ gaps }: { gaps: Schemas['GapAnswer'][] }) {
  return gaps.length === 0 ? null : (
    <ul aria-label="Gaps" className="flex flex-wrap gap-x-4 leading-tight">
      {gaps.map(({ what, gapIn, touched }, i) => (
        <li key={i} className={touched ? 'font-semibold text-error' : ''}>
          {touched ? '✕ runs ' : ''}
          <Figure value={Math.abs(touched ? gapIn : Math.max(0, gapIn))} unit="in" className="text-lg" />{' '}
          {touched ? 'into' : 'to'} {what}
        </li>
      ))}
    </ul>
  );
}
