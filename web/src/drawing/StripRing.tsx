import type { KeyboardEvent } from 'react';
import type { LayoutAnswer } from '../api/queries';
import { FigureSpans } from '../entry/Figure';
import { quantityParts } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';
import { Label } from './Dimension';
import { hookWords, onRing } from './onRing';

/** Below this width flags have only room for figures. */
export const NARROW_PX = 600;

/** A ring on the straight conduit, with its flag: what of the tool goes on it, and which way the hook of a shoe points. */
export function Ring({
  mark,
  tool,
  x,
  top,
  tube,
  width,
  flagX,
  flag,
  onAsk,
}: {
  mark: LayoutAnswer['marks'][number];
  tool: LayoutAnswer['tool'];
  x: number;
  top: number;
  tube: number;
  width: number;
  /** Middle of its flag, where several share the strip. */
  flagX: number | undefined;
  /** How wide it may be. */
  flag: number;
  onAsk?: ((about: string) => void) | undefined;
}) {
  const display = useDisplayUnit();
  // The flag flies to the side that has room for it.
  const narrow = width < NARROW_PX;
  const side = x > width - (narrow ? 190 : 330) ? -1 : 1;
  const hook = hookWords(mark.hookTowards, tool);
  const on = onRing(mark.reference, tool);
  const brief = hook === undefined ? on : `${on} ${hook.sign}`;
  // Where there is no room for figures, the number stands alone in the middle.
  const number = flagX === undefined ? x : flag < FIGURE_PX ? flagX : flagX - flag / 2 + 14;
  const ask = () => onAsk?.(`mark${String(mark.number)}`);
  return (
    <g
      {...(onAsk === undefined
        ? {}
        : {
            role: 'button',
            tabIndex: 0,
            'aria-label': `Why ring ${String(mark.number)} stands there`,
            className: 'cursor-pointer',
            onClick: ask,
            onKeyDown: (event: KeyboardEvent) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                ask();
              }
            },
          })}
    >
      <line
        x1={x}
        x2={x}
        y1={top - 20}
        y2={top + tube + 4}
        stroke="var(--color-base-content)"
        className="line-medium"
      />
      {hook === undefined ? (
        <MiddleSign x={x} y={top + tube / 2} />
      ) : (
        <HookSign x={x} y={top + tube / 2} towards={hook.towards} />
      )}
      {flagX === undefined ? (
        <>
          <RingNumber x={x} y={top - 29} number={mark.number} />
          <Label at={{ x: x + 20 * side, y: top - 29 }} size={29} anchor={side > 0 ? 'start' : 'end'}>
            <FigureSpans parts={quantityParts(mark.positionIn, 'in', display)} />
            <tspan fontSize={15} dx={10} fontWeight={500}>
              {narrow || hook === undefined
                ? brief
                : `${on}, ${hook.side} ${hook.towards < 0 ? `${hook.sign} ${hook.end}` : `${hook.end} ${hook.sign}`}`}
            </tspan>
          </Label>
        </>
      ) : (
        <>
          {/* Beneath the figures, whose fractions hang low. */}
          <path
            d={`M${String(number)} ${String(top - 28)} V${String(top - 19)} H${String(x)}`}
            fill="none"
            stroke="var(--color-base-content)"
            className="line-thin"
          />
          <RingNumber x={number} y={top - 38} number={mark.number} />
          {flag >= FIGURE_PX && (
            <Label at={{ x: number + 15, y: top - 38 }} size={narrow ? 17 : flag < WORDS_PX ? 23 : 27} anchor="start">
              <FigureSpans parts={quantityParts(mark.positionIn, 'in', display)} />
              {!narrow && (
                <tspan fontSize={15} dx={flag < WORDS_PX ? 4 : 7} fontWeight={500}>
                  {flag < WORDS_PX
                    ? mark.reference === 'arrow'
                      ? hook?.sign
                      : `${mark.reference} ${hook?.sign ?? ''}`
                    : brief}
                </tspan>
              )}
            </Label>
          )}
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

/** A flag that is narrower has no room for words. */
const WORDS_PX = 175;
/** A flag that is narrower has no room for figures: they are told elsewhere. */
const FIGURE_PX = 80;

/**
 * Room for the flag of one of several rings.
 *
 * @param room that all of them have together
 */
export function flagWidth(width: number, room: number, flags: number): number {
  return Math.min(width < NARROW_PX ? 84 : 196, room / Math.max(1, flags));
}

/** The middle of a curve: as far to both sides. */
function MiddleSign({ x, y }: { x: number; y: number }) {
  return (
    <path
      d={`M${String(x - 9)} ${String(y - 5)} v10 M${String(x - 9)} ${String(y)} h18 M${String(x + 9)} ${String(y - 5)} v10`}
      fill="none"
      stroke="var(--color-base-content)"
      className="line-medium"
    />
  );
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
