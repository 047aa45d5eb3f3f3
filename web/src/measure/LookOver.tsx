import { Camera } from 'lucide-react';
import { useState } from 'react';
import type { Attempt } from '../api/queries';
import type { Schemas } from '../api/client';
import { Figure } from '../entry/Figure';
import { useDisplayUnit } from '../frame/signedIn';
import { useKeep, useOutboxState } from '../queue/outboxContext';
import { shrunk } from './photo';
import { useLengthProblem } from './useLengthProblem';

type Point = Schemas['PointView'];

/** What is looked over besides the sizes; re-bending, waste, time, notes and photos. */
export function LookOver({ attempt }: { attempt: Attempt }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const find = (point: Point, result: 'good' | 'fault', note?: string) => {
    if (point.finding?.result === result && note === undefined) {
      return;
    }
    // Of two findings that differ, the one that is pressed counts.
    const agreeing = point.rivals.some((rival) => rival.result === result);
    if (agreeing) {
      point.rivals
        .filter((rival) => rival.result !== result)
        .forEach((rival) => {
          void keep({ kind: 'setAside', recordId: rival.id, reason: `${point.good}: looked at again` });
        });
      return;
    }
    void keep({
      kind: 'fact',
      body: {
        fact: { kind: 'finding', point: point.point, result, note: note ?? null },
        corrects: point.finding?.id ?? null,
        takenAt: new Date().toISOString(),
      },
    });
  };
  const open = attempt.bench.points.filter(({ finding, rivals }) => finding == null && rivals.length === 0);
  return (
    <div className="grid content-start gap-2">
      <ul className="grid">
        {attempt.bench.points.map((point) => (
          <PointRow key={point.point} point={point} onFind={find} />
        ))}
      </ul>
      {open.length > 0 && (
        <button
          type="button"
          className="btn h-11 min-h-0 border-2 border-base-content/60 text-base"
          onClick={() => {
            open.forEach((point) => {
              find(point, 'good');
            });
          }}
        >
          {open.length === attempt.bench.points.length ? 'All good' : 'The rest is good'}
        </button>
      )}
      <Rework attempt={attempt} />
      <Particulars attempt={attempt} />
      <Photos attempt={attempt} />
    </div>
  );
}

function PointRow({
  point,
  onFind,
}: {
  point: Point;
  onFind: (point: Point, result: 'good' | 'fault', note?: string) => void;
}) {
  const result = point.finding?.result;
  const [note, setNote] = useState(point.finding?.note ?? '');
  return (
    <li className="border-b border-base-300 py-0.5">
      <div className="flex items-center gap-1">
        <span className="min-w-0 flex-1 leading-tight">
          {point.good}
          {point.own != null && <span className="block text-sm">trainee: {point.own ? '● good' : '✕ not good'}</span>}
          {result === 'fault' && (
            <span className="block text-sm text-error">
              ✕ {point.critical ? 'fails the piece, ' : ''}−{point.deduction}
            </span>
          )}
          {point.rivals.length > 0 && (
            <span className="block text-sm text-error">
              ▲ two people disagree:{' '}
              {point.rivals
                .map(({ takenBy, result: found }) => `${takenBy} ${found === 'fault' ? '✕' : '●'}`)
                .join(', ')}
              . Which counts?
            </span>
          )}
        </span>
        <button
          type="button"
          aria-label={`${point.good}: good`}
          aria-pressed={result === 'good'}
          className={`size-11 shrink-0 rounded-field border-2 text-xl ${result === 'good' ? 'border-success bg-success text-success-content' : 'border-base-content/50'}`}
          onClick={() => {
            onFind(point, 'good');
          }}
        >
          ●
        </button>
        <button
          type="button"
          aria-label={`${point.good}: fault`}
          aria-pressed={result === 'fault'}
          className={`size-11 shrink-0 rounded-field border-2 text-xl ${result === 'fault' ? 'border-error bg-error text-error-content' : 'border-base-content/50'}`}
          onClick={() => {
            onFind(point, 'fault');
          }}
        >
          ✕
        </button>
      </div>
      {result === 'fault' && (
        <input
          aria-label={`Note on: ${point.good}`}
          placeholder="where, how bad"
          value={note}
          maxLength={200}
          onChange={(event) => {
            setNote(event.target.value);
          }}
          onBlur={() => {
            if (note.trim() !== (point.finding?.note ?? '')) {
              onFind(point, 'fault', note.trim());
            }
          }}
          className="mt-0.5 h-9 w-full rounded-field border border-base-content/60 bg-base-100 px-2 text-base"
        />
      )}
    </li>
  );
}

/** How often each bend went back into the shoe: eased out or bent on. */
function Rework({ attempt }: { attempt: Attempt }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const bends = attempt.plan.marks.map(({ number }) => number);
  const count = (bend: number, change: 'eased' | 'added') =>
    attempt.bench.rework.filter((each) => each.bend === bend && each.change === change).length;
  const last = attempt.bench.rework.at(-1);
  return (
    <section aria-label="Re-bending">
      <h3 className="text-base font-semibold">Re-bent</h3>
      {bends.map((bend) => (
        <div key={bend} className="flex items-center gap-1 py-0.5">
          <span className="flex-1">{bends.length === 1 ? 'The bend' : `Bend ${String(bend)}`}</span>
          {(['eased', 'added'] as const).map((change) => (
            <button
              key={change}
              type="button"
              className="btn h-11 min-h-0 border-2 border-base-content/50 px-2 text-base"
              aria-label={`Bend ${String(bend)} ${change === 'eased' ? 'eased out' : 'bent on'} once more`}
              onClick={() => {
                void keep({
                  kind: 'fact',
                  body: { fact: { kind: 'rework', bend, change }, takenAt: new Date().toISOString() },
                });
              }}
            >
              {change === 'eased' ? 'eased' : 'bent on'} <span className="figures">{count(bend, change)}</span>
            </button>
          ))}
        </div>
      ))}
      {last !== undefined && (
        <button
          type="button"
          className="min-h-9 text-base underline underline-offset-4"
          onClick={() => {
            void keep({ kind: 'setAside', recordId: last.id, reason: 'pressed by mistake' });
          }}
        >
          Take the last one back
        </button>
      )}
    </section>
  );
}

/** Wasted conduit, the time it took, and a note. */
function Particulars({ attempt }: { attempt: Attempt }) {
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

/** Photos of the piece. They are made small here already, so that they get through a poor signal. */
function Photos({ attempt }: { attempt: Attempt }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const { entries } = useOutboxState();
  const [problem, setProblem] = useState<string>();
  const waiting = entries.filter((entry) => entry.attemptId === attempt.id && entry.task.kind === 'photo').length;
  return (
    <section aria-label="Photos">
      <label className="btn h-11 min-h-0 border-2 border-base-content/60 text-base has-focus-visible:outline-3">
        <Camera size={20} aria-hidden="true" /> Photo
        <input
          type="file"
          accept="image/jpeg,image/png"
          capture="environment"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file === undefined) {
              return;
            }
            setProblem(undefined);
            shrunk(file).then(
              (small) => keep({ kind: 'photo', file: small, about: '', note: '', takenAt: new Date().toISOString() }),
              () => {
                setProblem('This is no photo that can be read; take it as a JPEG or a PNG.');
              },
            );
          }}
        />
      </label>
      {problem !== undefined && (
        <p role="alert" className="text-error">
          ✕ {problem}
        </p>
      )}
      {waiting > 0 && <p role="status">{waiting} on the way</p>}
      <ul className="mt-1 grid grid-cols-3 gap-1">
        {attempt.bench.photos.map((photo) => (
          <li key={photo.id}>
            <a href={`/api/attempts/${attempt.id}/photos/${photo.id}`} target="_blank" rel="noreferrer">
              <img
                src={`/api/attempts/${attempt.id}/photos/${photo.id}`}
                alt={`Photo by ${photo.takenBy}${photo.note === '' ? '' : `: ${photo.note}`}`}
                className="h-20 w-full rounded-field border border-base-300 object-cover"
              />
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}
