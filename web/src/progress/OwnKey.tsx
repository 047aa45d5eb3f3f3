import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, body, Problem } from '../api/client';
import { newId } from '../api/newId';
import type { TraineePage } from '../api/progress';
import { BUTTON } from '../library/button';
import { CohortEnd } from './CohortEnd';
import { TraineeAccount } from './TraineeAccount';

/** The trainee's own page: its key is made, shown and taken back here. */
export function OwnKey({ page }: { page: TraineePage }) {
  const client = useQueryClient();
  const change = useMutation<TraineePage, Problem, boolean>({
    mutationFn: (make) =>
      make
        ? body(
            api.PUT('/api/trainees/{id}/keys/{key}', {
              params: { path: { id: page.traineeId, key: newId() } },
            }),
          )
        : body(api.DELETE('/api/trainees/{id}/keys', { params: { path: { id: page.traineeId } } })),
    onSuccess: (changed) => {
      client.setQueryData(['progress', 'trainee', page.traineeId], changed);
    },
  });
  return (
    <section aria-label="The trainee's own page" className="mt-4">
      <h2 className="text-xl leading-tight font-semibold">Own page</h2>
      {page.ownPage == null ? (
        <p className="leading-snug">A key opens this record for the trainee, and nothing else.</p>
      ) : (
        <p className="leading-snug">
          <a href={`/own/${page.ownPage}`} className="figures text-[1.4rem] underline">
            {page.ownPage}
          </a>
          <span className="block text-sm">typed behind {window.location.origin}/own/</span>
        </p>
      )}
      <div className="mt-1 flex flex-wrap gap-2">
        <button
          type="button"
          className={BUTTON}
          onClick={() => {
            change.mutate(true);
          }}
        >
          {page.ownPage == null ? 'Make a key' : 'Make another'}
        </button>
        {page.ownPage != null && (
          <button
            type="button"
            className={BUTTON}
            onClick={() => {
              change.mutate(false);
            }}
          >
            Take it back
          </button>
        )}
      </div>
      <TraineeAccount page={page} />
      <CohortEnd cohortId={page.cohortId} name={page.cohortName} />
      {change.error !== null && (
        <p role="alert" className="text-error">
          ✕ {change.error.message}
        </p>
      )}
    </section>
  );
}
