import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Beside } from '../frame/Beside';
import { Select } from '../frame/Select';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { type RotaPerson, SHOWS_SEATS, useRotaWishes } from './sessionQueries';
import { useKept } from './useKept';
import { shortDay } from './weeks';

/** What a rota has to keep to beside its sessions: who will not be there, who does not share a bench; and what it cannot keep. */
export function RotaWishes({
  cohortId,
  people,
  mayChange,
  clashes,
}: {
  cohortId: string;
  people: readonly RotaPerson[];
  mayChange: boolean;
  clashes: readonly string[];
}) {
  const wishes = useRotaWishes(cohortId);
  const names = Object.fromEntries(people.map(({ traineeId, fullName }) => [traineeId, fullName]));
  return (
    <aside
      aria-label="Wishes"
      className="w-[19rem] shrink-0 overflow-y-auto border-l border-base-300 bg-base-200 p-3 max-lg:w-full max-lg:border-t max-lg:border-l-0"
    >
      {clashes.length > 0 && (
        <section aria-label="Cannot be met" className="mb-3">
          <h2 className="text-lg font-semibold">Cannot be met</h2>
          <ul>
            {clashes.map((clash) => (
              <li key={clash} className="py-0.5 leading-snug">
                ▲ {clash}
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Absences">
        <h2 className="text-lg font-semibold">Will not be there</h2>
        {wishes.data?.absences.length === 0 && <p>Nobody has said so.</p>}
        <ul>
          {wishes.data?.absences.map((absence) => (
            <AbsenceRow
              key={absence.id}
              absence={absence}
              name={names[absence.traineeId] ?? 'somebody'}
              mayChange={mayChange}
            />
          ))}
        </ul>
        {mayChange && people.length > 0 && wishes.data !== undefined && (
          <NewAbsence key={wishes.data.absences.length} people={people} />
        )}
      </section>
      <section aria-label="Kept apart" className="mt-5">
        <h2 className="text-lg font-semibold">Not at one bench</h2>
        {wishes.data?.apart.length === 0 && <p>Everybody may sit with everybody.</p>}
        <ul>
          {wishes.data?.apart.map((pair) => (
            <ApartRow key={`${pair.oneId} ${pair.otherId}`} pair={pair} names={names} mayChange={mayChange} />
          ))}
        </ul>
        {mayChange && people.length > 1 && wishes.data !== undefined && (
          <NewPair key={wishes.data.apart.length} people={people} />
        )}
      </section>
    </aside>
  );
}

function AbsenceRow({
  absence,
  name,
  mayChange,
}: {
  absence: Schemas['AbsenceView'];
  name: string;
  mayChange: boolean;
}) {
  const end = useKept(
    () => body(api.DELETE('/api/absences/{id}', { params: { path: { id: absence.id } } })),
    SHOWS_SEATS,
  );
  return (
    <li className="flex items-center justify-between gap-2 border-b border-base-300 py-1 leading-tight">
      <span>
        <b>{name}</b>
        <span className="block">
          {shortDay(absence.firstDay)}
          {absence.lastDay !== absence.firstDay && ` to ${shortDay(absence.lastDay)}`}
          {absence.reason !== '' && `: ${absence.reason}`}
        </span>
        <Beside problem={end.error?.message} />
      </span>
      {mayChange && (
        <button
          type="button"
          className={BUTTON}
          aria-label={`${name} will be there after all`}
          disabled={end.isPending}
          onClick={() => {
            end.mutate(undefined);
          }}
        >
          Take out
        </button>
      )}
    </li>
  );
}

function NewAbsence({ people }: { people: readonly RotaPerson[] }) {
  const [id] = useState(() => newId());
  const [traineeId, setTraineeId] = useState(people[0]?.traineeId ?? '');
  const [firstDay, setFirstDay] = useState('');
  const [lastDay, setLastDay] = useState('');
  const [reason, setReason] = useState('');
  const note = useKept(
    () =>
      body(
        api.PUT('/api/absences/{id}', {
          params: { path: { id } },
          body: { traineeId, firstDay, lastDay: lastDay === '' ? firstDay : lastDay, reason },
        }),
      ),
    SHOWS_SEATS,
  );
  return (
    <details className="mt-1">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">Note an absence</summary>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          note.mutate(undefined);
        }}
      >
        <Select
          label="Who"
          value={traineeId}
          onChange={setTraineeId}
          options={people.map((each) => ({ value: each.traineeId, name: each.fullName }))}
        />
        <TextField label="First day" type="date" required value={firstDay} onChange={setFirstDay} />
        <TextField label="Last day" type="date" value={lastDay} onChange={setLastDay} note="The same, if it is empty" />
        <TextField label="Why, if it matters" value={reason} onChange={setReason} maxLength={300} />
        <Beside problem={note.error?.message} />
        <button className={BUTTON} disabled={note.isPending}>
          Note it
        </button>
      </form>
    </details>
  );
}

function ApartRow({
  pair,
  names,
  mayChange,
}: {
  pair: Schemas['ApartView'];
  names: Readonly<Record<string, string>>;
  mayChange: boolean;
}) {
  const end = useKept(() => body(api.PUT('/api/kept-apart', { body: { ...pair, apart: false } })), SHOWS_SEATS);
  // By name, as the pair has no order of its own.
  const words = [pair.oneId, pair.otherId]
    .map((id) => names[id] ?? 'somebody')
    .sort((one, other) => one.localeCompare(other))
    .join(' and ');
  return (
    <li className="flex items-center justify-between gap-2 border-b border-base-300 py-1 leading-tight">
      <span>
        {words}
        <Beside problem={end.error?.message} />
      </span>
      {mayChange && (
        <button
          type="button"
          className={BUTTON}
          aria-label={`Let ${words} share a bench again`}
          disabled={end.isPending}
          onClick={() => {
            end.mutate(undefined);
          }}
        >
          Take out
        </button>
      )}
    </li>
  );
}

function NewPair({ people }: { people: readonly RotaPerson[] }) {
  const [oneId, setOne] = useState(people[0]?.traineeId ?? '');
  const [otherId, setOther] = useState(people[1]?.traineeId ?? '');
  const keep = useKept(() => body(api.PUT('/api/kept-apart', { body: { oneId, otherId, apart: true } })), SHOWS_SEATS);
  const options = people.map((each) => ({ value: each.traineeId, name: each.fullName }));
  return (
    <details className="mt-1">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">Keep two apart</summary>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(undefined);
        }}
      >
        <Select label="One" value={oneId} onChange={setOne} options={options} />
        <Select label="Not with" value={otherId} onChange={setOther} options={options} />
        <Beside problem={keep.error?.message} />
        <button className={BUTTON} disabled={keep.isPending || oneId === otherId}>
          Keep them apart
        </button>
      </form>
    </details>
  );
}
