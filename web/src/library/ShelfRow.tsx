import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { kindOf } from '../bends/kinds';
import { BUTTON } from './button';
import { EntryVersions } from './EntryVersions';
import { LEVEL } from './levels';
import { IfMay } from '../frame/IfMay';

type Entry = Schemas['EntryView'];

/** An exercise with what can be done with it. */
export function ShelfRow({ entry, onChanged }: { entry: Entry; onChanged: () => Promise<void> }) {
  const [versions, setVersions] = useState(false);
  const duplicate = useMutation<unknown, Problem>({
    mutationFn: async () => {
      const detail = await body(api.GET('/api/library/{id}', { params: { path: { id: entry.id } } }));
      const [latest] = detail.versions;
      if (latest !== undefined) {
        await body(
          api.PUT('/api/library/{id}', {
            params: { path: { id: newId() } },
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
          <IfMay right="TEACH">
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
          </IfMay>
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
