import { useState } from 'react';
import type { Schemas } from '../api/client';
import type { Attempt } from '../api/queries';
import { Figure } from '../entry/Figure';
import { useDisplayUnit } from '../frame/signedIn';
import { useKeep } from '../queue/outboxContext';
import { useLengthProblem } from './useLengthProblem';

/** Wasted conduit, the time it took, and a note. */
export function Particulars({ attempt }: { attempt: Attempt }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const unit = useDisplayUnit();
  const [waste, setWaste] = useState('');
  const lengthProblem = useLengthProblem();
  const [problem, setProblem] = useState<string>();
  const [minutes, setMinutes] = useState('');
  const [note, setNote] = useState('');
  const say = (body: Schemas['NewFact'], done: () => void) => {
    void keep({ kind: 'fact', body: { ...body, takenAt: new Date().toISOString() } }).then(done);
  };
  return (
    <section aria-label="Conduit, time and notes" className="grid gap-1">
      <Line
        label="Wasted conduit"
        now={attempt.bench.waste == null ? undefined : <Figure value={attempt.bench.waste.lengthIn} unit="in" />}
        value={waste}
        onChange={setWaste}
        onKeep={() => {
          const wrong = lengthProblem(waste);
          setProblem(wrong);
          if (wrong !== undefined) {
            return;
          }
          say({ fact: { kind: 'waste', text: waste.trim() }, bare: unit }, () => {
            setWaste('');
          });
        }}
      />
      {problem !== undefined && (
        <p role="alert" className="text-error">
          ✕ {problem}
        </p>
      )}
      <Line
        label="Minutes taken"
        now={attempt.bench.minutes == null ? undefined : <span className="figures">{attempt.bench.minutes}</span>}
        value={minutes}
        onChange={setMinutes}
        onKeep={() => {
          if (/^\d{1,4}$/.test(minutes.trim())) {
            say({ fact: { kind: 'time', minutes: Number(minutes) } }, () => {
              setMinutes('');
            });
          }
        }}
      />
      <Line
        label="Note"
        now={undefined}
        value={note}
        onChange={setNote}
        onKeep={() => {
          say({ fact: { kind: 'note', text: note.trim() } }, () => {
            setNote('');
          });
        }}
      />
      <ul className="text-base leading-snug">
        {attempt.bench.notes.map(({ id, text, takenBy }) => (
          <li key={id}>
            “{text}” <span className="text-sm">{takenBy}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Line({
  label,
  now,
  value,
  onChange,
  onKeep,
}: {
  label: string;
  now: React.ReactNode;
  value: string;
  onChange: (value: string) => void;
  onKeep: () => void;
}) {
  return (
    <form
      className="flex items-center gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (value.trim() !== '') {
          onKeep();
        }
      }}
    >
      <label className="flex min-w-0 flex-1 items-center gap-1">
        <span className="w-[7.2rem] shrink-0 text-base leading-tight">
          {label} {now}
        </span>
        <input
          value={value}
          maxLength={500}
          onChange={(event) => {
            onChange(event.target.value);
          }}
          className="h-10 w-full min-w-0 rounded-field border border-base-content/60 bg-base-100 px-2"
        />
      </label>
      <button
        className="btn h-10 min-h-0 border-2 border-base-content/50 px-2 text-base"
        disabled={value.trim() === ''}
      >
        Keep
      </button>
    </form>
  );
}
