import type { LayoutAnswer } from '../api/queries';
import { FigureSpans } from '../entry/Figure';
import { quantityParts, quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';
import { Label } from './Dimension';
import { spread } from './dimensionSpots';
import { hookWords, onRing } from './onRing';
import { flagWidth, NARROW_PX, Ring } from './StripRing';
import { divisionFor } from './tape';
import { TapeRule } from './TapeRule';
import { Sized } from './Sized';

interface StripProps {
  plan: LayoutAnswer;
  outsideDiameter: number;
  divisionIn: number;
  /** Rings as the trainee made them, in inches, drawn beside the ones asked for. */
  madeMarks?: readonly number[];
  /** Asks why a ring stands where it stands. */
  onAsk?: (about: string) => void;
}

const SIDE = 34;

/** The straight conduit with its rings, the tape beneath it, and what goes on each ring. */
export function Strip({ plan, outsideDiameter, divisionIn, madeMarks = [], onAsk }: StripProps) {
  return (
    <Sized name="strip">
      {(width, height) => (
        <StripDrawing
          plan={plan}
          outsideDiameter={outsideDiameter}
          divisionIn={divisionIn}
          madeMarks={madeMarks}
          onAsk={onAsk}
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
  onAsk,
  width,
  height,
}: Required<Omit<StripProps, 'onAsk'>> & {
  onAsk: StripProps['onAsk'] | undefined;
  width: number;
  height: number;
}) {
  const display = useDisplayUnit();
  const lengthIn = plan.shape.lengthIn;
  const scale = (width - 2 * SIDE) / lengthIn;
  const x = (inches: number) => SIDE + inches * scale;
  const tube = Math.max(12, Math.min(outsideDiameter * scale, height * 0.22));
  const top = Math.round(height * 0.44);
  const tapeTop = top + tube + 5;
  const cut = plan.cutLengthIn ?? undefined;
  // Several rings: their flags make room for one another, and for the cut length at the end.
  const end = width - (cut === undefined || width < NARROW_PX ? 2 : 132);
  const flag = flagWidth(width, end - 2, plan.marks.length);
  const flags =
    plan.marks.length > 1
      ? spread(
          plan.marks.map((mark) => x(mark.positionIn)),
          flag,
          flag / 2 + 2,
          end - flag / 2,
        )
      : undefined;
  const described = [
    `Straight conduit${cut === undefined ? '' : `, cut ${quantityText(cut, 'in', display)}`}.`,
    ...plan.marks.map(
      (mark) =>
        `Ring ${String(mark.number)} at ${quantityText(mark.positionIn, 'in', display)}: ${standing(mark, plan.tool)}, ` +
        `bend ${quantityText(mark.angleDeg, 'deg', display)}.`,
    ),
    ...plan.steps.flatMap(({ mark, heatFromIn, heatToIn }) =>
      heatFromIn == null || heatToIn == null
        ? []
        : [
            `Warm for ring ${String(mark)} from ${quantityText(heatFromIn, 'in', display)} to ${quantityText(heatToIn, 'in', display)}.`,
          ],
    ),
  ].join(' ');
  return (
    <svg
      width={width}
      height={height}
      role={onAsk === undefined ? 'img' : 'group'}
      aria-label={described}
      className="block"
    >
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
        {plan.steps
          .filter(({ mark }) => plan.marks.some(({ number }) => number === mark))
          .map(({ mark, heatFromIn, heatToIn }) => (
            <Heated key={mark} from={heatFromIn} to={heatToIn} x={x} top={top} tube={tube} />
          ))}
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
      <TapeRule
        lengthIn={lengthIn}
        divisionIn={divisionFor(divisionIn, display)}
        scale={scale}
        x={x}
        top={tapeTop}
        height={height - tapeTop - 2}
      />
      {plan.marks.length === 1 &&
        plan.marks.every(
          ({ positionIn }) => x(positionIn) > 130 && (width >= NARROW_PX || x(positionIn) < width / 2),
        ) && (
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
          tool={plan.tool}
          x={x(mark.positionIn)}
          top={top}
          tube={tube}
          width={width}
          flagX={flags?.[i]}
          flag={flag}
          onAsk={onAsk}
        />
      ))}
    </svg>
  );
}

/** What is set on a ring, and which way round, in words. */
function standing(mark: LayoutAnswer['marks'][number], tool: LayoutAnswer['tool']): string {
  const hook = hookWords(mark.hookTowards, tool);
  const on = `${onRing(mark.reference, tool)} on the ring`;
  return hook === undefined ? on : `${on}, ${hook.side} towards the ${hook.end}`;
}

/** The length that is warmed: dashed ends, and waves above it, so that it is told without a colour, too. */
function Heated({
  from,
  to,
  x,
  top,
  tube,
}: {
  from: number | null | undefined;
  to: number | null | undefined;
  x: (inches: number) => number;
  top: number;
  tube: number;
}) {
  if (from == null || to == null) {
    return null;
  }
  const waves = Math.max(2, Math.floor((x(to) - x(from)) / 16));
  const step = (x(to) - x(from)) / waves;
  const wave = Array.from(
    { length: waves },
    () => `q${String(step / 4)} -6 ${String(step / 2)} 0 t${String(step / 2)} 0`,
  );
  return (
    <g stroke="var(--made)" fill="none">
      <path d={`M${String(x(from))} ${String(top - 6)} ${wave.join(' ')}`} className="line-medium" />
      {[from, to].map((end) => (
        <line
          key={end}
          x1={x(end)}
          x2={x(end)}
          y1={top - 8}
          y2={top + tube}
          strokeDasharray="4 3"
          className="line-thin"
        />
      ))}
    </g>
  );
}

/** The middle of the larger part of an arc that its ring leaves free. */
function freeMiddle({ startIn, endIn }: { startIn: number; endIn: number }, ringIn: number): number {
  if (ringIn <= startIn || ringIn >= endIn) {
    return (startIn + endIn) / 2;
  }
  return ringIn - startIn > endIn - ringIn ? (startIn + ringIn) / 2 : (ringIn + endIn) / 2;
}
