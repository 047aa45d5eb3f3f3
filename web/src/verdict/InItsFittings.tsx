import type { Schemas } from '../api/client';

/** Whether a run goes in, and what would make it; a device may remember a verdict from before that was asked. */
export function InItsFittings({ fit }: { fit: Schemas['FitView'] | null | undefined }) {
  return fit == null ? null : (
    <section aria-label="In its fittings" className="border-t-2 border-base-content/60 pt-2">
      <h2 className="text-base font-semibold">In its fittings</h2>
      <p className={`text-lg leading-snug ${fit.enters ? '' : 'text-error'}`}>
        <span aria-hidden="true">{fit.enters ? '● ' : '✕ '}</span>
        {fit.sentence}
      </p>
      {fit.ways.length > 0 && (
        <ul className="list-disc pl-6 text-lg leading-snug">
          {fit.ways.map((way) => (
            <li key={way} className="py-0.5">
              {way}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
