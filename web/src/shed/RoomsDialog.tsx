import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { useMay } from '../frame/rights';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { useTimetableSetting } from './sessionQueries';
import { useKept } from './useKept';
import { shortDay } from './weeks';

const SHOWS = ['timetableSetting', 'sessions'];

/** Rooms with their benches, and the days on which the school is closed. */
export function RoomsDialog({ onClose }: { onClose: () => void }) {
  const setting = useTimetableSetting();
  const leads = useMay('LEAD');
  return (
    <Dialog title="Rooms and holidays" wide onClose={onClose}>
      <div className="grid gap-6 md:grid-cols-2">
        <section aria-label="Rooms">
          <h3 className="text-lg font-semibold">Rooms</h3>
          {setting.data?.rooms.length === 0 && <p>No room yet.</p>}
          <ul>
            {setting.data?.rooms.map((room) => (
              <RoomRow key={`${room.id} ${String(room.edition)}`} room={room} leads={leads} />
            ))}
          </ul>
          {leads && setting.data !== undefined && <NewRoom key={setting.data.rooms.length} />}
        </section>
        <section aria-label="Holidays">
          <h3 className="text-lg font-semibold">Closed</h3>
          {setting.data?.holidays.length === 0 && <p>On no day.</p>}
          <ul>
            {setting.data?.holidays.map((holiday) => (
              <HolidayRow key={holiday.id} holiday={holiday} leads={leads} />
            ))}
          </ul>
          {leads && setting.data !== undefined && <NewHoliday key={setting.data.holidays.length} />}
        </section>
      </div>
    </Dialog>
  );
}

function RoomRow({ room, leads }: { room: Schemas['RoomView']; leads: boolean }) {
  const keep = useKept(
    () =>
      body(
        api.PUT('/api/rooms/{id}', {
          params: { path: { id: room.id } },
          body: {
            edition: room.edition,
            name: room.name,
            benches: room.benches,
            places: room.places,
            putAway: !room.putAway,
          },
        }),
      ),
    SHOWS,
  );
  return (
    <li className="flex items-center justify-between gap-2 border-b border-base-300 py-1 leading-tight">
      <span>
        <span className={`block text-lg font-semibold ${room.putAway ? 'line-through' : ''}`}>{room.name}</span>
        {room.benches} {room.benches === 1 ? 'bench' : 'benches'}, {room.places}{' '}
        {room.places === 1 ? 'place' : 'places'} at each
        <Beside problem={keep.error?.message} />
      </span>
      {leads && (
        <button
          type="button"
          className={BUTTON}
          disabled={keep.isPending}
          onClick={() => {
            keep.mutate(undefined);
          }}
        >
          {room.putAway ? 'Offer again' : 'Put away'}
        </button>
      )}
    </li>
  );
}

function NewRoom() {
  const [id] = useState(() => newId());
  const [name, setName] = useState('');
  const [benches, setBenches] = useState('8');
  const [places, setPlaces] = useState('2');
  const add = useKept(
    () =>
      body(
        api.PUT('/api/rooms/{id}', {
          params: { path: { id } },
          body: { name, benches: Number(benches), places: Number(places) },
        }),
      ),
    SHOWS,
  );
  return (
    <form
      className="mt-3 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(undefined);
      }}
    >
      <TextField label="Name of a room" value={name} onChange={setName} required maxLength={60} />
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Benches" type="number" min={1} max={200} required value={benches} onChange={setBenches} />
        <TextField label="Places at each" type="number" min={1} max={20} required value={places} onChange={setPlaces} />
      </div>
      <Beside problem={add.error?.message} />
      <button className={BUTTON} disabled={add.isPending}>
        Add the room
      </button>
    </form>
  );
}

function HolidayRow({ holiday, leads }: { holiday: Schemas['HolidayView']; leads: boolean }) {
  const open = useKept(() => body(api.DELETE('/api/holidays/{id}', { params: { path: { id: holiday.id } } })), SHOWS);
  return (
    <li className="flex items-center justify-between gap-2 border-b border-base-300 py-1 leading-tight">
      <span>
        <span className="block text-lg font-semibold">{holiday.name}</span>
        {shortDay(holiday.firstDay)}
        {holiday.lastDay !== holiday.firstDay && ` to ${shortDay(holiday.lastDay)}`}
        <Beside problem={open.error?.message} />
      </span>
      {leads && (
        <button
          type="button"
          className={BUTTON}
          disabled={open.isPending}
          onClick={() => {
            open.mutate(undefined);
          }}
        >
          Take out
        </button>
      )}
    </li>
  );
}

function NewHoliday() {
  const [id] = useState(() => newId());
  const [name, setName] = useState('');
  const [firstDay, setFirstDay] = useState('');
  const [lastDay, setLastDay] = useState('');
  const close = useKept(
    () =>
      body(
        api.PUT('/api/holidays/{id}', {
          params: { path: { id } },
          body: { name, firstDay, lastDay: lastDay === '' ? firstDay : lastDay },
        }),
      ),
    SHOWS,
  );
  return (
    <form
      className="mt-3 grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        close.mutate(undefined);
      }}
    >
      <TextField label="What the school is closed for" value={name} onChange={setName} required maxLength={60} />
      <div className="grid grid-cols-2 gap-3">
        <TextField label="First day" type="date" required value={firstDay} onChange={setFirstDay} />
        <TextField label="Last day" type="date" value={lastDay} onChange={setLastDay} />
      </div>
      <Beside problem={close.error?.message} />
      <button className={BUTTON} disabled={close.isPending}>
        Close the school then
      </button>
    </form>
  );
}
