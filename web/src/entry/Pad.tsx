import { Check, Delete } from 'lucide-react';
import type { ReactNode } from 'react';
import { useDisplayUnit } from '../frame/signedIn';
import { SIXTEENTHS, typeBackspace, typeDigit, typeFraction, typeMinus } from './typing';

interface PadProps {
  kind: 'length' | 'angle';
  /** What is typed can be less than nothing: a minus stands where the point is otherwise. */
  signed?: boolean;
  text: string;
  onText: (text: string) => void;
  onEnter: () => void;
}

/** Big keys for a gloved finger: whole figures, then one tap for the fraction. */
export function Pad({ kind, signed = false, text, onText, onEnter }: PadProps) {
  const inches = useDisplayUnit() === 'in' && kind === 'length';
  return (
    <div className="grid grid-cols-4 gap-1" role="group" aria-label="Number pad">
      {['7', '8', '9'].map((digit) => (
        <Key
          key={digit}
          label={digit}
          onPress={() => {
            onText(typeDigit(text, digit));
          }}
        />
      ))}
      <Key
        label="Back one"
        onPress={() => {
          onText(typeBackspace(text));
        }}
      >
        <Delete aria-hidden="true" className="mx-auto" />
      </Key>
      {['4', '5', '6', signed ? '−' : '.'].map((digit) => (
        <Key
          key={digit}
          label={digit}
          onPress={() => {
            onText(digit === '−' ? typeMinus(text) : typeDigit(text, digit));
          }}
        />
      ))}
      {['1', '2', '3', '0'].map((digit) => (
        <Key
          key={digit}
          label={digit}
          onPress={() => {
            onText(typeDigit(text, digit));
          }}
        />
      ))}
      {inches &&
        SIXTEENTHS.map((fraction) => (
          <Key
            key={fraction}
            label={fraction}
            onPress={() => {
              onText(typeFraction(text, fraction));
            }}
            soft
          >
            <span className="fraction">{fraction}</span>
          </Key>
        ))}
      <button
        type="button"
        onClick={onEnter}
        className={`btn h-[2.7rem] min-h-0 btn-neutral text-lg ${inches ? '' : 'col-span-4'}`}
        aria-label="Enter reading"
      >
        <Check aria-hidden="true" />
      </button>
    </div>
  );
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
      // The field keeps the focus, so that pad and keyboard can be mixed.
      onMouseDown={(event) => {
        event.preventDefault();
      }}
      className={`figures h-[2.7rem] rounded-field border border-base-content/40 text-xl active:bg-base-300 ${soft ? 'bg-base-200' : 'bg-base-100'}`}
    >
      {children ?? label}
    </button>
  );
}
