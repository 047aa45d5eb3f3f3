import { Link } from 'react-router';
import { useJobs } from './queries';

/** Runs that were given out piece by piece; nothing where there is none. */
export function JobList() {
  const jobs = useJobs();
  return jobs.data === undefined || jobs.data.length === 0 ? null : (
    <section aria-label="Runs, a piece each" className="grid gap-1 px-4 pt-4">
      <h2 className="text-lg font-semibold">Runs, a piece each</h2>
      <ul className="grid gap-1">
        {jobs.data.map(({ id, title, givenAt, trainees }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-t border-base-300 pt-1 text-lg">
            <Link to={`/jobs/${id}`} className="font-semibold underline underline-offset-4">
              {title}
            </Link>
            <span>{new Date(givenAt).toLocaleDateString(undefined, { dateStyle: 'medium' })}</span>
            <span>{trainees.join(', ')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
