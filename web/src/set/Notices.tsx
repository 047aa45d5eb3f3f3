import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Problem, Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import type { NoteSpots } from '../drawing/Elevation';
import { CureButtons } from './CureButtons';

type Cure = Schemas['CureAnswer'];

type Warning = LayoutAnswer['warnings'][number];

interface NoticesProps {
  warnings: readonly Warning[];
  problem: Problem | null;
  onCure: (cure: Cure) => void;
}

/** What is wrong or doubtful, beneath the drawing, with a button for each change that takes it away. */
export function Notices({ warnings, problem, onCure }: NoticesProps) {
  const notes = problem === null ? warned(warnings, onCure) : refusals(problem, onCure);
  return notes.length === 0 ? null : (
    <div className="flex max-h-[40%] shrink-0 flex-wrap gap-2 overflow-y-auto px-2.5 pb-2">
      {notes.map(({ key, content, wrong }) => (
        <div
          key={key}
          role={wrong ? 'alert' : 'status'}
          className={`max-w-[34rem] min-w-[14rem] flex-1 rounded-field p-2 text-base leading-snug ${
            wrong ? 'border-2 border-error bg-base-100' : 'bg-warning text-warning-content'
          }`}
        >
          {content}
        </div>
      ))}
    </div>
  );
}

interface Note {
  key: string;
  content: ReactNode;
  wrong: boolean;
}

/** A triangle on the piece for each warning that is about a place on it. */
export function WarningSigns({ warnings, spots }: { warnings: readonly Warning[]; spots: NoteSpots }) {
  return (
    <svg width={spots.width} height={spots.height} className="pointer-events-none absolute inset-0" aria-hidden="true">
      {warnings.map(({ code, atIn }) => {
        const at = atIn == null ? undefined : spots.along(atIn);
        return at === undefined ? null : (
          <path
            key={code}
            data-warning-at=""
            d={`M${String(at.x)} ${String(at.y - 11)} l11 19 h-22 z`}
            fill="var(--color-warning)"
            stroke="var(--halo)"
            className="line-medium"
          />
        );
      })}
    </svg>
  );
}

function warned(warnings: readonly Warning[], onCure: (cure: Cure) => void): Note[] {
  return warnings.map((warning) => ({
    key: warning.code,
    wrong: false,
    content: (
      <div className="flex gap-2">
        <TriangleAlert className="mt-0.5 shrink-0" size={20} aria-label="Warning" />
        <div>
          <span className="block first-letter:uppercase">{warning.reason}.</span>
          <CureButtons cures={warning.cures} onCure={onCure} />
        </div>
      </div>
    ),
  }));
}

function refusals(problem: Problem, onCure: (cure: Cure) => void): Note[] {
  const errors =
    problem.errors.length > 0 ? problem.errors : [{ pointer: '', code: 'problem', message: problem.message }];
  return errors.map((error) => ({
    key: `${error.pointer} ${error.code}`,
    wrong: true,
    content: (
      <>
        <b className="text-error">✕ Cannot be laid out.</b>
        <span className="block first-letter:uppercase">{error.reason ?? error.message}.</span>
        <CureButtons cures={error.cures ?? []} onCure={onCure} />
      </>
    ),
  }));
}
