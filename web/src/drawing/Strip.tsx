import type { LayoutAnswer } from '../api/queries';
import { FigureSpans } from '../entry/Figure';
import { quantityParts, quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';
import { Label } from './Dimension';
import { spread } from './runSpots';
import { tapeLines } from './tape';
import { Sized } from './Sized';

interface StripProps {
  plan: LayoutAnswer;
  outsideDiameter: number;
  divisionIn: number;
  /** Rings as the trainee made them, in inches, drawn beside the ones asked for. */
  madeMarks?: readonly number[];
}

const SIDE = 34;
const NARROW_PX = 600;

/** The straight conduit with its rings, the tape beneath it, and what goes on each ring. */
export function Strip({ plan, outsideDiameter, divisionIn, madeMarks = [] }: StripProps) {
  return (
    <Sized name="strip">
      {(width, height) => (
        <StripDrawing
          plan={plan}
          outsideDiameter={outsideDiameter}
          divisionIn={divisionIn}
          madeMarks={madeMarks}
          width={width}
          height={height}
        />
      )}
    </Sized>
  );
}

function StripDrawing({
  plan,
  outsideDiameter,
  divisionIn,
  madeMarks,
  width,
  height,
}: Required<StripProps> & { width: number; height: number }) {
  const display = useDisplayUnit();
  const lengthIn = plan.shape.lengthIn;
  const scale = (width - 2 * SIDE) / lengthIn;
  const x = (inches: number) => SIDE + inches * scale;
  const tube = Math.max(12, Math.min(outsideDiameter * scale, height * 0.22));
  const top = Math.round(height * 0.44);
  const tapeTop = top + tube + 5;
  const cut = plan.cutLengthIn ?? undefined;
  // Several rings: their flags make room for one another, and for the cut length at the end.
  const flags =
    plan.marks.length > 1
      ? spread(
          plan.marks.map((mark) => x(mark.positionIn)),
          flagWidth(width),
          flagWidth(width) / 2 + 2,
          width - flagWidth(width) / 2 - (cut === undefined || width < NARROW_PX ? 2 : 132),
        )
      : undefined;
  const described = [
    `Straight conduit${cut === undefined ? '' : `, cut ${quantityText(cut, 'in', display)}`}.`,
    ...plan.marks.map(
      (mark) =>
        `Ring ${String(mark.number)} at ${quantityText(mark.positionIn, 'in', display)}: ${mark.reference} on the ring, ` +
        `hook towards the ${mark.hookTowards === 'datum' ? 'datum end' : 'far end'}, bend ${quantityText(mark.angleDeg, 'deg', display)}.`,
    ),
  ].join(' ');
  return (
    <svg width={width} height={height} role="img" aria-label={described} className="block">
      <g>
        <rect
          x={x(0)}
          y={top}
          width={lengthIn * scale}
          height={tube}
          fill="var(--steel-fill)"
          stroke="var(--steel-edge)"
          className="line-medium"
        />
        <rect
          x={x(0)}
          y={top + tube * 0.2}
          width={lengthIn * scale}
          height={tube * 0.26}
          fill="var(--steel-sheen)"
          opacity={0.75}
        />
        {plan.shape.arcs.map((arc, i) => (
          <rect
            key={i}
            x={x(arc.startIn)}
            y={top}
            width={(arc.endIn - arc.startIn) * scale}
            height={tube}
            fill="var(--asked)"
            fillOpacity={0.22}
          />
        ))}
      </g>
      {plan.shape.arcs.map((arc, i) => {
        const bend = plan.marks[i];
        return (
          bend !== undefined &&
          (arc.endIn - arc.startIn) * scale > 120 && (
            <text
              key={i}
              x={x(freeMiddle(arc, bend.positionIn))}
              y={top + tube / 2 + 1}
              fontSize={16}
              textAnchor="middle"
              dominantBaseline="central"
              fill="var(--color-base-content)"
              className="figures"
            >
              bends {quantityText(bend.angleDeg, 'deg', display)}
            </text>
          )
        );
      })}
      <Tape
        lengthIn={lengthIn}
        divisionIn={divisionIn}
        scale={scale}
        x={x}
        top={tapeTop}
        height={height - tapeTop - 2}
      />
      {plan.marks.length === 1 && plan.marks.every((mark) => x(mark.positionIn) > 130) && (
        <Label at={{ x: x(0), y: top - 12 }} size={14} anchor="start" fill="var(--line)">
          datum end
        </Label>
      )}
      {cut !== undefined && (
        <Label at={{ x: x(lengthIn), y: top - 13 }} size={20} anchor="end">
          cut <FigureSpans parts={quantityParts(cut, 'in', display)} />
        </Label>
      )}
      {madeMarks.map((inches, i) => (
        <line
          key={i}
          x1={x(inches)}
          x2={x(inches)}
          y1={top - 5}
          y2={tapeTop + 18}
          stroke="var(--made)"
          className="line-bold"
        />
      ))}
      {plan.marks.map((mark, i) => (
        <Ring
          key={mark.number}
          mark={mark}
          x={x(mark.positionIn)}
          top={top}
          tube={tube}
          width={width}
          flagX={flags?.[i]}
        />
      ))}
    </svg>
  );
}

function Ring({
  mark,
  x,
  top,
  tube,
  width,
  flagX,
}: {
  mark: LayoutAnswer['marks'][number];
  x: number;
  top: number;
  tube: number;
  width: number;
  /** Middle of its flag, where several share the strip. */
  flagX: number | undefined;
}) {
  const display = useDisplayUnit();
  const towards = mark.hookTowards === 'datum' ? -1 : 1;
  // The flag flies to the side that has room for it.
  const narrow = width < NARROW_PX;
  const side = x > width - (narrow ? 190 : 330) ? -1 : 1;
  const arrow = mark.hookTowards === 'datum' ? '◂' : '▸';
  return (
    <g>
      <line
        x1={x}
        x2={x}
        y1={top - 20}
        y2={top + tube + 4}
        stroke="var(--color-base-content)"
        className="line-medium"
      />
      <HookSign x={x} y={top + tube / 2} towards={towards} />
      {flagX === undefined ? (
        <>
          <RingNumber x={x} y={top - 29} number={mark.number} />
          <Label at={{ x: x + 20 * side, y: top - 29 }} size={29} anchor={side > 0 ? 'start' : 'end'}>
            <FigureSpans parts={quantityParts(mark.positionIn, 'in', display)} />
            <tspan fontSize={15} dx={10} fontWeight={500}>
              {narrow
                ? `${mark.reference} ${arrow}`
                : `${mark.reference}, hook ${mark.hookTowards === 'datum' ? '◂ datum end' : 'far end ▸'}`}
            </tspan>
          </Label>
        </>
      ) : (
        <>
          <line
            x1={x}
            y1={top - 18}
            x2={flagX - flagWidth(width) / 2 + 14}
            y2={top - 30}
            stroke="var(--color-base-content)"
            className="line-thin"
          />
          <RingNumber x={flagX - flagWidth(width) / 2 + 14} y={top - 38} number={mark.number} />
          <Label at={{ x: flagX - flagWidth(width) / 2 + 29, y: top - 38 }} size={narrow ? 17 : 27} anchor="start">
            <FigureSpans parts={quantityParts(mark.positionIn, 'in', display)} />
            {!narrow && (
              <tspan fontSize={15} dx={7} fontWeight={500}>
                {mark.reference} {arrow}
              </tspan>
            )}
          </Label>
        </>
      )}
    </g>
  );
}

function RingNumber({ x, y, number }: { x: number; y: number; number: number }) {
  return (
    <>
      <circle cx={x} cy={y} r={12} fill="var(--color-base-content)" />
      <text
        x={x}
        y={y + 1}
        fontSize={15}
        textAnchor="middle"
        dominantBaseline="central"
        fill="var(--halo)"
        className="figures"
      >
        {number}
      </text>
    </>
  );
}

/** Room for the flag of one of several rings. */
function flagWidth(width: number): number {
  return width < NARROW_PX ? 84 : 196;
}

/** The middle of the larger part of an arc that its ring leaves free. */
function freeMiddle({ startIn, endIn }: { startIn: number; endIn: number }, ringIn: number): number {
  if (ringIn <= startIn || ringIn >= endIn) {
    return (startIn + endIn) / 2;
  }
  return ringIn - startIn > endIn - ringIn ? (startIn + ringIn) / 2 : (ringIn + endIn) / 2;
}

/** A small hook at the ring, open to the side that the lip of the shoe points to. */
function HookSign({ x, y, towards }: { x: number; y: number; towards: 1 | -1 }) {
  return (
    <path
      d={`M${String(x)} ${String(y - 7)} h${String(13 * towards)} a7 7 0 0 ${towards > 0 ? '1' : '0'} 0 14 h${String(-4 * towards)}`}
      fill="none"
      stroke="var(--color-base-content)"
      className="line-medium"
    />
  );
}

function Tape({
  lengthIn,
  divisionIn,
  scale,
  x,
  top,
  height,
}: {
  lengthIn: number;
  divisionIn: number;
  scale: number;
  x: (inches: number) => number;
  top: number;
  height: number;
}) {
  const longest = Math.min(17, height - 18);
  return (
    <g stroke="var(--line)" aria-hidden="true">
      <line x1={x(0)} x2={x(lengthIn)} y1={top} y2={top} className="line-thin" />
      {tapeLines(lengthIn, divisionIn, scale).map(({ inches, level, label, foot }) => (
        <g key={inches}>
          <line
            x1={x(inches)}
            x2={x(inches)}
            y1={top}
            y2={top + longest * 0.78 ** (level * 1.6)}
            className={foot === true ? 'line-bold' : 'line-thin'}
          />
          {label !== undefined && (
            <text
              x={x(inches)}
              y={top + longest + 10}
              fontSize={14}
              textAnchor="middle"
              stroke="none"
              fill="var(--color-base-content)"
              className="figures"
            >
              {label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
