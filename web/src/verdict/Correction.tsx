import { type SyntheticEvent, useEffect, useRef, useState } from 'react';
import type { Attempt, Feature } from '../api/queries';
import { Problem } from '../api/client';
import { useBenchCore } from '../benchcore/useBenchCore';
import { featureName } from '../entry/features';
import { QuantityField } from '../entry/QuantityField';
import { useDisplayUnit } from '../frame/signedIn';
import { takenWords } from '../measure/datum';
import { takenOff } from '../measure/level';
import { useKeep } from '../queue/outboxContext';
import { kindOfUnit } from '../entry/figures';

interface CorrectionProps {
  attempt: Attempt;
  feature: Feature;
  bends: number;
  onDone: () => void;
}

/** What happens, in one press. */
const REASONS = ['Tape tilted', 'Misread', 'Wrong feature', 'Typed wrong'] as const;

/** Corrects a reading: the right figure and why. The old reading stays on record. */
export function Correction({ attempt, feature, bends, onDone }: CorrectionProps) {
  const unit = useDisplayUnit();
  const core = useBenchCore();
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const [text, setText] = useState('');
  const [reason, setReason] = useState('');
  const [problem, setProblem] = useState<Problem | null>(null);
  const input = useRef<HTMLInputElement>(null);
  // Whoever pressed Correct types at once.
  useEffect(() => {
    input.current?.focus();
    input.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    const said = core?.read(feature.id, text, unit);
    if (said === undefined || feature.reading == null) {
      return;
    }
    if ('problem' in said) {
      const { suggestion } = said;
      setProblem(
        new Problem(400, said.problem, [
          { pointer: '/text', code: '', message: said.problem, ...(suggestion === '' ? {} : { suggestion }) },
        ]),
      );
      return;
    }
    void keep({
      kind: 'reading',
      body: {
        feature: feature.id,
        text: text.trim(),
        bare: unit,
        corrects: feature.reading.id,
        reason: reason.trim(),
        takenWith: 'keys',
        takenAt: new Date().toISOString(),
        stage: feature.reading.stage,
        // As what it corrects: by protractor, or by level before anybody read the floor.
        ...(takenOff(attempt, feature.id) !== 0 && feature.reading.level == null ? { byLevel: false } : {}),
        ...(feature.taken === undefined ? {} : { from: feature.taken.from }),
      },
    }).then(onDone);
  };
  return (
    <form
      onSubmit={submit}
      className="grid gap-2 border-t-2 border-base-content/60 pt-2"
      aria-label={`Correct ${featureName(feature.id, bends)}`}
    >
      <QuantityField
        label={`${featureName(feature.id, bends)}, right reading`}
        kind={kindOfUnit(feature.unit)}
        text={text}
        onText={(next) => {
          setProblem(null);
          setText(next);
        }}
        problem={problem}
        inputRef={input}
        place="list"
      />
      {feature.taken !== undefined && <p className="leading-tight">Measured {takenWords(feature.taken)}.</p>}
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
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Usual reasons">
        {REASONS.map((usual) => (
          <button
            key={usual}
            type="button"
            aria-pressed={reason === usual}
            className={`min-h-11 rounded-field border-2 px-2 ${reason === usual ? 'border-base-content bg-base-content text-base-100' : 'border-base-content/60 bg-base-100'}`}
            onClick={() => {
              setReason(usual);
            }}
          >
            {usual}
          </button>
        ))}
      </div>
      <div className="flex gap-2">
        <button className="btn h-11 flex-1 btn-neutral" disabled={text.trim() === '' || reason.trim() === ''}>
          Keep the correction
        </button>
        <button type="button" className="btn h-11 border-2 border-base-content/60" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  );
}
