import { type SyntheticEvent, useState } from 'react';
import { type Feature, useKeepReading } from '../api/queries';
import { featureName } from '../entry/features';
import { QuantityField } from '../entry/QuantityField';
import { useDisplayUnit } from '../frame/signedIn';

/** A new row over an old reading: the figure, and why. */
export function Correction({
  attemptId,
  feature,
  bends,
  onDone,
}: {
  attemptId: string;
  feature: Feature;
  /** How many bends the piece has. */
  bends: number;
  onDone: () => void;
}) {
  const unit = useDisplayUnit();
  const keep = useKeepReading(attemptId);
  const [text, setText] = useState('');
  const [reason, setReason] = useState('');
  const [key] = useState(() => crypto.randomUUID());
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    keep.mutate(
      {
        key,
        feature: feature.id,
        text,
        bare: unit,
        reason,
        ...(feature.reading == null ? {} : { corrects: feature.reading.id }),
      },
      { onSuccess: onDone },
    );
  };
  const aboutText = keep.error?.errors.some(({ pointer }) => pointer === '/text') === true;
  return (
    <form
      onSubmit={submit}
      className="grid gap-2 border-t-2 border-base-content/60 pt-2"
      aria-label={`Correct ${featureName(feature.id, bends)}`}
    >
      <QuantityField
        label={`${featureName(feature.id, bends)}, right reading`}
        kind={feature.unit === 'deg' ? 'angle' : 'length'}
        text={text}
        onText={(next) => {
          keep.reset();
          setText(next);
        }}
        problem={aboutText ? keep.error : null}
        inputRef={(input) => {
          if (input !== null && document.activeElement === document.body) {
            input.focus();
          }
        }}
        place="list"
      />
      <label className="grid gap-1">
        Why is it corrected?
        <input
          value={reason}
          onChange={(event) => {
            setReason(event.target.value);
          }}
          maxLength={200}
          className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
        />
      </label>
      {keep.error !== null && !aboutText && (
        <p role="alert" className="text-error">
          ✕ {keep.error.message}
        </p>
      )}
      <div className="flex gap-2">
        <button
          className="btn h-11 flex-1 btn-neutral"
          disabled={text.trim() === '' || reason.trim() === '' || keep.isPending}
        >
          Keep the correction
        </button>
        <button type="button" className="btn h-11 border-2 border-base-content/60" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  );
}
