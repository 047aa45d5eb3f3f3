import { useState } from 'react';

/** A dog leg as it is seen on a flat floor: the gap under one leg, so far along. Written as “1/4 over 24”. */
export function DogLegSpan({ onText }: { onText: (text: string) => void }) {
  const [gap, setGap] = useState('');
  const [span, setSpan] = useState('24');
  const say = (newGap: string, newSpan: string) => {
    setGap(newGap);
    setSpan(newSpan);
    onText(newGap.trim() === '' || newSpan.trim() === '' ? '' : `${newGap.trim()} over ${newSpan.trim()}`);
  };
  return (
    <fieldset className="flex items-end gap-1 text-base leading-tight">
      <legend className="text-sm">or as a gap over a span</legend>
      <Small
        label="Gap"
        value={gap}
        onChange={(next) => {
          say(next, span);
        }}
      />
      <span className="pb-2">over</span>
      <Small
        label="Span"
        value={span}
        onChange={(next) => {
          say(gap, next);
        }}
      />
    </fieldset>
  );
}

export function Small({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
  return (
    <input
      aria-label={label}
      placeholder={label.toLowerCase()}
      value={value}
      onChange={(event) => {
        onChange(event.target.value);
      }}
      className="figures h-10 w-20 rounded-field border-2 border-base-content/60 bg-base-100 px-1 text-center text-lg"
    />
  );
}
