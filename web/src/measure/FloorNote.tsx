import { type SyntheticEvent, useState } from 'react';
import type { Attempt } from '../api/queries';
import { useBenchCore } from '../benchcore/useBenchCore';
import { useKeep } from '../queue/outboxContext';
import { quantityText } from '../entry/figures';
import { floorUnder } from './level';

/**
 * What the level reads on the floor, beside an angle that is read with it: read once for the piece or for the bench, and taken off
 * from then on. Whoever reads by protractor says so.
 */
export function FloorNote({
  attempt,
  protractor,
  onProtractor,
}: {
  attempt: Attempt;
  protractor: boolean;
  onProtractor: (by: boolean) => void;
}) {
  const [asking, setAsking] = useState(false);
  const floor = floorUnder(attempt);
  if (asking) {
    return (
      <FloorForm
        attempt={attempt}
        onDone={() => {
          setAsking(false);
        }}
      />
    );
  }
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-2 leading-tight">
      {floor === undefined ? (
        <span>By level? Lay it on the floor first.</span>
      ) : (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={!protractor}
            onChange={(event) => {
              onProtractor(!event.target.checked);
            }}
          />
          by level, floor {signed(floor.deg)} off
        </label>
      )}
      <button
        type="button"
        className="min-h-11 underline underline-offset-4"
        onClick={() => {
          setAsking(true);
        }}
      >
        {floor === undefined ? 'Floor…' : 'Read again'}
      </button>
    </div>
  );
}

function signed(degrees: number): string {
  return `${degrees > 0 ? '+' : ''}${quantityText(degrees, 'deg', 'in')}`;
}

function FloorForm({ attempt, onDone }: { attempt: Attempt; onDone: () => void }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const core = useBenchCore();
  const [text, setText] = useState('');
  const [bench, setBench] = useState(true);
  const [wrong, setWrong] = useState<string>();
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    const read = core?.floor(text);
    if (read === undefined || 'problem' in read) {
      setWrong(read?.problem);
      return;
    }
    void keep({
      kind: 'fact',
      body: {
        fact: { kind: 'floor', text: text.trim(), bench },
        takenAt: new Date().toISOString(),
      },
    }).then(onDone);
  };
  return (
    <form
      onSubmit={submit}
      aria-label="Floor"
      className="grid gap-1 border-l-4 border-base-content/60 pl-2 leading-tight"
    >
      <label className="flex items-center gap-2">
        The level on the floor reads
        <input
          ref={focused}
          value={text}
          inputMode="text"
          placeholder="+½"
          maxLength={12}
          className="figures h-11 w-24 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-xl"
          onChange={(event) => {
            setWrong(undefined);
            setText(event.target.value);
          }}
        />
        °
      </label>
      <p className="text-sm">+ where the floor rises the way the bend does, − where it falls.</p>
      <label className="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={bench}
          onChange={(event) => {
            setBench(event.target.checked);
          }}
        />
        for all that is measured at bench {attempt.trainee.bench} today
      </label>
      {wrong !== undefined && (
        <p role="alert" className="text-error">
          ✕ {wrong}
        </p>
      )}
      <div className="flex gap-2">
        <button className="btn h-11 min-h-0 flex-1 btn-neutral text-base" disabled={text.trim() === ''}>
          Keep the floor
        </button>
        <button type="button" className="btn h-11 min-h-0 border-2 border-base-content/60 text-base" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  );
}

/** Whoever asked for it types at once. */
function focused(input: HTMLInputElement | null): void {
  input?.focus();
}
