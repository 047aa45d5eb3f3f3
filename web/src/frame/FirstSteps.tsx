import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';

const HIDDEN = 'lobrik-first-steps-hidden';

const STEPS = [
  { done: 'school', name: 'School', to: '/shed?side=school' },
  { done: 'cohort', name: 'Cohort', to: '/shed?side=cohorts' },
  { done: 'benders', name: 'Benders', to: '/shed?side=benders' },
  { done: 'people', name: 'Colleagues', to: '/shed?side=people' },
  { done: 'given', name: 'First exercise', to: '/set' },
] as const;

/** For whoever begins a school: the way through the screens to the first piece, until it is measured. */
export function FirstSteps() {
  const { pathname, search } = useLocation();
  const [hidden, setHidden] = useState(() => localStorage.getItem(HIDDEN) !== null);
  const steps = useQuery<Schemas['Done'], Problem>({
    // Asked anew wherever one goes: what is done there ticks it off.
    queryKey: ['firstSteps', pathname, search],
    queryFn: () => body(api.GET('/api/first-steps')),
    placeholderData: keepPreviousData,
    enabled: !hidden,
  });
  if (hidden || steps.data === undefined || steps.data.measured) {
    return null;
  }
  const next = STEPS.find(({ done }) => steps.data[done] === false);
  return (
    <nav
      aria-label="First steps"
      className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b-2 border-base-content/60 bg-base-200 px-4 py-1 text-lg"
    >
      <span>{next === undefined ? 'Now measure the first piece:' : 'First steps:'}</span>
      {STEPS.map(({ done, name, to }) => (
        <Link
          key={done}
          to={to}
          className={`flex min-h-11 items-center gap-1.5 underline-offset-4 hover:underline ${done === next?.done ? 'font-semibold underline' : ''}`}
        >
          <span role="img" aria-label={steps.data[done] ? 'done' : 'to do'}>
            {steps.data[done] ? '●' : '○'}
          </span>
          {name}
        </Link>
      ))}
      {next === undefined && (
        <Link to="/floor" className="flex min-h-11 items-center font-semibold underline underline-offset-4">
          Floor
        </Link>
      )}
      <button
        type="button"
        className="ml-auto min-h-11 underline underline-offset-4"
        onClick={() => {
          localStorage.setItem(HIDDEN, 'yes');
          setHidden(true);
        }}
      >
        Hide
      </button>
    </nav>
  );
}
