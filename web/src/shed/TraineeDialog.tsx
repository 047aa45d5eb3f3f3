import { useState } from 'react';
import { api, body } from '../api/client';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { problemAt, problemBeside } from '../frame/problems';
import { Select } from '../frame/Select';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { Photograph } from './Photograph';
import { type Enrolled, type KeptCohort, WHO_IS_WHERE } from './queries';
import { useKept } from './useKept';

/** A trainee: what they are called and need, where they are, and whether they are there. */
export function TraineeDialog({
  trainee,
  cohorts,
  onClose,
}: {
  trainee: Enrolled;
  cohorts: KeptCohort[];
  onClose: () => void;
}) {
  return (
    <Dialog title={trainee.fullName} wide onClose={onClose}>
      <div className="grid gap-x-8 gap-y-5 md:grid-cols-2">
        <Particulars trainee={trainee} onDone={onClose} />
        <div className="grid content-start gap-5">
          <Place trainee={trainee} cohorts={cohorts} onDone={onClose} />
          <Photograph trainee={trainee} />
          {trainee.leftAt == null && <Leave trainee={trainee} onDone={onClose} />}
        </div>
      </div>
    </Dialog>
  );
}

function Particulars({ trainee, onDone }: { trainee: Enrolled; onDone: () => void }) {
  const [fullName, setFullName] = useState(trainee.fullName);
  const [number, setNumber] = useState(trainee.number ?? '');
  const [largerPrint, setLargerPrint] = useState(trainee.largerPrint);
  const [extra, setExtra] = useState(String(trainee.extraTimePct));
  const keep = useKept(
    () =>
      body(
        api.PUT('/api/trainees/{id}/particulars', {
          params: { path: { id: trainee.id } },
          body: {
            edition: trainee.edition,
            fullName,
            number: number.trim() === '' ? null : number,
            largerPrint,
            extraTimePct: Number(extra),
          },
        }),
      ),
    WHO_IS_WHERE,
    onDone,
  );
  return (
    <form
      className="grid content-start gap-3"
      aria-label="What they are called and need"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(undefined);
      }}
    >
      <TextField
        label="Full name"
        value={fullName}
        onChange={setFullName}
        required
        maxLength={100}
        problem={problemAt(keep.error, '/fullName')}
      />
      <TextField
        label="Number, if the school has one"
        value={number}
        onChange={setNumber}
        maxLength={40}
        problem={problemAt(keep.error, '/number')}
      />
      <label className="flex min-h-11 items-center gap-3 text-lg">
        <input
          type="checkbox"
          className="size-5"
          checked={largerPrint}
          onChange={(event) => {
            setLargerPrint(event.target.checked);
          }}
        />
        Sheets in larger print, on the next larger paper
      </label>
      <TextField
        label="More time than the others, in per cent"
        type="number"
        inputMode="numeric"
        min={0}
        max={200}
        value={extra}
        onChange={setExtra}
        problem={problemAt(keep.error, '/extraTimePct')}
      />
      <Beside problem={problemBeside(keep.error, ['/fullName', '/number', '/extraTimePct'])} />
      <button className="btn h-12 btn-neutral text-lg" disabled={keep.isPending}>
        Keep
      </button>
    </form>
  );
}

function Place({ trainee, cohorts, onDone }: { trainee: Enrolled; cohorts: KeptCohort[]; onDone: () => void }) {
  const there = cohorts.some(({ id }) => id === trainee.cohortId);
  const [cohortId, setCohortId] = useState(there ? trainee.cohortId : (cohorts[0]?.id ?? ''));
  const [bench, setBench] = useState(String(trainee.bench));
  const away = trainee.leftAt != null;
  const move = useKept(
    () =>
      body(
        api.PUT('/api/trainees/{id}/place', {
          params: { path: { id: trainee.id } },
          body: { edition: trainee.edition, cohortId, bench: Number(bench) },
        }),
      ),
    WHO_IS_WHERE,
    onDone,
  );
  return (
    <form
      className="grid gap-3"
      aria-label="Where they are"
      onSubmit={(event) => {
        event.preventDefault();
        move.mutate(undefined);
      }}
    >
      <div className="grid grid-cols-[1fr_6rem] gap-3">
        <Select
          label="Cohort"
          value={cohortId}
          onChange={setCohortId}
          options={cohorts.map(({ id, name }) => ({ value: id, name }))}
        />
        <label className="grid gap-0.5">
          <span className="text-sm leading-none">Bench</span>
          <input
            type="number"
            inputMode="numeric"
            min={1}
            max={999}
            required
            value={bench}
            onChange={(event) => {
              setBench(event.target.value);
            }}
            className="figures h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-xl"
          />
        </label>
      </div>
      <p className="text-sm leading-snug">What they did goes with them.</p>
      <Beside problem={move.error?.message} />
      <button
        className={BUTTON}
        disabled={
          move.isPending ||
          (!away && cohortId === trainee.cohortId && bench === String(trainee.bench)) ||
          cohortId === ''
        }
      >
        {away ? 'Comes back here' : 'Moves here'}
      </button>
    </form>
  );
}

function Leave({ trainee, onDone }: { trainee: Enrolled; onDone: () => void }) {
  const [reason, setReason] = useState('');
  const leave = useKept(
    () =>
      body(
        api.PUT('/api/trainees/{id}/left', {
          params: { path: { id: trainee.id } },
          body: { edition: trainee.edition, left: true, reason },
        }),
      ),
    WHO_IS_WHERE,
    onDone,
  );
  return (
    <form
      className="grid gap-2 border-t border-base-300 pt-3"
      aria-label="Leaving"
      onSubmit={(event) => {
        event.preventDefault();
        leave.mutate(undefined);
      }}
    >
      <TextField
        label="Leaves the school, because (if you like)"
        value={reason}
        onChange={setReason}
        maxLength={300}
        note="The record stays, and they can come back."
      />
      <Beside problem={leave.error?.message} />
      <button className={BUTTON} disabled={leave.isPending}>
        Has left
      </button>
    </form>
  );
}
