import { TriangleAlert } from 'lucide-react';
import type { Problem } from '../api/client';
import type { LayoutAnswer } from '../api/queries';

/** What is wrong or doubtful, on the drawing: why it cannot be laid out, or what to think about. */
export function Notices({ plan, problem }: { plan: LayoutAnswer | undefined; problem: Problem | null }) {
  return (
    <div className="absolute top-3 right-3 grid w-[24rem] max-w-[calc(100%-1.5rem)] gap-2 text-base leading-snug">
      {problem !== null && (
        <p role="alert" className="rounded-field border-2 border-error bg-base-100 p-2.5">
          <b className="text-error">✕ Cannot be laid out.</b>
          <span className="block first-letter:uppercase">{problem.message}.</span>
        </p>
      )}
      {problem === null &&
        plan?.warnings.map((warning) => (
          <p
            key={warning.code}
            role="status"
            className="flex gap-2 rounded-field bg-warning p-2.5 text-warning-content"
          >
            <TriangleAlert className="mt-0.5 shrink-0" size={20} aria-label="Warning" />
            <span className="block first-letter:uppercase">{warning.message}.</span>
          </p>
        ))}
    </div>
  );
}
