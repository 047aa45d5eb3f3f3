import { FlipHorizontal2, Repeat2 } from 'lucide-react';
import { useState } from 'react';
import { api, body, type Problem } from '../api/client';
import { rearranged } from './run';
import type { Desk } from './useDesk';

const HOW = {
  mirrored: { name: 'Mirror it: right and left change places', icon: FlipHorizontal2 },
  reversed: { name: 'Datum at the other end', icon: Repeat2 },
} as const;

/** Mirrors a run, or puts its datum at the other end; the core says what becomes of it. */
export function Rearrange({ desk, how }: { desk: Desk; how: 'mirrored' | 'reversed' }) {
  const [problem, setProblem] = useState<string>();
  const { name, icon: Icon } = HOW[how];
  const { request } = desk;
  return (
    <>
      <button
        type="button"
        className="grid size-11 place-items-center rounded-field border-2 border-base-content/60 bg-base-100 disabled:opacity-50"
        aria-label={name}
        title={name}
        disabled={request === undefined}
        onClick={() => {
          if (request !== undefined) {
            body(api.POST('/api/calc/rearrange', { body: { layout: request, how } })).then(
              (answer) => {
                setProblem(undefined);
                desk.change(how, (before) => rearranged(before, answer));
              },
              (told: Problem) => {
                setProblem(told.message);
              },
            );
          }
        }}
      >
        <Icon size={20} />
      </button>
      {problem !== undefined && <span role="alert">{problem}</span>}
    </>
  );
}
