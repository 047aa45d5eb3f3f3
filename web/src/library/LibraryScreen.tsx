import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useRef, useState } from 'react';
import { Link } from 'react-router';
import { api, body, Problem, type Schemas } from '../api/client';
import { useLibrary } from '../api/queries';
import { kindOf, KINDS } from '../bends/kinds';
import { useAddress } from '../frame/address';
import { Choice, Header } from '../frame/Header';
import { download } from '../set/files';
import { BUTTON } from './button';
import { EntryVersions } from './EntryVersions';
import { GivenOut } from './GivenOut';
import { matching } from './search';
import { Tolerances } from './Tolerances';

type Entry = Schemas['EntryView'];

const SIDES = [
  { value: 'exercises', name: 'Exercises' },
  { value: 'given', name: 'Given out' },
  { value: 'tolerances', name: 'Tolerances' },
] as const;

/** Levels as people say them. */
export const LEVEL = { first: 'First bends', steady: 'Steady hands', advanced: 'Advanced' } as const;

/** The library of exercises, and what was given out of it. */
export default function LibraryScreen() {
  const [search, changeAddress] = useAddress();
  const side = SIDES.find(({ value }) => value === search.get('side'))?.value ?? 'exercises';
  return (
    <div className="flex min-h-full flex-col">
      <Header
        title="Library"
        about={
          <Choice
            label="Shown"
            options={SIDES}
            value={side}
            onChange={(next) => {
              changeAddress({ side: next === 'exercises' ? undefined : next }, { replace: false });
            }}
          />
        }
      >
        <Link to="/set" className="btn h-11 px-5 text-lg btn-neutral">
          Set a new one
        </Link>
      </Header>
      {side === 'exercises' && <Shelf />}
      {side === 'given' && <GivenOut />}
      {side === 'tolerances' && <Tolerances />}
    </div>
  );
}

function Shelf() {
  const library = useLibrary();
  const client = useQueryClient();
  const [text, setText] = useState('');
  const [kind, setKind] = useState('');
  const [level, setLevel] = useState('');
  const [retired, setRetired] = useState(false);
  const shown = matching(library.data ?? [], { text, kind, level, retired });
  const refresh = () => client.invalidateQueries({ queryKey: ['library'] });
  const exportAll = useMutation<unknown, Problem>({
    mutationFn: async () => {
      const ids = shown.map(({ id }) => id);
      const file = await body(api.GET('/api/library/file', { params: { query: { ids } } }));
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
            <Row key={entry.id} entry={entry} onChanged={refresh} />
          ))}
        </tbody>
      </table>
      {library.data !== undefined && shown.length === 0 && (
        <p className="p-4 text-lg">
          {library.data.length === 0
            ? 'Nothing is saved yet. Set a bend and save it, or import a file.'
            : 'Nothing here is like that.'}
        </p>
      )}
    </>
  );
}

function Row({ entry, onChanged }: { entry: Entry; onChanged: () => Promise<void> }) {
  const [versions, setVersions] = useState(false);
  const duplicate = useMutation<unknown, Problem>({
    mutationFn: async () => {
      const detail = await body(api.GET('/api/library/{id}', { params: { path: { id: entry.id } } }));
      const [latest] = detail.versions;
      if (latest !== undefined) {
        await body(
          api.PUT('/api/library/{id}', {
            params: { path: { id: crypto.randomUUID() } },
            body: { exercise: { ...latest.exercise, title: `${entry.title.slice(0, 110)}, copy` }, basedOn: null },
          }),
        );
      }
    },
    onSuccess: onChanged,
  });
  const retire = useMutation<Entry, Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/library/{id}/retirement', {
          params: { path: { id: entry.id } },
          body: { retired: !entry.retired },
        }),
      ),
    onSuccess: onChanged,
  });
  return (
    <tr className="border-t border-base-300 max-sm:grid max-sm:py-2">
      <th scope="row" className="py-1 pr-3 text-left">
        <Link to={`/set?exercise=${entry.id}`} className="underline">
          {entry.title}
        </Link>
        {entry.retired && <span className="ml-2 text-sm font-normal">▽ put away</span>}
        <span className="block text-sm font-normal">
          {entry.conduitLabel}, {entry.benderLabel}
          {!entry.mayChange && `, by ${entry.madeBy}`}
        </span>
      </th>
      <td className="pr-3">{kindOf(entry.kind).name}</td>
      <td className="pr-3">{LEVEL[entry.level]}</td>
      <td className="pr-3">{entry.tags.join(', ')}</td>
      <td className="text-right max-sm:hidden">
        <button
          type="button"
          aria-label={`Version ${String(entry.version)} of ${entry.title}: all versions`}
          className="figures min-h-11 min-w-11 px-2 text-right underline underline-offset-4"
          onClick={() => {
            setVersions(true);
          }}
        >
          {entry.version}
        </button>
        {versions && (
          <EntryVersions
            entry={entry}
            onClose={() => {
              setVersions(false);
            }}
          />
        )}
      </td>
      <td className="figures pl-3 text-right max-sm:hidden">{entry.given}</td>
      <td className="py-1 pl-3">
        <span className="inline-flex gap-2">
          <Link to={`/set?exercise=${entry.id}&give`} className={`${BUTTON} grid place-items-center`}>
            Give
          </Link>
          <button
            type="button"
            className={BUTTON}
            aria-label={`Duplicate ${entry.title}`}
            onClick={() => {
              duplicate.mutate();
            }}
          >
            Duplicate
          </button>
          {entry.mayChange && (
            <button
              type="button"
              className={BUTTON}
              aria-label={`${entry.retired ? 'Take back' : 'Put away'} ${entry.title}`}
              onClick={() => {
                retire.mutate();
              }}
            >
              {entry.retired ? 'Take back' : 'Put away'}
            </button>
          )}
        </span>
        {(duplicate.error ?? retire.error) !== null && (
          <span className="block text-error">✕ {(duplicate.error ?? retire.error)?.message}</span>
        )}
      </td>
    </tr>
  );
}

/** Reads a file of exercises; all of them are added, or none, with the lines that are wrong. */
function ImportButton({ onDone }: { onDone: () => Promise<void> }) {
  const file = useRef<HTMLInputElement>(null);
  const add = useMutation<Schemas['Imported'], Problem, File>({
    mutationFn: async (chosen) =>
      body(api.POST('/api/library/file', { body: await chosen.text(), bodySerializer: (text) => text as string })),
    onSuccess: onDone,
  });
  return (
    <>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        aria-label="File of exercises"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          if (chosen !== undefined) {
            add.mutate(chosen);
          }
          event.target.value = '';
        }}
      />
      <button
        type="button"
        className={BUTTON}
        onClick={() => {
          file.current?.click();
        }}
      >
        Import a file
      </button>
      <span role="status" className="self-center">
        {add.isSuccess && (
          <>
            <span className="text-success">● </span>
            {add.data.exercises === 1 ? 'One exercise added.' : `${String(add.data.exercises)} exercises added.`}
          </>
        )}
      </span>
      {add.error !== null && <Refusals problem={add.error} />}
    </>
  );
}

function Refusals({ problem }: { problem: Problem }) {
  const errors =
    problem.errors.length > 0 ? problem.errors : [{ pointer: '', message: problem.message, line: undefined }];
  return (
    <ul role="alert" className="basis-full border-2 border-error p-2">
      <li className="font-semibold text-error">✕ Nothing was added.</li>
      {errors.slice(0, 12).map((error, i) => (
        <li key={i}>
          {error.line !== undefined && <b>Line {error.line}: </b>}
          {error.message}
        </li>
      ))}
    </ul>
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

const FIELD = 'h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2';
