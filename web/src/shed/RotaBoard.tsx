import { useMutation } from '@tanstack/react-query';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { api, body, Problem, type Schemas } from '../api/client';
import { useAddress } from '../frame/address';
import { useMay } from '../frame/rights';
import { Select } from '../frame/Select';
import { BUTTON } from '../library/button';
import { RotaWishes } from './RotaWishes';
import { SeatDialog } from './SeatDialog';
import { type Rota, type RotaPerson, type RotaSession, SHOWS_SEATS, useRota } from './sessionQueries';
import { useKept } from './useKept';
import { shortDay } from './weeks';

/** How many sessions that were are shown before those to come. */
const SHOWN_BEFORE = 2;

/** Who of a cohort sits where, session by session; worked out, changed by hand, with the reasons. */
export function RotaBoard({ cohorts, children }: { cohorts: Schemas['KeptCohort'][]; children: ReactNode }) {
  const [search, changeAddress] = useAddress();
  const cohort = cohorts.find(({ id }) => id === search.get('cohort')) ?? cohorts[0];
  const rota = useRota(cohort?.id);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-end gap-3 border-b border-base-300 px-3 py-1.5">
        {children}
        <div className="w-56">
          <Select
            label="Cohort"
            value={cohort?.id ?? ''}
            onChange={(id) => {
              changeAddress({ cohort: id });
            }}
            options={cohorts.map(({ id, name }) => ({ value: id, name }))}
          />
        </div>
      </div>
      {rota.data === undefined ? (
        <p className="p-4 text-lg" role={rota.error === null ? 'status' : 'alert'}>
          {rota.error?.message ?? 'Opening…'}
        </p>
      ) : (
        <Board key={rota.data.cohortId} kept={rota.data} />
      )}
    </div>
  );
}

function Board({ kept }: { kept: Rota }) {
  const [proposed, setProposed] = useState<Rota>();
  const [seat, setSeat] = useState<{ traineeId: string; sessionId: string }>();
  const teaches = useMay('TEACH');
  const working = useWorkOut(kept.cohortId, setProposed);
  const keep = useKept<Rota>(
    (rota) =>
      body(
        api.PUT('/api/rota/{cohortId}', {
          params: { path: { cohortId: rota.cohortId } },
          body: { seats: seatsToCome(rota) },
        }),
      ),
    SHOWS_SEATS,
    () => {
      setProposed(undefined);
    },
  );
  const rota = proposed ?? kept;
  const coming = rota.sessions.filter(({ over }) => !over);
  const first = rota.sessions.length - coming.length;
  const shown = rota.sessions.slice(Math.max(0, first - SHOWN_BEFORE));
  const person = rota.people.find(({ traineeId }) => traineeId === seat?.traineeId);
  const session = rota.sessions.find(({ id }) => id === seat?.sessionId);
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <div className="flex min-w-0 flex-1 flex-col">
        {shown.length === 0 ? (
          <p className="max-w-2xl p-4 text-xl leading-snug">
            This cohort has no sessions yet. Add some in the <b>Calendar</b>, with the benders that are in the room;
            then who sits where is worked out for all of them.
          </p>
        ) : (
          <Grid
            rota={rota}
            shown={shown}
            onSeat={
              teaches && proposed === undefined
                ? (traineeId, sessionId) => {
                    setSeat({ traineeId, sessionId });
                  }
                : undefined
            }
          />
        )}
        {coming.length > 0 && (
          <footer className="flex flex-wrap items-center gap-x-4 gap-y-2 border-t-2 border-base-content/60 px-3 py-2">
            {teaches && proposed === undefined && (
              <button
                type="button"
                className="btn h-12 px-5 text-lg btn-primary"
                disabled={working.isPending}
                onClick={() => {
                  working.start();
                }}
              >
                {working.isPending ? `Working it out, ${String(working.seconds)} s` : 'Work it out'}
              </button>
            )}
            {working.isPending && (
              <button type="button" className={BUTTON} onClick={working.cancel}>
                Cancel
              </button>
            )}
            {proposed !== undefined && (
              <>
                <button
                  type="button"
                  className="btn h-12 px-5 text-lg btn-primary"
                  disabled={keep.isPending}
                  onClick={() => {
                    keep.mutate(proposed);
                  }}
                >
                  Keep this
                </button>
                <button
                  type="button"
                  className={BUTTON}
                  onClick={() => {
                    setProposed(undefined);
                  }}
                >
                  As it was
                </button>
              </>
            )}
            <Standing rota={rota} isProposal={proposed !== undefined} />
            {(working.error ?? keep.error) !== null && (
              <span role="alert" className="text-error">
                ✕ {(working.error ?? keep.error)?.message}
              </span>
            )}
          </footer>
        )}
      </div>
      <RotaWishes cohortId={rota.cohortId} people={rota.people} mayChange={teaches} clashes={rota.clashes} />
      {person !== undefined && session !== undefined && (
        <SeatDialog
          person={person}
          session={session}
          benders={rota.benders}
          onClose={() => {
            setSeat(undefined);
          }}
        />
      )}
    </div>
  );
}

function seatsToCome(rota: Rota): Schemas['SeatToKeep'][] {
  const coming = new Set(rota.sessions.filter(({ over }) => !over).map(({ id }) => id));
  return rota.people.flatMap(({ traineeId, seats }) =>
    seats
      .filter(({ sessionId }) => coming.has(sessionId))
      .map(({ sessionId, bench, benderId }) => ({ sessionId, traineeId, bench, benderId })),
  );
}

/** What benders are called where all of them begin with the same word: without it. */
export function shortLabels(benders: readonly Schemas['RotaBender'][]): Record<string, string> {
  const [first] = benders;
  const prefix = /^\S+ /.exec(first?.label ?? '')?.[0];
  const shared = prefix !== undefined && benders.length > 1 && benders.every(({ label }) => label.startsWith(prefix));
  return Object.fromEntries(benders.map(({ id, label }) => [id, shared ? label.slice(prefix.length) : label]));
}

/** What the rota comes to, in a sentence. */
function Standing({ rota, isProposal }: { rota: Rota; isProposal: boolean }) {
  const parts = [
    rota.seatless > 0 && `${String(rota.seatless)} places without anybody seated`,
    rota.seatless === 0 &&
      (rota.unevenness === 0
        ? 'every bender as evenly as can be'
        : `at most ${String(rota.spread)} turns more on one bender than on another, with what was before`),
    rota.seatless === 0 && rota.repeated > 0 && `the same bender twice running ${String(rota.repeated)} times`,
  ].filter((part) => part !== false);
  const good = rota.seatless === 0 && rota.clashes.length === 0;
  return (
    <span role="status" className="text-lg leading-snug">
      {isProposal && <b>Not kept yet: </b>}
      {good ? <span className="text-success">●</span> : '▲'} {parts.join(', ')}
      {rota.clashes.length > 0 &&
        `; ${String(rota.clashes.length)} ${rota.clashes.length === 1 ? 'wish' : 'wishes'} not met`}
    </span>
  );
}

/** Works it out, counts the seconds meanwhile, and can be called off. */
function useWorkOut(cohortId: string, onDone: (rota: Rota) => void) {
  const abort = useRef<AbortController>(undefined);
  const [seconds, setSeconds] = useState(0);
  const { mutate, isPending, error } = useMutation<Rota | undefined, Problem>({
    mutationFn: async () => {
      abort.current = new AbortController();
      try {
        return await body(
          api.POST('/api/rota/{cohortId}/proposal', {
            params: { path: { cohortId } },
            signal: abort.current.signal,
          }),
        );
      } catch (problem) {
        if (abort.current.signal.aborted) {
          return undefined;
        }
        throw problem;
      }
    },
    onSuccess: (rota) => {
      if (rota !== undefined) {
        onDone(rota);
      }
    },
  });
  useEffect(() => {
    if (!isPending) {
      return undefined;
    }
    const timer = setInterval(() => {
      setSeconds((now) => now + 1);
    }, 1000);
    return () => {
      clearInterval(timer);
    };
  }, [isPending]);
  return {
    start: () => {
      setSeconds(0);
      mutate();
    },
    cancel: () => {
      abort.current?.abort();
    },
    isPending,
    seconds,
    error,
  };
}

function Grid({
  rota,
  shown,
  onSeat,
}: {
  rota: Rota;
  shown: readonly RotaSession[];
  onSeat: ((traineeId: string, sessionId: string) => void) | undefined;
}) {
  const labels = Object.fromEntries(rota.benders.map(({ id, label }) => [id, label]));
  const short = shortLabels(rota.benders);
  return (
    <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="region" aria-label="Rota">
      <table className="border-collapse leading-tight">
        <thead className="sticky top-0 z-20 bg-base-100">
          <tr>
            <th className="sticky left-0 z-10 min-w-40 bg-base-100 px-3 py-1 text-left font-normal">Bench ▸ bender</th>
            {shown.map((session) => (
              <th
                key={session.id}
                className={`px-2 py-1 text-left font-normal ${session.over ? 'text-base-content/80' : ''}`}
              >
                <span className="block whitespace-nowrap">{shortDay(session.day)}</span>
                <span className="figures text-sm">{session.over ? 'was' : session.from}</span>
              </th>
            ))}
            {rota.benders.map((bender) => (
              <th
                key={bender.id}
                className="border-l border-base-300 px-2 py-1 text-right align-bottom text-sm font-normal"
              >
                times on {bender.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rota.people.map((person) => (
            <tr key={person.traineeId} className="border-t border-base-300">
              <th className="sticky left-0 bg-base-100 px-3 py-1 text-left text-lg font-semibold">{person.fullName}</th>
              {shown.map((session) => (
                <SeatCell
                  key={session.id}
                  person={person}
                  session={session}
                  labels={labels}
                  short={short}
                  onSeat={
                    onSeat === undefined || session.over
                      ? undefined
                      : () => {
                          onSeat(person.traineeId, session.id);
                        }
                  }
                />
              ))}
              {person.turns.map((times, i) => (
                <td key={rota.benders[i]?.id} className="figures border-l border-base-300 px-2 text-right text-lg">
                  {times}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function SeatCell({
  person,
  session,
  labels,
  short,
  onSeat,
}: {
  person: RotaPerson;
  session: RotaSession;
  labels: Readonly<Record<string, string>>;
  short: Readonly<Record<string, string>>;
  onSeat: (() => void) | undefined;
}) {
  const seat = person.seats.find(({ sessionId }) => sessionId === session.id);
  if (person.away.includes(session.id)) {
    return <td className="px-2">– away</td>;
  }
  const text =
    seat === undefined ? (
      <span>·</span>
    ) : (
      <>
        <span className="figures text-xl font-semibold">{seat.bench}</span>
        <span aria-hidden="true"> ▸ </span>
        {short[seat.benderId]}
        {seat.byHand && ' ◆'}
      </>
    );
  return (
    <td className="p-0">
      {onSeat === undefined ? (
        <span className="block px-2 whitespace-nowrap" title={seat?.why}>
          {text}
        </span>
      ) : (
        <button
          type="button"
          className="min-h-11 w-full px-2 text-left whitespace-nowrap hover:bg-base-200"
          title={seat?.why}
          aria-label={`${person.fullName}, ${shortDay(session.day)}: ${seat === undefined ? 'no seat' : `bench ${String(seat.bench)}, ${labels[seat.benderId] ?? ''}${seat.byHand ? ', by hand' : ''}`}`}
          onClick={onSeat}
        >
          {text}
        </button>
      )}
    </td>
  );
}
