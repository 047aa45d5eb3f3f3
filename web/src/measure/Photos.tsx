import { Camera } from 'lucide-react';
import { useState } from 'react';
import type { Attempt } from '../api/queries';
import { useKeep, useOutboxState } from '../queue/outboxContext';
import { shrunk } from './photo';

/** Photos of the piece. They are made small here already, so that they get through a poor signal. */
export function Photos({ attempt }: { attempt: Attempt }) {
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
