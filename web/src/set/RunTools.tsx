import { Delete } from 'lucide-react';
import { type KeyboardEvent, type Ref, useState } from 'react';
import { DIRECTIONS, legsOf, type RunEnd, type Towards, whyNot, withBoxOffset, withLeg, withoutLastLeg } from './run';
import type { Desk } from './useDesk';

const ENDS: readonly { end: RunEnd; key: string; name: string; at: string }[] = [
  { end: 'startOffset', key: 's', name: 'S', at: 'start' },
  { end: 'endOffset', key: 'e', name: 'E', at: 'end' },
];

interface RunToolsProps {
  desk: Desk;
  /** Takes the keys that draw. */
  padRef: Ref<HTMLDivElement>;
  /** The leg with this number is there now, and wants its length. */
  onDrawn: (number: number) => void;
}

/** Draws a run leg by leg: a direction, then its length; with keys or by pressing. Puts offsets at its boxes. */
export function RunTools({ desk, padRef, onDrawn }: RunToolsProps) {
  const { draft, change } = desk;
  const legs = legsOf(draft);
  const [refused, setRefused] = useState<string>();
  const draw = (towards: Towards) => {
    const why = whyNot(draft, towards);
    setRefused(why);
    if (why === undefined) {
      change(`leg ${String(legs.length)} drawn`, (before) => withLeg(before, towards));
      onDrawn(legs.length + 1);
    }
  };
  const takeBack = () => {
    setRefused(undefined);
    change(`leg ${String(legs.length)} taken back`, withoutLastLeg);
  };
  const box = (end: RunEnd) => {
    change(`${end} ${String((draft.parts[end] ?? []).length)}`, (before) => withBoxOffset(before, end));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const direction = DIRECTIONS.find(({ key }) => key === event.key);
    const end = ENDS.find(({ key }) => key === event.key.toLowerCase());
    if (direction !== undefined) {
      event.preventDefault();
      draw(direction.towards);
    } else if (end !== undefined && legs.length > 0) {
      event.preventDefault();
      box(end.end);
    } else if (event.key === 'Backspace') {
      event.preventDefault();
      takeBack();
    }
  };
  return (
    <div className="shrink-0 border-b border-base-300 bg-base-200">
      <div
        ref={padRef}
        role="group"
        tabIndex={0}
        aria-label="Draw the run leg by leg: arrow keys, Page Up and Page Down give the direction of the next leg"
        onKeyDown={onKeyDown}
        className="flex flex-wrap items-center gap-1.5 px-2 py-1.5"
      >
        <span className="text-lg leading-tight font-semibold max-sm:w-full">Leg {legs.length + 1}</span>
        {DIRECTIONS.map(({ towards, sign, words, keyName }) => (
          <button
            key={towards}
            type="button"
            aria-label={`Next leg ${words}`}
            aria-disabled={whyNot(draft, towards) !== undefined}
            title={`${words} (${keyName})`}
            className="flex h-11 min-w-12 items-center justify-center gap-1 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg aria-disabled:opacity-50"
            onClick={() => {
              draw(towards);
            }}
          >
            <span aria-hidden="true" className="text-xl leading-none">
              {sign}
            </span>
            <span className="text-base">{NAMES[towards]}</span>
          </button>
        ))}
        <button
          type="button"
          aria-label="Take the last leg away"
          title="Take the last leg away (Backspace)"
          className={TOOL}
          disabled={legs.length === 0}
          onClick={takeBack}
        >
          <Delete size={20} />
        </button>
        <span className="ml-auto flex flex-wrap items-center gap-1.5 max-sm:ml-0">
          {ENDS.map(({ end, name, at }) => (
            <button
              key={end}
              type="button"
              aria-pressed={(draft.parts[end] ?? []).length > 0}
              disabled={legs.length === 0}
              aria-label={`Box offset at the ${at}`}
              title={`Box offset at the ${at} (${name})`}
              className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 disabled:opacity-50 aria-pressed:bg-base-content aria-pressed:font-semibold aria-pressed:text-base-100"
              onClick={() => {
                box(end);
              }}
            >
              Offset at {at}
            </button>
          ))}
        </span>
      </div>
      {refused !== undefined && (
        <p role="status" className="px-2 pb-1.5 text-base leading-tight">
          {refused}
        </p>
      )}
    </div>
  );
}

const NAMES: Readonly<Record<Towards, string>> = {
  right: 'Right',
  left: 'Left',
  up: 'Up',
  down: 'Down',
  out: 'Out',
  in: 'In',
};

const TOOL =
  'grid size-11 place-items-center rounded-field border-2 border-base-content/60 bg-base-100 disabled:opacity-50';
