import { useState } from 'react';

/** What is looked over before the first bend, point by point; nothing is bent before all of it is right. */
export function LookFirst({ points, onDone }: { points: readonly string[]; onDone: () => void }) {
  const [right, setRight] = useState<ReadonlySet<string>>(new Set());
  const left = points.length - right.size;
  return (
    <section aria-label="Before you bend" className="grid gap-2 border-t-2 border-base-content/60 pt-2">
      <h2 className="text-xl font-semibold">Before you bend</h2>
      <ul className="grid gap-1">
        {points.map((point) => (
          <li key={point}>
            <label className="flex min-h-11 items-center gap-3 rounded-field border border-base-content/40 px-3 text-lg leading-tight">
              <input
                type="checkbox"
                className="size-6 shrink-0"
                checked={right.has(point)}
                onChange={(event) => {
                  const next = new Set(right);
                  if (event.target.checked) {
                    next.add(point);
                  } else {
                    next.delete(point);
                  }
                  setRight(next);
                }}
              />
              {point}
            </label>
          </li>
        ))}
      </ul>
      <button type="button" className="btn h-12 text-lg btn-neutral" disabled={left > 0} onClick={onDone}>
        {left === 0 ? 'All right: first bend' : `${String(left)} still to look at`}
      </button>
    </section>
  );
}
