import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { Select } from '../frame/Select';
import { BUTTON } from '../library/button';
import { type RotaPerson, type RotaSession, SHOWS_SEATS } from './sessionQueries';
import { useKept } from './useKept';
import { shortDay } from './weeks';

/** Why somebody sits where they sit, and another seat for them by hand. */
export function SeatDialog({
  person,
  session,
  benders,
  onClose,
}: {
  person: RotaPerson;
  session: RotaSession;
  benders: readonly Schemas['RotaBender'][];
  onClose: () => void;
}) {
  const seat = person.seats.find(({ sessionId }) => sessionId === session.id);
  const there = benders.filter(({ id }) => session.benders.includes(id));
  const [bench, setBench] = useState(String(seat?.bench ?? session.benches[0] ?? ''));
  const [bender, setBender] = useState(seat?.benderId ?? there[0]?.id ?? '');
  const change = useKept<Schemas['SeatPlace'] | null>(
    (place) =>
      body(
        api.PUT('/api/class-sessions/{id}/seats/{traineeId}', {
          params: { path: { id: session.id, traineeId: person.traineeId } },
          body: {
            seen: seat === undefined ? null : { bench: seat.bench, benderId: seat.benderId },
            place,
          },
        }),
      ),
    SHOWS_SEATS,
    onClose,
  );
  return (
    <Dialog title={`${person.fullName}, ${shortDay(session.day)}`} onClose={onClose}>
      <div className="grid gap-3">
        <p className="text-lg leading-snug">{seat?.why ?? 'No seat yet.'}</p>
        {there.length === 0 || session.benches.length === 0 ? (
          <p>▲ This session has no {there.length === 0 ? 'bender' : 'bench'}: change it in the calendar first.</p>
        ) : (
          <>
            <div className="grid grid-cols-2 gap-3">
              <Select
                label="Bench"
                value={bench}
                onChange={setBench}
                options={session.benches.map((number) => ({ value: String(number), name: String(number) }))}
              />
              <Select
                label="Bender"
                value={bender}
                onChange={setBender}
                options={there.map(({ id, label }) => ({ value: id, name: label }))}
              />
            </div>
            <div className="flex flex-wrap gap-2">
              <button
                type="button"
                className="btn h-12 btn-neutral text-lg"
                disabled={change.isPending}
                onClick={() => {
                  change.mutate({ bench: Number(bench), benderId: bender });
                }}
              >
                Seat them here, and keep it so
              </button>
              {seat?.byHand === true && (
                <button
                  type="button"
                  className={BUTTON}
                  disabled={change.isPending}
                  onClick={() => {
                    change.mutate(null);
                  }}
                >
                  Leave it to the rota again
                </button>
              )}
            </div>
          </>
        )}
        <Beside problem={change.error?.message} />
      </div>
    </Dialog>
  );
}
