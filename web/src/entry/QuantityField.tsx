import { Ruler } from 'lucide-react';
import { type KeyboardEvent, type ReactNode, type Ref, useId } from 'react';
import type { Problem } from '../api/client';
import { useDisplayUnit } from '../frame/signedIn';
import { Figure } from './Figure';
import { type QuantityKind, unitOfKind } from './figures';
import { useSettled } from './useSettled';

interface QuantityFieldProps {
  label: string;
  kind: QuantityKind;
  /** What was typed, kept as it is: nothing snaps while somebody is writing. */
  text: string;
  onText: (text: string) => void;
  problem?: Problem | null | undefined;
  /** It is a size, but what is asked for together cannot be; why is told elsewhere. */
  doubtful?: boolean;
  onEnter?: () => void;
  /** Nudges by one step with the arrow keys; the text of a value is the caller's to write. */
  onNudge?: (steps: 1 | -1) => void;
  onFocus?: () => void;
  inputRef?: Ref<HTMLInputElement>;
  optional?: boolean;
  /** What the text comes to, shown where it is more than one figure. */
  comesTo?: number | undefined;
  /** Opens the two readings that it may be taken off with. */
  onTakeOff?: () => void;
  /** Stands behind the label: what is asked for. */
  asked?: ReactNode;
  /** A field on the drawing is large and bare; in a list it has its label beside it. */
  place: 'drawing' | 'list';
  /** On a drawing where many stand: not so large. */
  small?: boolean;
  /** Keeps an on-screen keyboard away where the fraction pad is at hand. */
  padAtHand?: boolean;
}

/** A length, an angle or a percentage as people write it. What it means is decided by the server's core, not here. */
export function QuantityField({
  label,
  kind,
  text,
  onText,
  problem,
  doubtful = false,
  onEnter,
  onNudge,
  onFocus,
  inputRef,
  optional = false,
  comesTo,
  onTakeOff,
  asked,
  place,
  small = false,
  padAtHand = false,
}: QuantityFieldProps) {
  const id = useId();
  const lengthUnit = useDisplayUnit();
  const unit = { length: lengthUnit, angle: '°', percentage: '%' }[kind];
  const settled = useSettled(text);
  const bad = problem !== null && problem !== undefined && text.trim() !== '' && settled;
  const marked = bad || (doubtful && settled);
  const suggestion = problem?.errors[0]?.suggestion;
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter' && onEnter !== undefined) {
      event.preventDefault();
      onEnter();
    } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && onNudge !== undefined) {
      event.preventDefault();
      onNudge(event.key === 'ArrowUp' ? 1 : -1);
    }
  };
  const large = place === 'drawing';
  const sum = / [-−–+] /.test(text);
  return (
    <div
      className={
        large
          ? sum
            ? 'w-[13rem]'
            : small
              ? 'w-[6.4rem]'
              : 'w-[8.4rem] max-sm:w-[6.6rem]'
          : sum
            ? 'col-span-full w-full'
            : 'w-full'
      }
    >
      <div className={large ? '' : 'grid gap-0.5'}>
        <div className="flex items-end justify-between gap-1">
          <label
            htmlFor={id}
            className={`text-sm leading-tight ${large ? `mx-auto block w-fit bg-base-100 px-1 text-center ${small ? '' : 'pb-1'}` : ''}`}
          >
            {label}
            {optional && !large && <span className="sr-only"> (may stay open)</span>}
            {asked}
          </label>
          {onTakeOff !== undefined && !large && (
            <button
              type="button"
              aria-label={`${label} from two readings`}
              title="From two readings"
              className="-my-1 grid size-6 shrink-0 place-items-center"
              onClick={onTakeOff}
            >
              <Ruler size={16} />
            </button>
          )}
        </div>
        <div
          className={`flex items-baseline rounded-field border-2 bg-base-100 px-2 focus-within:outline-3 focus-within:outline-info ${
            marked ? 'border-error' : 'border-base-content/60'
          } ${large ? (small ? 'h-9 justify-center' : 'h-12 justify-center') : 'h-11'}`}
        >
          <input
            id={id}
            ref={inputRef}
            value={text}
            onChange={(event) => {
              onText(event.target.value);
            }}
            onKeyDown={onKeyDown}
            onFocus={(event) => {
              event.target.select();
              onFocus?.();
            }}
            placeholder={optional ? 'open' : undefined}
            inputMode={padAtHand ? 'none' : 'text'}
            autoComplete="off"
            spellCheck={false}
            aria-invalid={marked}
            aria-describedby={bad ? `${id}-problem` : undefined}
            className={`figures w-full min-w-0 self-center border-0 bg-transparent text-center outline-none ${
              sum ? 'text-lg' : large && !small ? 'text-[1.72rem]' : 'text-xl'
            }`}
          />
          <span className="self-center pl-1 text-sm opacity-80" aria-hidden="true">
            {unit}
          </span>
        </div>
        {sum && comesTo !== undefined && (
          <p className={`leading-tight ${large ? 'mx-auto w-fit bg-base-100 px-1 text-xl' : 'text-base'}`}>
            = <Figure value={comesTo} unit={unitOfKind(kind)} fine />
          </p>
        )}
      </div>
      {bad && (
        <p
          id={`${id}-problem`}
          role="alert"
          className="mt-1 rounded-field bg-base-100 px-1 text-sm leading-snug text-error"
        >
          <span aria-hidden="true">✕ </span>
          {problem.message}{' '}
          {suggestion !== undefined && (
            <button
              type="button"
              className="font-semibold underline"
              onClick={() => {
                onText(suggestion);
              }}
            >
              Take {suggestion}
            </button>
          )}
        </p>
      )}
    </div>
  );
}
