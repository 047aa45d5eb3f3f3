import { useEffect } from 'react';
import { Select } from '../frame/Select';
import { type Fitted, resummed, withFittings, without } from './fittings';
import type { Desk } from './useDesk';

const FITTED: readonly { value: Fitted; name: string }[] = [
  { value: 'none', name: 'neither end' },
  { value: 'start', name: 'the datum end' },
  { value: 'end', name: 'the far end' },
  { value: 'both', name: 'both ends' },
];

/** Which ends of the conduit go into a fitting: it is drawn, and what goes in is added to what is measured to it. */
export function Fittings({ desk }: { desk: Desk }) {
  const { draft, amend, change, sizes } = desk;
  const { insertionIn } = sizes;
  // What is typed as the insertion counts once it is a size.
  useEffect(() => {
    if (insertionIn !== undefined) {
      amend((before) => resummed(before, insertionIn));
    }
  }, [insertionIn, amend]);
  const bare = without(draft);
  return (
    <>
      <Select
        label="Into a fitting goes"
        options={FITTED}
        value={draft.fitted}
        onChange={(value) => {
          const fitted = FITTED.find((each) => each.value === value)?.value ?? 'none';
          change('fitted', (before) => withFittings(before, fitted, insertionIn));
        }}
      />
      {bare.length > 0 && (
        <p className="col-span-full text-sm leading-snug">
          Measured from the end of the conduit: {bare.map(({ label }) => label).join(', ')}.{' '}
          <button
            type="button"
            className="min-h-6 font-semibold underline underline-offset-2"
            onClick={() => {
              change('fitted', (before) => withFittings(before, before.fitted, insertionIn));
            }}
          >
            It is to the fitting: add what goes in
          </button>
        </p>
      )}
    </>
  );
}
