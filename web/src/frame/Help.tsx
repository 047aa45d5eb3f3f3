import { useEffect, useRef } from 'react';

const KEYS: readonly (readonly [string, string])[] = [
  ['Alt 1 … 5', 'Floor, Set, Measure, Progress, Shed'],
  ['Enter', 'Keep a reading and go on to the next'],
  ['Enter, empty', 'Take what the claimed gauge shows'],
  ['↑ ↓', 'In a field: one division up or down'],
  ['Alt N', 'While measuring: whoever is next'],
  ['A … Z, 0 … 9', 'On the floor: find a name or a sheet’s code'],
  ['/', 'Find somebody of any cohort (outside a field)'],
  ['Ctrl Z, Ctrl Shift Z', 'On the desk: take the last change back, bring it again'],
  ['?', 'This help (outside a field)'],
  ['Esc', 'Close this'],
];

/** The keys, and how lengths may be written. */
export function Help({ open, onClose }: { open: boolean; onClose: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (open) {
      dialog.current?.showModal();
    }
  }, [open]);
  return (
    <dialog ref={dialog} className="modal" onClose={onClose} aria-label="Help">
      <div className="modal-box bg-base-100 text-base">
        <h2 className="text-2xl">Keys</h2>
        <dl className="mt-2 grid grid-cols-[9rem_1fr] gap-y-1">
          {KEYS.map(([key, what]) => (
            <div key={key} className="contents">
              <dt className="figures">{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
        <h2 className="mt-4 text-2xl">Lengths</h2>
        <p>
          Write <b>14 3/8</b>, <b>14-3/8</b>, <b>14.375</b>, <b>1&apos; 2 3/8&quot;</b>, <b>365mm</b> or <b>36.5 cm</b>.
          A bare number is in the unit chosen at the foot of the rail; a fraction is always of an inch. On the desk a
          length may be two readings of a tape: <b>71 1/4 − 40 5/8 − 1/8</b>.
        </p>
        <form method="dialog" className="mt-4">
          <button className="btn btn-neutral">Close</button>
        </form>
      </div>
    </dialog>
  );
}
