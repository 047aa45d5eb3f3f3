import { useState } from 'react';
import { useAlternatives } from '../api/queries';
import type { Schemas } from '../api/client';
import { kindOf } from '../bends/kinds';
import { fit, path, type View } from '../drawing/geometry';
import { Sized } from '../drawing/Sized';
import { Figure } from '../entry/Figure';
import { quantityText } from '../entry/figures';
import { Dialog } from '../frame/Dialog';
import { useDisplayUnit } from '../frame/signedIn';
import { type Alternative, drawnTogether, fits, nameOf, takenInto } from './compared';
import type { Desk } from './useDesk';

/** Opens the comparison of every angle, way and tool that would do for what is on the desk. */
export function WhichAngle({ desk, shed }: { desk: Desk; shed: Schemas['Shed'] }) {
  const [open, setOpen] = useState(false);
  const title = titleFor(desk);
  return (
    <>
      <button
        type="button"
        className="btn h-11 min-h-0 border-2 border-base-content/60 text-base"
        onClick={() => {
          setOpen(true);
        }}
      >
        {title}
      </button>
      {open && desk.request !== undefined && (
        <Compared
          desk={desk}
          shed={shed}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

/** A ninety is a ninety: of it only the way can be chosen. */
function titleFor({ draft }: Desk): string {
  return kindOf(draft.kind).inputs.some(({ kind }) => kind === 'angle') ? 'Which angle?' : 'Which way?';
}

function Compared({ desk, shed, onClose }: { desk: Desk; shed: Schemas['Shed']; onClose: () => void }) {
  const others = shed.benders.filter(({ id }) => id !== desk.draft.benderId);
  const diameterOf = (conduitId: string) => shed.conduits.find(({ id }) => id === conduitId)?.figures;
  const compared = useAlternatives(
    desk.request === undefined
      ? undefined
      : {
          layout: desk.request,
          benders: others.map(({ conduitId, figures }) => ({
            conduit: diameterOf(conduitId) ?? null,
            bender: figures,
          })),
        },
  );
  const [looked, setLooked] = useState<number>();
  const all = compared.data?.alternatives ?? [];
  const diameter = diameterOf(desk.draft.conduitId)?.outsideDiameterIn ?? 1;
  const name = (alternative: Alternative) =>
    nameOf(alternative, alternative.bender == null ? undefined : others[alternative.bender]?.label);
  const take = (alternative: Alternative) => {
    desk.change('alternative', (before) => takenInto(before, alternative, others));
    onClose();
  };
  return (
    <Dialog title={titleFor(desk)} wide onClose={onClose}>
      {compared.error !== null && (
        <p role="alert" className="text-lg text-error">
          ✕ {compared.error.message}
        </p>
      )}
      {compared.data !== undefined && (
        <>
          <p className="mb-2 text-lg leading-snug">{compared.data.words}</p>
          <div className="h-[13.5rem] rounded-field border border-base-content/30 max-sm:h-40">
            <Sized name="compared">
              {(width, height) => (
                <Together all={all} diameter={diameter} name={name} looked={looked} width={width} height={height} />
              )}
            </Sized>
          </div>
          <div className="overflow-x-auto">
            <table className="mt-2 w-full text-lg leading-tight">
              <caption className="sr-only">What each takes; press one to take it</caption>
              <thead className="text-left text-sm">
                <tr>
                  {['', 'along the wall', 'conduit', 'bends', 'least gap', 'shrink', 'pull', 'marks'].map((head) => (
                    <th key={head} className="font-normal [&:not(:first-child)]:text-right">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {all.map((alternative, i) => (
                  <Row
                    key={i}
                    alternative={alternative}
                    name={name(alternative)}
                    onLook={() => {
                      setLooked(i);
                    }}
                    onTake={() => {
                      take(alternative);
                    }}
                  />
                ))}
              </tbody>
            </table>
          </div>
          <p className="mt-1 text-sm leading-snug">
            Pull: how many times as hard wire is to pull as through a straight, with a friction of{' '}
            {compared.data.friction}. ◇ marks fall on lines of the tape. △ something to think about.
          </p>
        </>
      )}
    </Dialog>
  );
}

function Row({
  alternative,
  name,
  onLook,
  onTake,
}: {
  alternative: Alternative;
  name: string;
  onLook: () => void;
  onTake: () => void;
}) {
  const { takes } = alternative;
  return (
    <tr
      className={`border-t border-base-300 ${alternative.isCurrent ? 'bg-base-200' : ''}`}
      onMouseEnter={onLook}
      onFocus={onLook}
    >
      <th scope="row" className="text-left font-normal">
        <button
          type="button"
          className="btn h-11 min-h-0 min-w-24 justify-start border-2 border-base-content/60 px-2 text-lg"
          disabled={takes == null}
          aria-current={alternative.isCurrent}
          onClick={onTake}
        >
          {name}
          {alternative.isCurrent && <span className="text-sm">now</span>}
        </button>
      </th>
      {takes == null ? (
        <td colSpan={7} className="pl-3 text-base">
          {alternative.impossible}
        </td>
      ) : (
        <>
          <Cell value={takes.alongIn} />
          <Cell value={takes.conduitIn} />
          <Cell value={takes.degrees} unit="deg" />
          <Cell value={takes.gapIn} />
          <Cell value={takes.shrinkIn} />
          <td className="figures text-right">× {takes.pull.toFixed(2)}</td>
          <td className="text-right whitespace-nowrap">
            {takes.onLines && <span aria-label="on lines of the tape">◇</span>}
            {takes.concerns.length > 0 && (
              <span aria-label="something to think about" className="text-warning-content">
                {' '}
                △
              </span>
            )}
          </td>
        </>
      )}
    </tr>
  );
}

function Cell({ value, unit = 'in' }: { value: number | null | undefined; unit?: 'in' | 'deg' }) {
  return <td className="text-right">{value == null ? '–' : <Figure value={value} unit={unit} />}</td>;
}

const ROOM = { left: 12, right: 12, top: 10, bottom: 48 };
/** Names nearer than this stand in two rows. */
const NEAR_PX = 44;

/** All that fit, to one scale and over one another, each named where its first bend begins. */
function Together({
  all,
  diameter,
  name,
  looked,
  width,
  height,
}: {
  all: readonly Alternative[];
  diameter: number;
  name: (alternative: Alternative) => string;
  looked: number | undefined;
  width: number;
  height: number;
}) {
  const display = useDisplayUnit();
  // Ways of working lie where the bend itself lies, and other tools only nearly: the angles are what shows.
  const angles = all.filter((each) => each.angleDeg != null);
  const shown = angles.length > 0 ? angles : all;
  const { pieces, box } = drawnTogether(shown, diameter);
  if (pieces.length === 0) {
    return null;
  }
  const view: View = fit(box, width, height, ROOM);
  const at = looked === undefined ? undefined : all[looked];
  const spots = pieces
    .map(({ alternative, begins }) => ({ alternative, ...view.toScreen(begins) }))
    .sort((a, b) => a.x - b.x);
  const described = shown
    .filter(fits)
    .map((each) => `${name(each)}: ${quantityText(each.takes.alongIn, 'in', display)} along the wall`)
    .join('. ');
  return (
    <svg width={width} height={height} role="img" aria-label={described}>
      {pieces.map(({ alternative, line }) => {
        const front = alternative === at || alternative.isCurrent;
        return (
          <path
            key={name(alternative)}
            d={path(line.map(view.toScreen))}
            fill="none"
            stroke={alternative === at ? 'var(--made)' : alternative.isCurrent ? 'var(--asked)' : 'var(--steel-edge)'}
            strokeWidth={Math.max(2, diameter * view.scale)}
            strokeLinejoin="round"
            opacity={front ? 0.9 : 0.3}
          />
        );
      })}
      {spots.map(({ alternative, x, y }, i) => {
        const crowded = i % 2 === 1 && x - (spots[i - 1]?.x ?? -NEAR_PX) < NEAR_PX;
        return (
          <g key={name(alternative)}>
            <line x1={x} x2={x} y1={y} y2={height - (crowded ? 20 : 38)} stroke="var(--line)" className="line-thin" />
            <text
              x={x}
              y={height - (crowded ? 6 : 24)}
              textAnchor="middle"
              fontSize={16}
              fontWeight={alternative.isCurrent || alternative === at ? 700 : 500}
              fill="var(--color-base-content)"
              className="figures"
            >
              {name(alternative)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
