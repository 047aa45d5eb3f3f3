import { Link } from 'react-router';

/** For a lead who has to set up a second factor before they may do what a lead may. */
export function HeldBack() {
  return (
    <p role="status" className="border-b-2 border-base-content/60 bg-base-200 px-4 py-2 text-lg leading-snug">
      ▲ Your school asks its leads for a second factor; until you have one you may do what an instructor may.{' '}
      <Link to="/shed?side=you" className="font-semibold underline underline-offset-4">
        Set it up
      </Link>
    </p>
  );
}
