import { Link } from 'react-router';
import { RosterImport } from './RosterImport';

/** A school without anybody yet: what to do first, with a way to do it. */
export function NoCohort() {
  return (
    <div className="grid max-w-2xl gap-6 p-4">
      <section aria-label="What to do first">
        <h2 className="text-2xl font-semibold">There is nobody here yet</h2>
        <p className="text-lg leading-snug">
          Progress shows who can bend what, once there is a cohort and its first pieces are measured.
        </p>
        <Link to="/floor" className="btn mt-2 h-12 px-6 text-lg btn-neutral">
          Start a cohort on the floor
        </Link>
      </section>
      <RosterImport cohort={undefined} />
    </div>
  );
}
