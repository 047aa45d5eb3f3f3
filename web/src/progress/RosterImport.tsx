import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { FileButton } from '../frame/FileButton';
import { BUTTON } from '../library/button';

type Mapping = Schemas['Mapping'];
type Preview = Schemas['RosterView'];

const FIELDS = [
  { name: 'name', label: 'Name' },
  { name: 'cohort', label: 'Cohort' },
  { name: 'bench', label: 'Bench' },
  { name: 'number', label: 'Number' },
] as const;

/** Takes a roster in: a table is shown first with every row that is wrong; then all of it is added, or nothing. */
export function RosterImport({ cohort }: { cohort: Schemas['CohortView'] | undefined }) {
  const client = useQueryClient();
  const [text, setText] = useState('');
  const [mapping, setMapping] = useState<Mapping | null>(null);
  // Where there is no cohort yet, those of the file are started.
  const [newCohorts, setNewCohorts] = useState(cohort === undefined);
  const [key, setKey] = useState(() => newId());
  const request = (now: { text: string; mapping: Mapping | null; newCohorts: boolean }) => ({
    ...now,
    cohortId: cohort?.id ?? null,
  });
  const preview = useMutation<Preview, Problem, { text: string; mapping: Mapping | null; newCohorts: boolean }>({
    mutationFn: (now) => body(api.POST('/api/roster/preview', { body: request(now) })),
    onSuccess: (seen) => {
      setMapping(seen.mapping);
    },
  });
  const add = useMutation<Preview, Problem>({
    mutationFn: () =>
      body(api.PUT('/api/roster/{key}', { params: { path: { key } }, body: request({ text, mapping, newCohorts }) })),
    onSuccess: () => {
      setKey(newId());
      setText('');
      preview.reset();
      void client.invalidateQueries();
    },
  });
  const look = (now: Partial<{ text: string; mapping: Mapping | null; newCohorts: boolean }>) => {
    preview.mutate({ text, mapping, newCohorts, ...now });
  };
  return (
    <section aria-label="Roster in">
      <h2 className="text-2xl font-semibold">In: a roster</h2>
      <p className="leading-snug">
        A table (CSV) with a line of names at the top: name, and if you have them cohort, bench and number. It is shown
        first; then all of it is added, or nothing.
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <FileButton
          label="Roster file"
          accept=".csv,.txt,text/csv,text/plain"
          className={BUTTON}
          onFile={(chosen) => {
            add.reset();
            void chosen.text().then((read) => {
              setText(read);
              setMapping(null);
              look({ text: read, mapping: null });
            });
          }}
        >
          Choose a file
        </FileButton>
        <span role="status">
          {add.isSuccess &&
            `● ${String(add.data.rows.length)} ${add.data.rows.length === 1 ? 'trainee' : 'trainees'} added.`}
        </span>
      </div>
      {(preview.error ?? add.error) !== null && (
        <p role="alert" className="text-error">
          ✕ {(preview.error ?? add.error)?.message}
        </p>
      )}
      {preview.data !== undefined && text !== '' && (
        <>
          <div className="mt-2 flex flex-wrap items-end gap-2" role="group" aria-label="Which column is what">
            {FIELDS.map(({ name, label }) => (
              <label key={name} className="grid text-sm">
                {label}
                <select
                  value={mapping?.[name] ?? ''}
                  onChange={(event) => {
                    const changed: Mapping = {
                      name: mapping?.name ?? null,
                      cohort: mapping?.cohort ?? null,
                      bench: mapping?.bench ?? null,
                      number: mapping?.number ?? null,
                      [name]: event.target.value === '' ? null : Number(event.target.value),
                    };
                    setMapping(changed);
                    look({ mapping: changed });
                  }}
                  className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-base"
                >
                  <option value="">
                    {name === 'name' ? 'choose' : name === 'cohort' ? (cohort?.name ?? 'choose') : 'none'}
                  </option>
                  {preview.data.columns.map((column, i) => (
                    <option key={i} value={i}>
                      {column === '' ? `column ${String(i + 1)}` : column}
                    </option>
                  ))}
                </select>
              </label>
            ))}
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={newCohorts}
                onChange={(event) => {
                  setNewCohorts(event.target.checked);
                  look({ newCohorts: event.target.checked });
                }}
              />
              Start new cohorts
            </label>
          </div>
          <RosterTable preview={preview.data} />
          <button
            type="button"
            className="btn mt-2 h-12 px-6 text-lg btn-neutral"
            disabled={preview.data.rows.length === 0 || preview.data.wrong > 0 || add.isPending}
            onClick={() => {
              add.mutate();
            }}
          >
            {preview.data.wrong > 0
              ? `${String(preview.data.wrong)} ${preview.data.wrong === 1 ? 'row is' : 'rows are'} wrong`
              : `Add ${String(preview.data.rows.length)} ${preview.data.rows.length === 1 ? 'trainee' : 'trainees'}`}
          </button>
        </>
      )}
    </section>
  );
}

function RosterTable({ preview }: { preview: Preview }) {
  if (preview.rows.length === 0) {
    return <p className="mt-2 text-lg">Say which column has the names.</p>;
  }
  return (
    <div className="mt-2 max-h-[20rem] overflow-auto" tabIndex={0} role="region" aria-label="Rows of the roster">
      <table className="w-full leading-tight">
        <thead className="text-left text-sm">
          <tr>
            <th className="font-normal">Line</th>
            <th className="font-normal">Name</th>
            <th className="font-normal">Cohort</th>
            <th className="font-normal">Bench</th>
            <th className="font-normal">Number</th>
          </tr>
        </thead>
        <tbody>
          {preview.rows.map((row) => (
            <tr key={row.line} className="border-t border-base-300 align-top">
              <td className="figures py-1 pr-2">{row.line}</td>
              <td className="py-1 pr-2">
                {row.name}
                {row.problems.map((problem) => (
                  <span key={problem} className="block text-error">
                    ✕ {problem}
                  </span>
                ))}
              </td>
              <td className="py-1 pr-2">{row.cohort}</td>
              <td className="figures py-1 pr-2">{row.bench}</td>
              <td className="py-1">{row.number}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
