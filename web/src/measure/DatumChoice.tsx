import { useId } from 'react';
import { type Datum, datumWords } from './datum';

/** Which way a mark is measured: either is right, and it is said which. */
export function DatumChoice({
  name,
  bend,
  from,
  onFrom,
}: {
  name: string;
  bend: number;
  from: Datum;
  onFrom: (from: Datum) => void;
}) {
  const id = useId();
  return (
    <fieldset className="flex flex-wrap items-center gap-x-3 leading-tight">
      <legend className="sr-only">Where {name} is measured from</legend>
      {(['back', 'end'] as const).map((each) => (
        <label key={each} className="flex min-h-9 items-center gap-1.5">
          <input
            type="radio"
            name={id}
            className="size-5"
            checked={from === each}
            onChange={() => {
              onFrom(each);
            }}
          />
          {datumWords(each, bend)}
        </label>
      ))}
    </fieldset>
  );
}
