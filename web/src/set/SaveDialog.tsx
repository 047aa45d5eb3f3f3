import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Dialog } from '../frame/Dialog';
import { exerciseOf } from './asked';
import type { Desk } from './useDesk';
import { useVariation } from './useVariation';

const LEVELS = [
  { value: 'first', name: 'First bends' },
  { value: 'steady', name: 'Steady hands' },
  { value: 'advanced', name: 'Advanced' },
] as const;

/** Saves what is on the desk in the library. */
export function SaveDialog({ shed, desk, onClose }: { shed: Schemas['Shed']; desk: Desk; onClose: () => void }) {
  const { draft, change, saved, request } = desk;
  const client = useQueryClient();
  const { theirs } = draft.entry;
  const [chosenNew, setAsNew] = useState(false);
  const asNew = chosenNew || theirs !== undefined;
  // The same one while a request is repeated.
  const [freshId, setFreshId] = useState(() => newId());
  const { variation } = useVariation(draft);
  const save = useMutation<Schemas['EntryView'], Problem, Schemas['ExerciseInput']>({
    mutationFn: (exercise) =>
      body(
        api.PUT('/api/library/{id}', {
          params: { path: { id: asNew ? freshId : draft.entry.id } },
          body: { exercise, basedOn: asNew ? null : (draft.entry.version ?? null) },
        }),
      ),
    onSuccess: (entry) => {
      saved({ id: entry.id, version: entry.version });
      setFreshId(newId());
      void client.invalidateQueries({ queryKey: ['library'] });
    },
  });
  return (
    <Dialog title="Save in the library" onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (request !== undefined) {
            save.mutate(exerciseOf(shed, draft, request, variation));
          }
        }}
      >
        <label className="grid gap-0.5">
          <span className="text-sm">Title of the exercise</span>
          <input
            value={draft.title}
            maxLength={120}
            required
            onChange={(event) => {
              change('title', (before) => ({ ...before, title: event.target.value }));
            }}
            className={FIELD}
          />
        </label>
        <label className="grid gap-0.5">
          <span className="text-sm">Level</span>
          <select
            value={draft.level}
            onChange={(event) => {
              const level = LEVELS.find(({ value }) => value === event.target.value)?.value ?? 'first';
              change('level', (before) => ({ ...before, level }));
            }}
            className={FIELD}
          >
            {LEVELS.map(({ value, name }) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-0.5">
          <span className="text-sm">Tags, with commas between them</span>
          <input
            value={draft.tags}
            onChange={(event) => {
              change('tags', (before) => ({ ...before, tags: event.target.value }));
            }}
            className={FIELD}
          />
        </label>
        {theirs !== undefined && (
          <p className="leading-snug">
            {theirs} made this exercise and alone changes it, or the centre lead. Yours is saved as a new one.
          </p>
        )}
        {draft.entry.version !== undefined && theirs === undefined && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={chosenNew}
              onChange={(event) => {
                setAsNew(event.target.checked);
              }}
            />
            As a new exercise, and leave version {draft.entry.version} as it is
          </label>
        )}
        <p role="status" className="min-h-6">
          {save.isSuccess && (
            <>
              <span className="text-success">● </span>Saved as version {save.data.version} of “{save.data.title}”.
            </>
          )}
          {save.error !== null && <span className="text-error">✕ {save.error.message}</span>}
          {request === undefined && 'It can be saved once it can be laid out.'}
        </p>
        <button
          type="submit"
          className="btn h-12 text-lg btn-neutral"
          disabled={request === undefined || save.isPending || draft.title.trim() === ''}
        >
          Save
        </button>
      </form>
    </Dialog>
  );
}

const FIELD = 'h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg';
