import { BUTTON } from '../library/button';

/** The way through a long list, a page at a time. */
export function Pages({
  from,
  size,
  all,
  onChange,
}: {
  from: number;
  size: number;
  all: number;
  onChange: (from: number) => void;
}) {
  if (all <= size && from === 0) {
    return null;
  }
  return (
    <nav aria-label="Pages" className="flex items-center gap-3 border-t border-base-300 px-4 py-2 text-lg">
      <button
        type="button"
        className={BUTTON}
        disabled={from === 0}
        onClick={() => {
          onChange(Math.max(0, from - size));
        }}
      >
        Before
      </button>
      <span className="figures">
        {from + 1} to {Math.min(from + size, all)} of {all}
      </span>
      <button
        type="button"
        className={BUTTON}
        disabled={from + size >= all}
        onClick={() => {
          onChange(from + size);
        }}
      >
        After
      </button>
    </nav>
  );
}
