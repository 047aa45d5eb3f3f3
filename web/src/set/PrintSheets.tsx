import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Choice } from '../frame/Header';

const PAPERS = [
  { value: 'letter', name: 'Letter' },
  { value: 'a4', name: 'A4' },
] as const;

/** Prints the sheets of what was given: all in one file, with progress and a way to stop. */
export function PrintSheets({ given }: { given: Schemas['GivenView'] }) {
  const [paper, setPaper] = useState<'letter' | 'a4'>('letter');
  const [answers, setAnswers] = useState(false);
  const [printing, setPrinting] = useState<string>();
  const start = useMutation<Schemas['PrintView'], Problem>({
    mutationFn: () =>
      body(api.POST('/api/givings/{id}/prints', { params: { path: { id: given.id } }, body: { paper, answers } })),
    onSuccess: ({ id }) => {
      setPrinting(id);
    },
  });
  const progress = useQuery<Schemas['PrintView'], Problem>({
    queryKey: ['print', printing],
    queryFn: () => body(api.GET('/api/prints/{id}', { params: { path: { id: printing ?? '' } } })),
    enabled: printing !== undefined,
    refetchInterval: (query) =>
      query.state.data?.finished === true || query.state.data?.failed === true ? false : 200,
  });
  const view = printing === undefined ? undefined : progress.data;
  return (
    <section aria-label="Sheets" className="grid gap-2 border-t-2 border-base-content/40 pt-2">
      <h2 className="text-lg font-semibold">
        Sheets of “{given.title}”, {given.sheets.length === 1 ? 'one page' : `${String(given.sheets.length)} pages`}
      </h2>
      <Choice label="Paper" options={PAPERS} value={paper} onChange={setPaper} />
      <label className="flex min-h-11 items-center gap-2 text-lg">
        <input
          type="checkbox"
          className="size-5"
          checked={answers}
          onChange={(event) => {
            setAnswers(event.target.checked);
          }}
        />
        With answers
      </label>
      <button
        type="button"
        className="btn h-11 text-lg btn-neutral"
        disabled={start.isPending || (view !== undefined && !view.finished && !view.failed)}
        onClick={() => {
          start.mutate();
        }}
      >
        Print the sheets
      </button>
      {view !== undefined && !view.finished && !view.failed && (
        <div className="flex items-center gap-2">
          <progress
            className="progress flex-1 progress-primary"
            value={view.done}
            max={view.pages}
            aria-label="Pages"
          />
          <span className="figures">
            {view.done} of {view.pages}
          </span>
          <button
            type="button"
            className="min-h-11 underline"
            onClick={() => {
              void api.DELETE('/api/prints/{id}', { params: { path: { id: view.id } } });
              setPrinting(undefined);
            }}
          >
            Stop
          </button>
        </div>
      )}
      <p role="status" className="text-lg">
        {view?.finished === true && (
          <a href={`/api/prints/${view.id}/file`} download className="underline">
            Open the {view.pages === 1 ? 'sheet' : `${String(view.pages)} sheets`} (PDF)
          </a>
        )}
        {(view?.failed === true || start.error !== null) && (
          <span className="text-error">✕ {start.error?.message ?? 'They could not be printed; try again.'}</span>
        )}
      </p>
    </section>
  );
}
