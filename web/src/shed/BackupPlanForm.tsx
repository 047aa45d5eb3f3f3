import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { TextField } from '../frame/TextField';
import { useKept } from './useKept';

type Plan = Schemas['PlanOfBackups'];
type Day = Plan['days'][number];

const DAYS: readonly { value: Day; name: string; full: string }[] = [
  { value: 'MONDAY', name: 'Mo', full: 'Monday' },
  { value: 'TUESDAY', name: 'Tu', full: 'Tuesday' },
  { value: 'WEDNESDAY', name: 'We', full: 'Wednesday' },
  { value: 'THURSDAY', name: 'Th', full: 'Thursday' },
  { value: 'FRIDAY', name: 'Fr', full: 'Friday' },
  { value: 'SATURDAY', name: 'Sa', full: 'Saturday' },
  { value: 'SUNDAY', name: 'Su', full: 'Sunday' },
];

const SHOWS = ['backups'];

/** When backups are made by themselves, where they go besides, and for how long they are kept. */
export function BackupPlanForm({ plan }: { plan: Plan }) {
  const [days, setDays] = useState<readonly Day[]>(plan.days);
  const [at, setAt] = useState(plan.at);
  const [keepDays, setKeepDays] = useState(String(plan.keepDays));
  const [keepMonths, setKeepMonths] = useState(String(plan.keepMonths));
  const [warnAfterDays, setWarnAfterDays] = useState(String(plan.warnAfterDays));
  const [second, setSecond] = useState(plan.second ?? '');
  const [passphrase, setPassphrase] = useState('');
  const keep = useKept<string | null>(
    (seal) =>
      body(
        api.PUT('/api/backups', {
          body: {
            days: DAYS.map(({ value }) => value).filter((day) => days.includes(day)),
            at,
            keepDays: Number(keepDays),
            keepMonths: Number(keepMonths),
            warnAfterDays: Number(warnAfterDays),
            second: second.trim() === '' ? null : second,
            passphrase: seal,
          },
        }),
      ),
    SHOWS,
    () => {
      setPassphrase('');
    },
  );
  const wrong = (pointer: string) => keep.error?.errors.find((error) => error.pointer === pointer)?.message;
  const pointed = ['/at', '/keepDays', '/keepMonths', '/warnAfterDays', '/second', '/passphrase'];
  const elsewhere = pointed.every((pointer) => wrong(pointer) === undefined) ? keep.error?.message : undefined;
  return (
    <form
      aria-label="By themselves"
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(passphrase === '' ? null : passphrase);
      }}
    >
      <h2 className="text-2xl leading-tight font-semibold">By themselves</h2>
      <fieldset>
        <legend>On</legend>
        <div className="mt-1 flex flex-wrap gap-1.5">
          {DAYS.map(({ value, name, full }) => (
            <label
              key={value}
              className={`grid h-12 min-w-12 cursor-pointer place-items-center rounded-field border-2 border-base-content/60 px-2 has-focus-visible:outline-3 has-focus-visible:outline-info ${
                days.includes(value) ? 'bg-base-content font-semibold text-base-100' : 'bg-base-100'
              }`}
            >
              <input
                type="checkbox"
                className="sr-only"
                aria-label={full}
                checked={days.includes(value)}
                onChange={() => {
                  setDays(days.includes(value) ? days.filter((day) => day !== value) : [...days, value]);
                }}
              />
              {name}
            </label>
          ))}
        </div>
      </fieldset>
      <div className="grid grid-cols-2 items-end gap-3">
        <TextField label="At" type="time" required value={at} onChange={setAt} problem={wrong('/at')} />
        <Count
          label="Warn when older than, days"
          most={60}
          value={warnAfterDays}
          onChange={setWarnAfterDays}
          problem={wrong('/warnAfterDays')}
        />
        <Count
          label="One of each day, for days"
          most={90}
          value={keepDays}
          onChange={setKeepDays}
          problem={wrong('/keepDays')}
        />
        <Count
          label="One of each month, for months"
          most={120}
          value={keepMonths}
          onChange={setKeepMonths}
          problem={wrong('/keepMonths')}
        />
      </div>
      <p>A machine that is off at that time makes it when it is on again.</p>
      <TextField
        label="A second place: a folder on another disk"
        value={second}
        onChange={setSecond}
        placeholder="/mnt/…"
        spellCheck={false}
        autoComplete="off"
        problem={wrong('/second')}
        note={
          plan.second !== null && plan.second !== undefined && !plan.secondOnItsOwnDisk
            ? '▲ It is on the same disk as the data: when that breaks, both are gone.'
            : 'On the machine that runs Lobrik: a disk beside it, or one of the network that is mounted there. None: leave it empty; then a broken disk takes record and backups.'
        }
      />
      <TextField
        label={plan.sealed ? 'Another passphrase' : 'Seal them with a passphrase'}
        type="password"
        value={passphrase}
        onChange={setPassphrase}
        autoComplete="new-password"
        problem={wrong('/passphrase')}
        note={
          plan.sealed
            ? '● Sealed: nobody opens them without the passphrase, you neither. Keep it on paper, away from the machine.'
            : 'Not sealed: whoever has such a file has the school. With a passphrase nobody opens it without: keep that on paper, away from the machine.'
        }
      />
      <div className="flex flex-wrap gap-3">
        <button className="btn h-12 btn-neutral px-6 text-lg" disabled={keep.isPending}>
          Do it so
        </button>
        {plan.sealed && (
          <button
            type="button"
            className="btn h-12 text-lg btn-outline"
            disabled={keep.isPending}
            onClick={() => {
              keep.mutate('');
            }}
          >
            Seal them no longer
          </button>
        )}
      </div>
      <p role="status">{keep.isSuccess && '● Kept.'}</p>
      <Beside problem={elsewhere} />
    </form>
  );
}

function Count({
  most,
  ...field
}: {
  label: string;
  most: number;
  value: string;
  onChange: (value: string) => void;
  problem: string | undefined;
}) {
  return <TextField type="number" min={1} max={most} required {...field} />;
}
