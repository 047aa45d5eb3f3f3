import { useId, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCohorts, useOpenAttempt } from '../api/queries';
import { Dialog } from './Dialog';
import { found } from './people';

const MOST = 8;

/** A dialog gives the focus to what has this when it opens; React keeps the attribute to itself. */
function takesFocus(input: HTMLInputElement | null): void {
  input?.setAttribute('autofocus', '');
}

/** Finds anybody of any cohort that one may see: Enter measures the first, and every row leads to the person's progress too. */
export function FindPerson({ onClose }: { onClose: () => void }) {
  const cohorts = useCohorts();
  const navigate = useNavigate();
  const open = useOpenAttempt();
  const [wanted, setWanted] = useState('');
  const list = useId();
  const people = found(cohorts.data ?? [], wanted);
  const measure = (traineeId: string) => {
    open.mutate(
      { traineeId },
      {
        onSuccess: ({ id }) => {
          onClose();
          void navigate(`/measure/${id}`);
        },
      },
    );
  };
  return (
    <Dialog title="Find somebody" onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (people[0] !== undefined) {
            measure(people[0].id);
          }
        }}
      >
        <input
          ref={takesFocus}
          type="search"
          aria-label="Name, of any cohort"
          aria-controls={list}
          placeholder="Name"
          value={wanted}
          onChange={(event) => {
            open.reset();
            setWanted(event.target.value);
          }}
          className="h-12 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-xl"
        />
      </form>
      {open.error !== null && (
        <p role="alert" className="pt-2 text-error">
          ✕ {open.error.message}
        </p>
      )}
      <ul id={list} aria-label="People" className="mt-2 grid">
        {people.slice(0, MOST).map(({ id, fullName, bench, cohort }) => (
          <li key={id} className="flex items-center gap-2 border-t border-base-300 py-1">
            <span className="min-w-0 flex-1 leading-tight">
              <span className="block truncate text-lg font-semibold">{fullName}</span>
              <span className="block text-sm">
                {cohort}, bench {bench}
              </span>
            </span>
            <button
              type="button"
              className="btn h-11 btn-neutral px-3 text-base"
              aria-label={`Measure ${fullName}, bench ${String(bench)}`}
              onClick={() => {
                measure(id);
              }}
            >
              Measure
            </button>
            <Link
              to={`/progress/${id}`}
              className="btn h-11 border-2 border-base-content/60 px-3 text-base"
              aria-label={`Progress of ${fullName}, bench ${String(bench)}`}
              onClick={onClose}
            >
              Progress
            </Link>
          </li>
        ))}
      </ul>
      <p role="status" className="pt-1 text-sm">
        {wanted.trim() !== '' && people.length === 0 && 'Nobody whom you may see has that in the name.'}
        {people.length > MOST && `And ${String(people.length - MOST)} more: type on.`}
      </p>
    </Dialog>
  );
}
