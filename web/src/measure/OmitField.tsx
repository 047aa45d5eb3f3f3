import { useState } from 'react';

const REASONS = ['cannot be reached', 'no tool at hand', 'ring wiped off', 'piece was cut'] as const;

/** “Not measured”, with the reason in one tap or in words. */
export function OmitField({ name, onOmit }: { name: string; onOmit: (why: string) => void }) {
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState('');
  if (!open) {
    return (
      <button
        type="button"
        className="min-h-9 shrink-0 text-sm underline underline-offset-4"
        onClick={() => {
          setOpen(true);
        }}
      >
        Not measured…
      </button>
    );
  }
  return (
    <form
      aria-label={`Why is ${name} not measured?`}
      className="grid w-full gap-1 rounded-field border-2 border-base-content/60 bg-base-100 p-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (why.trim() !== '') {
          setOpen(false);
          onOmit(why.trim());
        }
      }}
    >
      <span className="leading-tight">Why is {name} not measured?</span>
      <span className="flex flex-wrap gap-1">
        {REASONS.map((reason) => (
          <button
            key={reason}
            type="button"
            className="btn h-11 min-h-0 border-2 border-base-content/60 px-2 text-sm"
            onClick={() => {
              setOpen(false);
              onOmit(reason);
            }}
          >
            {reason}
          </button>
        ))}
      </span>
      <span className="flex gap-1">
        <input
          aria-label="Another reason"
          placeholder="another reason"
          value={why}
          maxLength={200}
          onChange={(event) => {
            setWhy(event.target.value);
          }}
          className="h-11 min-w-0 flex-1 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
        />
        <button className="btn h-11 min-h-0 btn-neutral px-2 text-base" disabled={why.trim() === ''}>
          Keep
        </button>
        <button
          type="button"
          className="btn h-11 min-h-0 btn-ghost px-2 text-base"
          onClick={() => {
            setOpen(false);
          }}
        >
          Back
        </button>
      </span>
    </form>
  );
}
