import { api, body, sentAsItIs } from '../api/client';
import { Beside } from '../frame/Beside';
import { FileButton } from '../frame/FileButton';
import { Portrait } from '../frame/Portrait';
import { BUTTON } from '../library/button';
import { type Enrolled, WHO_IS_WHERE } from './queries';
import { useKept } from './useKept';

/** A photograph of somebody, for whoever stands in and does not know them yet; kept only where they like it. */
export function Photograph({ trainee }: { trainee: Enrolled }) {
  const params = { path: { id: trainee.id } };
  const change = useKept<File | undefined>(
    (file) =>
      body(
        file === undefined
          ? api.DELETE('/api/trainees/{id}/portrait', { params })
          : api.PUT('/api/trainees/{id}/portrait', {
              params,
              ...sentAsItIs(file),
            }),
      ),
    WHO_IS_WHERE,
  );
  const kept = trainee.portraitAt != null;
  return (
    <section aria-label="Photograph" className="flex gap-3 border-t border-base-300 pt-3">
      <Portrait id={trainee.id} portraitAt={trainee.portraitAt} className="size-24" />
      <div className="grid content-start gap-2">
        <p className="leading-snug">
          {kept
            ? 'Stands beside their name on the floor and in progress.'
            : 'No photograph. If they like, one stands beside their name, for whoever stands in.'}
        </p>
        <div className="flex flex-wrap gap-2">
          <FileButton
            label={`Photograph of ${trainee.fullName}`}
            accept="image/jpeg,image/png"
            className={BUTTON}
            onFile={(file) => {
              change.mutate(file);
            }}
          >
            {kept ? 'Choose another' : 'Choose a photograph'}
          </FileButton>
          {kept && (
            <button
              type="button"
              className={BUTTON}
              disabled={change.isPending}
              onClick={() => {
                change.mutate(undefined);
              }}
            >
              Take it away
            </button>
          )}
        </div>
        <Beside problem={change.error?.message} />
      </div>
    </section>
  );
}
