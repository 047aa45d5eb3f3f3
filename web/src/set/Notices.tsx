import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Problem, Schemas } from '../api/client';
import type { LayoutAnswer } from '../api/queries';
import type { Point } from '../drawing/geometry';
import type { NoteSpots } from '../drawing/RunElevation';
import { spread } from '../drawing/runSpots';
import { CureButtons } from './CureButtons';

type Cure = Schemas['CureAnswer'];

interface NoticesProps {
  plan: LayoutAnswer | undefined;
  problem: Problem | null;
  onCure: (cure: Cure) => void;
  /** A stub leaves room beside it, everything else below it. */
  corner: 'top' | 'bottom';
  /** Where on the drawing something is; without a drawing there is only the text. */
  spots: NoteSpots | undefined;
}

interface Note {
  key: string;
  at: Point | undefined;
  content: ReactNode;
  wrong: boolean;
}

const CARD = 320;
const GAP = 10;
/** Room for the choice of view in the other corner. */
const VIEWS = 340;

/** What is wrong or doubtful, at its place on the drawing, with a button for each change that takes it away. */
export function Notices({ plan, problem, onCure, corner, spots }: NoticesProps) {
  const notes = problem === null ? warnings(plan, onCure, spots) : refusals(problem, onCure, spots);
  if (notes.length === 0) {
    return null;
  }
  const width = spots?.width ?? CARD;
  const stacked = corner === 'top' || width < CARD * 2;
  const xs = stacked
    ? notes.map(() => width - CARD / 2 - GAP)
    : spread(
        notes.map(({ at }) => at?.x ?? width - CARD / 2),
        CARD + GAP,
        CARD / 2 + (width > VIEWS + CARD * 2 ? VIEWS : GAP),
        width - CARD / 2 - GAP,
      );
  return (
    <>
      {spots !== undefined && (
        <svg
          width={spots.width}
          height={spots.height}
          className="pointer-events-none absolute inset-0"
          aria-hidden="true"
        >
          {notes.map(({ key, at, wrong }, i) =>
            at === undefined ? null : (
              <Pointer
                key={key}
                at={at}
                to={corner === 'top' ? { x: width - CARD - GAP, y: 40 } : { x: xs[i] ?? 0, y: spots.height - 40 }}
                colour={wrong ? 'var(--color-error)' : 'var(--color-warning)'}
              />
            ),
          )}
        </svg>
      )}
      <div
        className={
          stacked
            ? `absolute right-2.5 z-10 grid max-w-[calc(100%-1.25rem)] gap-2 ${corner === 'top' ? 'top-2.5' : 'bottom-2.5'}`
            : 'absolute inset-x-0 bottom-2.5 z-10 h-0'
        }
        style={stacked ? { width: CARD } : undefined}
      >
        {notes.map(({ key, content, wrong }, i) => (
          <div
            key={key}
            role={wrong ? 'alert' : 'status'}
            className={`rounded-field p-2 text-base leading-snug ${
              wrong ? 'border-2 border-error bg-base-100' : 'bg-warning text-warning-content'
            } ${stacked ? '' : 'absolute bottom-0'}`}
            style={stacked ? undefined : { width: CARD, left: (xs[i] ?? 0) - CARD / 2 }}
          >
            {content}
          </div>
        ))}
      </div>
    </>
  );
}

/** A triangle where it is, and a line to what is said of it. */
function Pointer({ at, to, colour }: { at: Point; to: Point; colour: string }) {
  return (
    <g data-warning-at="">
      <line x1={at.x} y1={at.y} x2={to.x} y2={to.y} stroke={colour} className="line-medium" />
      <path
        d={`M${String(at.x)} ${String(at.y - 11)} l11 19 h-22 z`}
        fill={colour}
        stroke="var(--halo)"
        className="line-medium"
      />
    </g>
  );
}

function warnings(plan: LayoutAnswer | undefined, onCure: (cure: Cure) => void, spots: NoteSpots | undefined): Note[] {
  return (plan?.warnings ?? []).map((warning) => ({
    key: warning.code,
    at: warning.atIn == null ? spots?.input(inputOf(warning.pointer)) : spots?.along(warning.atIn),
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

function refusals(problem: Problem, onCure: (cure: Cure) => void, spots: NoteSpots | undefined): Note[] {
  const errors =
    problem.errors.length > 0 ? problem.errors : [{ pointer: '', code: 'problem', message: problem.message }];
  return errors.map((error) => ({
    key: `${error.pointer} ${error.code}`,
    at: spots?.input(inputOf(error.pointer)),
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

function inputOf(pointer: string): string {
  return pointer.split('/').at(-1) ?? '';
}
