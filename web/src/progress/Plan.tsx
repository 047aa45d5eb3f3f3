import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, body, Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { usePlan } from '../api/progress';
import { familyOf } from '../bends/families';
import { BendGlyph } from './BendGlyph';
import { useAddress } from '../frame/address';
import { IfMay } from '../frame/IfMay';
import { Select } from '../frame/Select';
import { type ClassSession, SHOWS_SESSIONS, useSessions } from '../shed/sessionQueries';
import { useKept } from '../shed/useKept';
import { dayHere, daysAfter, shortDay } from '../shed/weeks';

type PlanOfSession = Schemas['PlanView'];
type Group = Schemas['PlanGroup'];

/** A plan is made for the coming weeks; beyond them everybody will need something else. */
const WEEKS_AHEAD = 6;

/** What somebody changed about a group of the plan. */
interface Change {
  entryId?: string;
  leftOut?: boolean;
  varied?: boolean;
}

/** The coming session: who bends what and why, given out in one step. */
export function Plan({ cohortId }: { cohortId: string | undefined }) {
  const plan = usePlan(cohortId);
  if (plan.data === undefined) {
    return (
      <p className="p-4 text-lg" role={plan.error === null ? 'status' : 'alert'}>
        {plan.error?.message ?? 'Working it out…'}
      </p>
    );
  }
  return <PlanForm key={plan.data.cohortId} plan={plan.data} />;
}

function PlanForm({ plan }: { plan: PlanOfSession }) {
  const client = useQueryClient();
  const sessions = useComing(plan.cohortId);
  const [search, changeAddress] = useAddress();
  const session = sessions.find(({ id }) => id === search.get('session'));
  const [changes, setChanges] = useState<Record<string, Change>>({});
  const [key, setKey] = useState(() => newId());
  const parts = plan.groups.flatMap((group) => {
    const change = changes[group.family] ?? {};
    const entry = group.others.find(({ id }) => id === change.entryId) ?? group.entry;
    return entry == null || change.leftOut === true
      ? []
      : [
          {
            entryId: entry.id,
            traineeIds: group.trainees.map(({ traineeId }) => traineeId),
            varied: entry.varies && change.varied !== false,
          },
        ];
  });
  const give = useMutation<Schemas['PlanGiven'], Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/cohorts/{id}/plans/{key}', {
          params: { path: { id: plan.cohortId, key } },
          body: { parts, dueOn: null },
        }),
      ),
    onSuccess: () => {
      setKey(newId());
      for (const queryKey of [['floor'], ['givings'], ['kit'], ['progress', 'plan']]) {
        void client.invalidateQueries({ queryKey });
      }
    },
  });
  const keep = useKept<ClassSession>(
    ({ id, edition }) =>
      body(api.PUT('/api/class-sessions/{id}/plan', { params: { path: { id } }, body: { edition, parts } })),
    SHOWS_SESSIONS,
  );
  const people = parts.reduce((sum, part) => sum + part.traineeIds.length, 0);
  return (
    <div className="flex h-full flex-col">
      <div className="min-h-0 flex-1 overflow-y-auto px-4">
        <Waiting ready={plan.ready} />
        {plan.groups.map((group) => (
          <GroupOfPlan
            key={group.family}
            group={group}
            change={changes[group.family] ?? {}}
            onChange={(change) => {
              setChanges((now) => ({ ...now, [group.family]: { ...now[group.family], ...change } }));
            }}
          />
        ))}
      </div>
      <footer className="flex flex-wrap items-center gap-4 border-t-2 border-base-content/60 px-4 py-2">
        <IfMay right="TEACH">
          {sessions.length > 0 && (
            <div className="w-60">
              <Select
                label="When"
                value={session?.id ?? ''}
                onChange={(id) => {
                  changeAddress({ session: id });
                }}
                options={[
                  { value: '', name: 'now' },
                  ...sessions.map(({ id, day, from }) => ({ value: id, name: `${shortDay(day)}, ${from}` })),
                ]}
              />
            </div>
          )}
          <button
            type="button"
            className="btn h-12 px-6 text-lg btn-primary"
            disabled={parts.length === 0 || give.isPending || keep.isPending}
            onClick={() => {
              if (session === undefined) {
                give.mutate();
              } else {
                keep.mutate(session);
              }
            }}
          >
            {session === undefined ? 'Give all of this out' : 'Plan it for this session'}
          </button>
        </IfMay>
        <span className="text-lg">
          {people} {people === 1 ? 'trainee' : 'trainees'}, {parts.length}{' '}
          {parts.length === 1 ? 'exercise' : 'exercises'}
        </span>
        <span role="status" className="text-lg">
          {keep.isSuccess && session !== undefined && (
            <>
              <span className="text-success">● </span>Planned; it is given out when the session begins.{' '}
              <Link
                to={`/shed?side=sessions&week=${session.day}&session=${session.id}`}
                className="underline underline-offset-4"
              >
                See the session
              </Link>
            </>
          )}
          {give.isSuccess && session === undefined && (
            <>
              <span className="text-success">● </span>Given out.{' '}
              <Link to="/set/library?side=given" className="underline underline-offset-4">
                Print the sheets
              </Link>
            </>
          )}
        </span>
        {(give.error ?? keep.error) !== null && (
          <span role="alert" className="text-error">
            ✕ {(give.error ?? keep.error)?.message}
          </span>
        )}
      </footer>
    </div>
  );
}

/** The sessions of a cohort that a plan can be for: those of the coming weeks that have not begun. */
function useComing(cohortId: string): ClassSession[] {
  const [today] = useState(() => dayHere());
  const { data } = useSessions(today, daysAfter(today, WEEKS_AHEAD * 7));
  return (data?.sessions ?? []).filter(
    (each) => each.cohortId === cohortId && each.begunAt == null && each.calledOff == null,
  );
}

/** Who can be signed off before they bend anything else, by family of bends. */
function Waiting({ ready }: { ready: PlanOfSession['ready'] }) {
  if (ready.length === 0) {
    return null;
  }
  const families = [...new Set(ready.map(({ family }) => family))];
  return (
    <section aria-label="Signatures that wait" className="border-b border-base-300 py-2 leading-snug">
      <h2 className="text-xl font-semibold">Ready for sign-off first</h2>
      {families.map((family) => (
        <p key={family}>
          <b>{familyOf(family).name}:</b>{' '}
          {ready
            .filter((each) => each.family === family)
            .map(({ traineeId, fullName }, i) => (
              <span key={traineeId}>
                {i > 0 && ', '}
                <Link to={`/progress/${traineeId}?bend=${family}`} className="underline underline-offset-4">
                  {fullName}
                </Link>
              </span>
            ))}
        </p>
      ))}
    </section>
  );
}

function GroupOfPlan({
  group,
  change,
  onChange,
}: {
  group: Group;
  change: Change;
  onChange: (change: Change) => void;
}) {
  const name = familyOf(group.family).name;
  const entry = group.others.find(({ id }) => id === change.entryId) ?? group.entry;
  const taken = entry != null && change.leftOut !== true;
  return (
    <section aria-label={name} className="grid gap-x-6 border-b border-base-300 py-3 md:grid-cols-[20rem_1fr]">
      <div>
        <h2 className="flex items-center gap-3 text-2xl leading-tight font-semibold">
          <BendGlyph kind={familyOf(group.family).kind} />
          {name}
        </h2>
        {entry == null ? (
          <p className="mt-1 leading-snug">
            ▲ The library has none.{' '}
            <Link to="/set" className="underline underline-offset-4">
              Set one
            </Link>{' '}
            and come back.
          </p>
        ) : (
          <>
            <label className="mt-1 grid text-sm">
              Exercise; the least used by them first
              <select
                value={entry.id}
                onChange={(event) => {
                  onChange({ entryId: event.target.value });
                }}
                className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
              >
                {group.others.map(({ id, title }) => (
                  <option key={id} value={id}>
                    {title}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={taken}
                onChange={(event) => {
                  onChange({ leftOut: !event.target.checked });
                }}
              />
              Give it out
            </label>
            {entry.varies && (
              <label className="flex min-h-9 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={change.varied !== false}
                  onChange={(event) => {
                    onChange({ varied: event.target.checked });
                  }}
                />
                A variant each
              </label>
            )}
          </>
        )}
      </div>
      <ul className={`grid content-start ${taken ? '' : 'opacity-60'}`}>
        {group.trainees.map(({ traineeId, fullName, bench, next }) => (
          <li key={traineeId} className="flex flex-wrap items-baseline gap-x-3 py-0.5 leading-snug">
            <span className="figures w-7 text-right">{bench}</span>
            <Link
              to={`/progress/${traineeId}?bend=${group.family}`}
              className="text-lg font-semibold underline-offset-4 hover:underline"
            >
              {fullName}
            </Link>
            <span>
              {next.reason === 'habit' && <span aria-hidden="true">▲ </span>}
              {next.sentence}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
