import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useQuantities } from '../benchcore/useQuantities';
import { exactText, kindOfUnit, type DisplayUnit } from '../entry/figures';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { Select } from '../frame/Select';
import { useDisplayUnit } from '../frame/signedIn';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { INSTRUMENTS, SHOWS_STUDIES, type Study, type StudyFeature } from './studyQueries';
import { useKept } from './useKept';

const POINTERS = ['/title', '/pieces', '/repeats', '/readers', '/asked'];

interface Asked {
  feature: string;
  tolerance: string;
}

/** A study to begin: what is read of how many pieces, by whom, how often. */
export function StudyDialog({
  offered,
  people,
  onBegun,
  onClose,
}: {
  offered: readonly StudyFeature[];
  people: readonly Schemas['ReaderName'][];
  onBegun: (id: string) => void;
  onClose: () => void;
}) {
  const unit = useDisplayUnit();
  const [id] = useState(() => newId());
  const [title, setTitle] = useState('');
  const [instrument, setInstrument] = useState<Study['instrument']>('HAND');
  const [pieces, setPieces] = useState('8');
  const [repeats, setRepeats] = useState('2');
  const [readers, setReaders] = useState<ReadonlySet<string>>(new Set());
  const [asked, setAsked] = useState<readonly Asked[]>(() => [asUsual(offered, 'leg', unit)]);
  const unitOf = (feature: string) => offered.find((each) => each.feature === feature)?.unit ?? 'in';
  const tolerances = useQuantities(
    asked.map(({ feature, tolerance }) => ({
      kind: kindOfUnit(unitOf(feature)),
      text: tolerance,
      bare: unit,
    })),
  );
  const begin = useKept(
    () =>
      body(
        api.PUT('/api/studies/{id}', {
          params: { path: { id } },
          body: {
            title,
            instrument,
            pieces: Number(pieces),
            repeats: Number(repeats),
            readers: [...readers],
            asked: asked.map(({ feature }, i) => ({ feature, tolerance: tolerances[i]?.value ?? null })),
          },
        }),
      ),
    SHOWS_STUDIES,
    () => {
      onBegun(id);
    },
  );
  const change = (at: number, to: Asked) => {
    setAsked((now) => now.map((each, i) => (i === at ? to : each)));
  };
  const turns = readers.size * Number(pieces) * Number(repeats);
  return (
    <Dialog title="Begin a study" wide onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          begin.mutate(undefined);
        }}
      >
        <TextField
          label="What it is called"
          value={title}
          onChange={setTitle}
          required
          maxLength={80}
          problem={problemAt(begin.error, '/title')}
        />
        <div className="grid grid-cols-2 items-start gap-3 md:grid-cols-3">
          <TextField
            label="Pieces"
            type="number"
            min={3}
            max={50}
            required
            value={pieces}
            onChange={setPieces}
            note="Write 1, 2, 3 … on them"
            problem={problemAt(begin.error, '/pieces')}
          />
          <TextField
            label="Everybody reads each"
            type="number"
            min={2}
            max={5}
            required
            value={repeats}
            onChange={setRepeats}
            note="times, in an order of their own"
            problem={problemAt(begin.error, '/repeats')}
          />
          <Select
            label="Measured with"
            value={instrument}
            onChange={(value) => {
              setInstrument(value as Study['instrument']);
            }}
            options={Object.entries(INSTRUMENTS).map(([value, name]) => ({ value, name }))}
          />
        </div>
        <fieldset>
          <legend className="text-lg font-semibold">What is read</legend>
          <div className="grid gap-2">
            {asked.map((each, i) => (
              <div key={each.feature} className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
                <Select
                  label="Feature"
                  value={each.feature}
                  onChange={(feature) => {
                    change(i, asUsual(offered, feature, unit));
                  }}
                  options={offered
                    .filter(
                      ({ feature }) => feature === each.feature || !asked.some((other) => other.feature === feature),
                    )
                    .map(({ feature, title: name }) => ({ value: feature, name }))}
                />
                <TextField
                  label="Tolerance ±"
                  required
                  value={each.tolerance}
                  onChange={(tolerance) => {
                    change(i, { ...each, tolerance });
                  }}
                  problem={tolerances[i]?.problem?.message}
                />
                <button
                  type="button"
                  className={`${BUTTON} h-12`}
                  disabled={asked.length === 1}
                  onClick={() => {
                    setAsked((now) => now.filter((_, at) => at !== i));
                  }}
                >
                  Not this
                </button>
              </div>
            ))}
          </div>
          <button
            type="button"
            className={`${BUTTON} mt-2`}
            disabled={asked.length === offered.length}
            onClick={() => {
              const next = offered.find(({ feature }) => !asked.some((each) => each.feature === feature));
              if (next !== undefined) {
                setAsked((now) => [...now, asUsual(offered, next.feature, unit)]);
              }
            }}
          >
            Read something else too
          </button>
        </fieldset>
        <fieldset>
          <legend className="text-lg font-semibold">Who reads</legend>
          <div className="flex flex-wrap gap-x-5">
            {people.map((person) => (
              <label key={person.id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={readers.has(person.id)}
                  onChange={(event) => {
                    const next = new Set(readers);
                    if (event.target.checked) {
                      next.add(person.id);
                    } else {
                      next.delete(person.id);
                    }
                    setReaders(next);
                  }}
                />
                {person.fullName}
              </label>
            ))}
          </div>
          {people.length < 2 && <p>A study takes two people; invite a colleague in People first.</p>}
        </fieldset>
        <Beside
          problem={
            problemAt(begin.error, '/readers') ??
            problemAt(begin.error, '/asked') ??
            problemBeside(begin.error, POINTERS)
          }
        />
        <button
          className="btn h-12 btn-neutral text-lg"
          disabled={begin.isPending || readers.size < 2 || tolerances.some(({ value }) => value === undefined)}
        >
          {turns > 0 ? `Begin: ${String(turns)} readings of a piece in all` : 'Begin'}
        </button>
      </form>
    </Dialog>
  );
}

function asUsual(offered: readonly StudyFeature[], feature: string, unit: DisplayUnit): Asked {
  const found = offered.find((each) => each.feature === feature) ?? offered[0];
  if (found === undefined) {
    return { feature, tolerance: '' };
  }
  return {
    feature: found.feature,
    tolerance: found.unit === 'in' ? exactText(found.tolerance, unit) : String(found.tolerance),
  };
}
