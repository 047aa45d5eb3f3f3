import type { Schemas } from '../api/client';

/** What reads so near to its limit that the piece may well be on the other side: the verdict stands, and should be looked at again. */
export function NearLimits({ near }: { near: readonly Schemas['NearLimitView'][] }) {
  return near.length === 0 ? null : (
    <section aria-label="Near a limit" className="border-l-4 border-base-content pl-2">
      <ul className="grid gap-1 text-lg leading-snug">
        {near.map(({ feature, sentence }) => (
          <li key={feature}>≈ {sentence}</li>
        ))}
      </ul>
    </section>
  );
}
