import { Check, Delete, Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useDisplayUnit } from '../frame/signedIn';
import type { QuantityKind } from './figures';
import { SIXTEENTHS, typeBackspace, typeDigit, typeFraction, typeMinus } from './typing';

interface PadProps {
  kind: QuantityKind;
  /** What is typed can be less than nothing: a minus stands where the point is otherwise. */
  signed?: boolean;
  text: string;
  onText: (text: string) => void;
  onEnter: () => void;
  /** One division down or up. */
  onNudge?: (steps: 1 | -1) => void;
  /** It is just as it should be: one tap and on. */
  onAsAsked?: () => void;
  /** What the last key does. */
  enterLabel?: string;
}

/** Big keys for a gloved finger: whole figures, then one tap for the fraction. */
export function Pad({
  kind,
  signed = false,
  text,
  onText,
  onEnter,
  onNudge,
  onAsAsked,
  enterLabel = 'Enter reading',
}: PadProps) {
  const inches = useDisplayUnit() === 'in' && kind === 'length';
  const digit = (label: string) => (
    <Key
      key={label}
      label={label}
      onPress={() => {
        onText(label === '−' ? typeMinus(text) : typeDigit(text, label));
      }}
    />
  );
  const fraction = (label: string) => (
    <Key
      key={label}
      label={label}
      onPress={() => {
        onText(typeFraction(text, label));
      }}
      soft
    >
      <span className="fraction">{label}</span>
    </Key>
  );
  const back = (
    <Key
      key="back"
      label="Back one"
      onPress={() => {
        onText(typeBackspace(text));
      }}
    >
      <Delete aria-hidden="true" className="mx-auto" />
    </Key>
  );
  const point = digit(signed ? '−' : '.');
  return (
    <div className={`grid gap-1 ${inches ? 'grid-cols-5' : 'grid-cols-4'}`} role="group" aria-label="Number pad">
      {onAsAsked !== undefined && (
        <button
          type="button"
          className={`btn h-11 min-h-0 border-2 border-primary bg-base-100 px-1 text-lg text-primary ${inches ? 'col-span-3' : 'col-span-2'}`}
          onMouseDown={keepFocus}
          onClick={onAsAsked}
        >
          Spot on
        </button>
      )}
      {onNudge !== undefined &&
        ([-1, 1] as const).map((steps) => (
          <Key
            key={steps}
            label={steps < 0 ? 'One division less' : 'One division more'}
            onPress={() => {
              onNudge(steps);
            }}
          >
            {steps < 0 ? (
              <Minus aria-hidden="true" className="mx-auto" size={20} />
            ) : (
              <Plus aria-hidden="true" className="mx-auto" size={20} />
            )}
          </Key>
        ))}
      {['7', '8', '9'].map(digit)}
      {inches ? ['1/4', '1/2'].map(fraction) : back}
      {['4', '5', '6'].map(digit)}
      {inches ? [fraction('3/4'), back] : point}
      {['1', '2', '3', '0'].map(digit)}
      {inches && point}
      {inches && SIXTEENTHS.filter((each) => !each.endsWith('/4') && !each.endsWith('/2')).map(fraction)}
      <button
        type="button"
        onClick={onEnter}
        onMouseDown={keepFocus}
        className={`btn h-11 min-h-0 btn-neutral text-lg ${inches ? 'col-span-3' : 'col-span-4'}`}
        aria-label={enterLabel}
      >
        <Check aria-hidden="true" />
      </button>
    </div>
  );
}

/** For a button that belongs to a field: the field keeps the focus, so that taps and keys can be mixed. */
export function keepFocus(event: { preventDefault: () => void }): void {
  event.preventDefault();
}

function Key({
  label,
  onPress,
  soft = false,
  children,
}: {
  label: string;
  onPress: () => void;
  soft?: boolean;
  children?: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={children === undefined ? undefined : label}
      onClick={onPress}
      onMouseDown={keepFocus}
      className={`figures h-11 rounded-field border border-base-content/40 text-xl active:bg-base-300 ${soft ? 'bg-base-200' : 'bg-base-100'}`}
    >
      {children ?? label}
    </button>
  );
}
