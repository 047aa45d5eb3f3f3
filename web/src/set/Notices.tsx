import { TriangleAlert } from 'lucide-react';
import type { Problem, Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';

type Cure = Schemas['CureAnswer'];

interface NoticesProps {
  plan: LayoutAnswer | undefined;
  problem: Problem | null;
  onCure: (cure: Cure) => void;
  /** Which corner of the drawing is free. */
  corner: 'top' | 'bottom';
}

/** What is wrong or doubtful, on the drawing: why it cannot be laid out, or what to think about, and what to change. */
export function Notices({ plan, problem, onCure, corner }: NoticesProps) {
  return (
    <div
      className={`absolute right-3 z-10 ${corner === 'top' ? 'top-3' : 'bottom-3'} grid w-[24rem] max-w-[calc(100%-1.5rem)] gap-2 text-base leading-snug`}
    >
      {problem !== null && (
        <div role="alert" className="rounded-field border-2 border-error bg-base-100 p-2.5">
          <b className="text-error">✕ Cannot be laid out.</b>
          {problem.errors.map((error) => (
            <div key={`${error.pointer} ${error.code}`}>
              <span className="block first-letter:uppercase">{error.reason ?? error.message}.</span>
              <Cures cures={error.cures ?? []} onCure={onCure} />
            </div>
          ))}
          {problem.errors.length === 0 && problem.message}
        </div>
      )}
      {problem === null &&
        plan?.warnings.map((warning) => (
          <div
            key={warning.code}
            role="status"
            className="flex gap-2 rounded-field bg-warning p-2 text-warning-content"
          >
            <TriangleAlert className="mt-0.5 shrink-0" size={20} aria-label="Warning" />
            <div>
              <span className="block first-letter:uppercase">{warning.reason}.</span>
              <Cures cures={warning.cures} onCure={onCure} />
            </div>
          </div>
        ))}
    </div>
  );
}

/** Each cure alone takes the fault away; the core tried it. */
function Cures({ cures, onCure }: { cures: readonly Cure[]; onCure: (cure: Cure) => void }) {
  return (
    <span className="mt-1 flex flex-wrap gap-1.5">
      {cures
        .filter(({ value, option }) => value != null || option != null)
        .map((cure) => (
          <button
            key={cure.pointer}
            type="button"
            className="min-h-9 rounded-field border-2 border-current px-2 text-left leading-tight font-semibold first-letter:uppercase hover:underline"
            onClick={() => {
              onCure(cure);
            }}
          >
            {cure.text}
          </button>
        ))}
    </span>
  );
}
