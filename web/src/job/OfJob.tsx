import { Link } from 'react-router';
import { useJobOf } from './queries';

/** The way to the run that a piece is a part of; nothing for a run by itself. */
export function OfJob({ assignmentId }: { assignmentId: string | undefined }) {
  const job = useJobOf(assignmentId);
  return job.data?.jobId == null ? null : (
    <Link to={`/jobs/${job.data.jobId}`} className="flex min-h-11 items-center text-lg underline underline-offset-4">
      The whole run, put together of its pieces
    </Link>
  );
}
