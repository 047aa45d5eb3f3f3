import type { Schemas } from '../api/client';
import { situationOf } from '../bends/situations';
import { Dialog } from '../frame/Dialog';

/** Picks where the conduit has to go; that proposes the bend. */
export function SituationPicker({
  situations,
  chosen,
  onPick,
  onClose,
}: {
  situations: readonly Schemas['SituationAnswer'][];
  chosen: string;
  onPick: (situation: Schemas['SituationAnswer']) => void;
  onClose: () => void;
}) {
  return (
    <Dialog title="Where does the conduit go?" onClose={onClose}>
      <ul className="grid grid-cols-3 gap-2 max-sm:grid-cols-2">
        {situations.map((situation) => (
          <li key={situation.id}>
            <button
              type="button"
              aria-pressed={situation.id === chosen}
              className={`grid h-full w-full justify-items-center gap-1 rounded-field border-2 p-2 text-center leading-tight hover:bg-base-200 ${
                situation.id === chosen ? 'border-primary bg-base-200' : 'border-base-content/40'
              }`}
              onClick={() => {
                onPick(situation);
              }}
            >
              <Sketch id={situation.id} />
              {situation.words}
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}

function Sketch({ id }: { id: string }) {
  const sketch = situationOf(id)?.sketch;
  return (
    <svg viewBox="0 0 64 40" width={112} height={70} aria-hidden="true" fill="none">
      <path d={sketch?.there ?? ''} stroke="var(--line)" className="line-medium" />
      <path d={sketch?.conduit ?? ''} stroke="var(--steel-edge)" strokeWidth={5} strokeLinejoin="round" />
      <path d={sketch?.conduit ?? ''} stroke="var(--steel-fill)" strokeWidth={2.6} strokeLinejoin="round" />
    </svg>
  );
}
