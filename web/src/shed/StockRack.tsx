import { Figure } from '../entry/Figure';
import type { StockedConduit } from './stockQueries';
import { drawnOf, rackLines } from './stockWords';

/** The rack to scale: each length a stack of tubes, as many as there are. */
export function StockRack({ conduit }: { conduit: StockedConduit }) {
  const lines = rackLines(conduit.stickIn, conduit.sticks, conduit.leftOvers);
  const longest = Math.max(conduit.stickIn, ...lines.map(({ lengthIn }) => lengthIn));
  if (lines.length === 0) {
    return <p className="mt-3 text-xl">The rack is empty.</p>;
  }
  return (
    <ol className="mt-3 grid gap-2" aria-label="On the rack">
      {lines.map((line) => (
        <li
          key={`${String(line.isStick)} ${String(line.lengthIn)}`}
          className="grid grid-cols-[9rem_1fr] items-center gap-4"
        >
          <span className="text-right leading-tight">
            <span className="figures text-[1.75rem] font-semibold">{line.pieces} ×</span>{' '}
            <span className="text-xl whitespace-nowrap">
              <Figure value={line.lengthIn} unit="in" />
            </span>
            {!line.isStick && <span className="block text-sm">left over</span>}
          </span>
          <span className="grid gap-[2px]" aria-hidden="true">
            {Array.from({ length: drawnOf(line) }, (_, i) => (
              <span
                key={i}
                className="h-[9px] rounded-full border border-base-content/70"
                style={{
                  width: `${String((line.lengthIn / longest) * 100)}%`,
                  backgroundImage:
                    'linear-gradient(to bottom, var(--color-base-300), var(--color-base-100) 35%, var(--color-base-300))',
                }}
              />
            ))}
            {line.pieces > drawnOf(line) && <span className="text-sm">and {line.pieces - drawnOf(line)} more</span>}
          </span>
        </li>
      ))}
    </ol>
  );
}
