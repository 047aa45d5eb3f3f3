/** What is wrong and belongs to none of the fields above it. */
export function Beside({ problem }: { problem: string | undefined }) {
  return problem === undefined ? null : (
    <p role="alert" className="leading-snug text-error">
      ✕ {problem}
    </p>
  );
}
