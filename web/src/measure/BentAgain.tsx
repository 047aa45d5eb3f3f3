import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import type { Attempt } from '../api/queries';
import { Dialog } from '../frame/Dialog';
import { useKeep } from '../queue/outboxContext';
import { canBeBentAgain, stageOf } from './stages';

type Change = Schemas['RebentView']['change'];

const CHANGES: readonly { value: Change | undefined; name: string }[] = [
  { value: undefined, name: 'as it was' },
  { value: 'eased', name: 'eased out' },
  { value: 'added', name: 'bent on' },
];

/** The piece went back to the bender: it is measured again, and what was read stays as it was first bent. */
export function BentAgain({
  attempt,
  advised = {},
}: {
  attempt: Attempt;
  /** What advice says to do, by number of the bend. */
  advised?: Readonly<Record<number, Change>>;
}) {
  const [open, setOpen] = useState(false);
  if (!canBeBentAgain(attempt)) {
    return null;
  }
  return (
    <>
      <button
        type="button"
        className={
          Object.keys(advised).length === 0
            ? 'min-h-11 justify-self-start text-left underline underline-offset-4'
            : 'btn h-11 min-h-0 border-2 border-base-content/60 text-base'
        }
        onClick={() => {
          setOpen(true);
        }}
      >
        Bent again: measure it anew…
      </button>
      {open && (
        <WhichBends
          attempt={attempt}
          advised={advised}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

function WhichBends({
  attempt,
  advised,
  onClose,
}: {
  attempt: Attempt;
  advised: Readonly<Record<number, Change>>;
  onClose: () => void;
}) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const navigate = useNavigate();
  const [changes, setChanges] = useState<Readonly<Record<number, Change | undefined>>>(advised);
  const bends = attempt.plan.marks.map(({ number }) => number);
  const done = bends.flatMap((bend) => {
    const change = changes[bend];
    return change === undefined ? [] : [{ bend, change }];
  });
  return (
    <Dialog title="What was bent again?" onClose={onClose}>
      <div className="grid gap-3">
        {bends.map((bend) => {
          const name = bends.length === 1 ? 'The bend' : `Bend ${String(bend)}`;
          return (
            <fieldset key={bend} className="flex flex-wrap items-center gap-2">
              <legend className="float-left w-24 pt-2 text-lg max-sm:float-none max-sm:w-full max-sm:pt-0">
                {name}
              </legend>
              {CHANGES.map(({ value, name: word }) => (
                <button
                  key={word}
                  type="button"
                  aria-pressed={changes[bend] === value}
                  aria-label={`${name} ${word}`}
                  className={`min-h-11 rounded-field border-2 px-3 text-base ${changes[bend] === value ? 'border-base-content bg-base-content text-base-100' : 'border-base-content/60'}`}
                  onClick={() => {
                    setChanges((before) => ({ ...before, [bend]: value }));
                  }}
                >
                  {word}
                </button>
              ))}
            </fieldset>
          );
        })}
        <p className="leading-snug">
          What was read stays on record as the piece was first bent: its cause and the habits of whoever bent it are
          seen there. The score is of the piece as it is then.
        </p>
        <button
          type="button"
          className="btn h-12 btn-neutral text-lg"
          disabled={done.length === 0}
          onClick={() => {
            void keep({
              kind: 'fact',
              body: {
                fact: { kind: 'stage', number: stageOf(attempt) + 1, bends: done },
                takenAt: new Date().toISOString(),
              },
            }).then(() => {
              onClose();
              void navigate(`/measure/${attempt.id}`);
            });
          }}
        >
          Measure it anew
        </button>
      </div>
    </Dialog>
  );
}
