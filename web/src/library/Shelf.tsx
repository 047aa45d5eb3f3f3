import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useDeferredValue, useState } from 'react';
import { api, body, type Problem } from '../api/client';
import { searchOf, useLibrary } from '../api/library';
import { KINDS } from '../bends/kinds';
import { download } from '../set/files';
import { BUTTON } from './button';
import { ImportButton } from './ImportButton';
import { LEVEL } from './levels';
import { ShelfRow } from './ShelfRow';

const FIELD = 'h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2';

/** The exercises of the school, to be found, given and changed. */
export function Shelf() {
  const client = useQueryClient();
  const [text, setText] = useState('');
  const [kind, setKind] = useState('');
  const [level, setLevel] = useState('');
  const [retired, setRetired] = useState(false);
  const wanted = { find: useDeferredValue(text), kind, level, retired };
  const library = useLibrary(wanted);
  const shown = library.data?.pages.flatMap(({ entries }) => entries) ?? [];
  const all = wanted.find.trim() === '' && kind === '' && level === '';
  const refresh = () => client.invalidateQueries({ queryKey: ['library'] });
  const exportAll = useMutation<unknown, Problem>({
    mutationFn: async () => {
      const file = await body(api.GET('/api/library/file', { params: { query: searchOf(wanted) } }));
      download(new Blob([JSON.stringify(file, null, 2)], { type: 'application/json' }), 'lobrik-exercises.json');
    },
  });
  return (
    <>
      <div className="flex flex-wrap items-end gap-2 px-4 py-2">
        <input
          type="search"
          aria-label="Find an exercise"
          placeholder="Title, tag, conduit"
          value={text}
          onChange={(event) => {
            setText(event.target.value);
          }}
          className={`w-56 ${FIELD}`}
        />
        <Filter label="Kind" value={kind} onChange={setKind}>
          <option value="">Every kind</option>
          {KINDS.map((each) => (
            <option key={each.kind} value={each.kind}>
              {each.name}
            </option>
          ))}
        </Filter>
        <Filter label="Level" value={level} onChange={setLevel}>
          <option value="">Every level</option>
          {Object.entries(LEVEL).map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </Filter>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={retired}
            onChange={(event) => {
              setRetired(event.target.checked);
            }}
          />
          Also what was put away
        </label>
        <span className="ml-auto flex gap-2">
          <button
            type="button"
            className={BUTTON}
            disabled={shown.length === 0}
            onClick={() => {
              exportAll.mutate();
            }}
          >
            Export these
          </button>
          <ImportButton onDone={refresh} />
        </span>
      </div>
      {exportAll.error !== null && <p className="px-4 text-error">✕ {exportAll.error.message}</p>}
      {library.error !== null && <p className="p-4 text-error">✕ {library.error.message}</p>}
      {shown.length > 0 && (
        <table className="mx-4 text-lg leading-tight">
          <caption className="sr-only">Exercises</caption>
          <thead>
            <tr className="text-left text-sm max-sm:hidden">
              <th className="font-normal">Exercise</th>
              <th className="font-normal">Bend</th>
              <th className="font-normal">Level</th>
              <th className="font-normal">Tags</th>
              <th className="text-right font-normal">Version</th>
              <th className="pl-3 text-right font-normal">Given</th>
              <th>
                <span className="sr-only">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {shown.map((entry) => (
              <ShelfRow key={entry.id} entry={entry} onChanged={refresh} />
            ))}
          </tbody>
        </table>
      )}
      {library.hasNextPage && (
        <button
          type="button"
          className={`m-4 ${BUTTON}`}
          disabled={library.isFetchingNextPage}
          onClick={() => {
            void library.fetchNextPage();
          }}
        >
          More exercises
        </button>
      )}
      {library.data !== undefined && shown.length === 0 && (
        <p className="p-4 text-lg">
          {all ? 'Nothing is on the shelf. Set a bend and save it, or import a file.' : 'Nothing here is like that.'}
        </p>
      )}
    </>
  );
}

function Filter({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => {
        onChange(event.target.value);
      }}
      className={FIELD}
    >
      {children}
    </select>
  );
}
