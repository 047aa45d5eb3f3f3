import type { Schemas } from '../api/client';
import { Moves } from './Moves';

/** Where along a run the error at its far end came in; a device may remember a verdict from before that was asked. */
export function FarEnd({ farEnd }: { farEnd: Schemas['FarEndView'] | null | undefined }) {
  if (farEnd == null) {
    return null;
  }
  return (
    <section aria-label="The far end, place by place" className="border-t-2 border-base-content/60 pt-2">
      <h2 className="text-base font-semibold">The far end, place by place</h2>
      <p className="text-lg leading-snug">{farEnd.sentence}</p>
      {farEnd.shares.length > 0 && (
        <Moves
          caption="What each place moves the far end by, from the datum end"
          moves={farEnd.shares.map(({ place, brings, farIn }) => ({ name: place, note: brings, farIn }))}
        />
      )}
    </section>
  );
}
