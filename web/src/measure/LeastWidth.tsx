import { useState } from 'react';
import { Small } from './DogLegSpan';

/** A flattening as a caliper reads it: the least width, of the diameter beside the bend. Written as “0.79 of 0.84”. */
export function LeastWidth({ diameter, onText }: { diameter: string; onText: (text: string) => void }) {
  const [width, setWidth] = useState('');
  const [beside, setBeside] = useState(diameter);
  const say = (newWidth: string, newBeside: string) => {
    setWidth(newWidth);
    setBeside(newBeside);
    onText(newWidth.trim() === '' || newBeside.trim() === '' ? '' : `${newWidth.trim()} of ${newBeside.trim()}`);
  };
  return (
    <fieldset className="flex items-end gap-1 text-base leading-tight">
      <legend className="text-sm">or as the caliper reads it</legend>
      <Small
        label="Least width"
        value={width}
        onChange={(next) => {
          say(next, beside);
        }}
      />
      <span className="pb-2">of</span>
      <Small
        label="Diameter"
        value={beside}
        onChange={(next) => {
          say(width, next);
        }}
      />
    </fieldset>
  );
}
