import { useState } from 'react';

/** A reading that is two figures at the bench, written as one text: “1/4 over 24”, “0.79 of 0.84”. */
export function TwoParts({
  legend,
  first,
  joint,
  second,
  usual,
  onText,
}: {
  legend: string;
  /** Names of the two figures. */
  first: string;
  joint: 'over' | 'of';
  second: string;
  /** What the second figure is as a rule. */
  usual: string;
  /** The text of both; nothing while one is missing. */
  onText: (text: string) => void;
}) {
  const [one, setOne] = useState('');
  const [other, setOther] = useState(usual);
  const say = (newOne: string, newOther: string) => {
    setOne(newOne);
    setOther(newOther);
    onText(newOne.trim() === '' || newOther.trim() === '' ? '' : `${newOne.trim()} ${joint} ${newOther.trim()}`);
  };
  return (
    <fieldset className="flex items-end gap-1 text-base leading-tight">
      <legend className="text-sm">{legend}</legend>
      <Small
        label={first}
        value={one}
        onChange={(next) => {
          say(next, other);
        }}
      />
      <span className="pb-2">{joint}</span>
      <Small
        label={second}
        value={other}
        onChange={(next) => {
          say(one, next);
        }}
      />
    </fieldset>
  );
}

function Small({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => void }) {
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
