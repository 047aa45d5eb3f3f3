import { useState } from 'react';
import type { Schemas } from '../api/client';
import type { Attempt } from '../api/queries';
import { useKeep } from '../queue/outboxContext';
import { Particulars } from './Particulars';
import { Photos } from './Photos';
import { Rework } from './Rework';

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
