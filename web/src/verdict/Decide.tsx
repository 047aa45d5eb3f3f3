import { useState } from 'react';
import { type Attempt, type Feature, useDecide } from '../api/queries';
import { featureName } from '../entry/features';
import { quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';

/** Two people read a feature differently: both readings are there, and somebody says which one counts. */
export function Decide({ attempt, feature }: { attempt: Attempt; feature: Feature }) {
  const decide = useDecide(attempt.id);
  const unit = useDisplayUnit();
  const name = featureName(feature.id, attempt.plan.marks.length);
  const keep = (id: string) => {
    const others = feature.rivals.filter((rival) => rival.id !== id);
    const chosen = feature.rivals.find((rival) => rival.id === id);
    others.forEach((other) => {
      decide.mutate({
        kind: 'setAside',
        recordId: other.id,
        reason: `The reading ${chosen?.typed ?? ''} of ${chosen?.takenBy ?? ''} counts`,
      });
    });
  };
  return (
    <section
      aria-label={`Which reading of ${name} counts?`}
      className="grid gap-1 rounded-field border-2 border-warning-content bg-warning p-2 text-warning-content"
    >
      <h2 className="text-lg leading-tight font-semibold">
        <span aria-hidden="true">▲ </span>Which reading of {name} counts?
      </h2>
      {feature.rivals.map((rival) => (
        <button
          key={rival.id}
          type="button"
          className="flex min-h-12 items-center justify-between gap-2 rounded-field border-2 border-warning-content bg-base-100 px-2 text-left text-base-content"
          disabled={decide.isPending}
          onClick={() => {
            keep(rival.id);
          }}
        >
          <span className="figures text-2xl">
            {rival.value == null ? rival.typed : quantityText(rival.value, feature.unit, unit, { lines: 32 })}
          </span>
          <span className="text-right text-sm leading-tight">
            {rival.takenBy}
            <span className="block">
              {new Date(rival.takenAt).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}
              {rival.instrument != null && `, ${rival.instrument}`}
            </span>
          </span>
        </button>
      ))}
      {decide.error !== null && <p role="alert">✕ {decide.error.message}</p>}
    </section>
  );
}

/** Verifies the attempt, which locks it; or opens it again, with a reason. */
export function Verification({ attempt }: { attempt: Attempt }) {
  const decide = useDecide(attempt.id);
  const [opening, setOpening] = useState(false);
  const [reason, setReason] = useState('');
  const { seal } = attempt.bench;
  const sealed = seal?.sealed === true;
  if (!sealed && attempt.score == null) {
    return null;
  }
  return (
    <section aria-label="Verification" className="grid gap-1">
      {seal != null && (
        <p className="leading-tight">
          {sealed ? '● Verified and locked by ' : '○ Opened again by '}
          {seal.setBy}, {new Date(seal.setAt).toLocaleDateString([], { day: 'numeric', month: 'short' })}
          {!sealed && <span className="block italic">{seal.reason}</span>}
        </p>
      )}
      {!sealed && (
        <button
          type="button"
          className="btn h-11 min-h-0 border-2 border-base-content/60 text-base"
          disabled={decide.isPending}
          onClick={() => {
            decide.mutate({ kind: 'seal', sealed: true });
          }}
        >
          Verify and lock
        </button>
      )}
      {sealed && !opening && (
        <button
          type="button"
          className="min-h-11 text-left underline underline-offset-4"
          onClick={() => {
            setOpening(true);
          }}
        >
          Open it again…
        </button>
      )}
      {sealed && opening && (
        <form
          className="flex gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            decide.mutate(
              { kind: 'seal', sealed: false, reason: reason.trim() },
              {
                onSuccess: () => {
                  setOpening(false);
                },
              },
            );
          }}
        >
          <input
            aria-label="Why is it opened again?"
            placeholder="why?"
            value={reason}
            maxLength={200}
            onChange={(event) => {
              setReason(event.target.value);
            }}
            className="h-11 min-w-0 flex-1 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
          />
          <button className="btn h-11 min-h-0 btn-neutral text-base" disabled={reason.trim() === ''}>
            Open it
          </button>
        </form>
      )}
      {decide.error !== null && (
        <p role="alert" className="text-error">
          ✕ {decide.error.message}
        </p>
      )}
    </section>
  );
}
