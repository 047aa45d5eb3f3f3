import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { Select } from '../frame/Select';
import { BUTTON } from '../library/button';
import { day } from './days';
import { useKeptCohorts } from './queries';
import { useKept } from './useKept';

const SHOWS = ['calendarFeeds'];

/** Addresses that calendars on phones and desks read the sessions at. */
export function FeedDialog({ onClose }: { onClose: () => void }) {
  const client = useQueryClient();
  const cohorts = useKeptCohorts();
  const feeds = useQuery<Schemas['CalendarFeedView'][], Problem>({
    queryKey: SHOWS,
    queryFn: () => body(api.GET('/api/calendar-feeds')),
  });
  const [whose, setWhose] = useState('');
  const make = useMutation<Schemas['CalendarAddress'], Problem>({
    mutationFn: () => body(api.POST('/api/calendar-feeds', { body: { cohortId: whose === '' ? null : whose } })),
    onSuccess: () => client.invalidateQueries({ queryKey: SHOWS }),
  });
  return (
    <Dialog title="Sessions in a calendar" onClose={onClose}>
      <div className="grid gap-3">
        <p className="leading-snug">
          A calendar on a phone or a desk that is given this address shows the sessions and follows their changes.
          Whoever has the address reads it: it says when, where and which cohort, and no trainee’s name.
        </p>
        <Select
          label="Whose sessions"
          value={whose}
          onChange={setWhose}
          options={[
            { value: '', name: 'those that I hold' },
            ...(cohorts.data ?? [])
              .filter(({ archivedAt }) => archivedAt == null)
              .map(({ id, name }) => ({ value: id, name: `those of ${name}` })),
          ]}
        />
        <button
          type="button"
          className="btn h-12 btn-neutral text-lg"
          disabled={make.isPending}
          onClick={() => {
            make.mutate();
          }}
        >
          Make an address
        </button>
        <Beside problem={make.error?.message} />
        {make.data !== undefined && (
          <label className="grid gap-1">
            Told this once; copy it into the calendar
            <input
              readOnly
              value={make.data.address}
              className="h-12 w-full rounded-field border-2 border-base-content/60 bg-base-200 px-3"
              onFocus={(event) => {
                event.target.select();
              }}
            />
          </label>
        )}
        <ul>
          {feeds.data?.map((feed) => (
            <FeedRow key={feed.id} feed={feed} />
          ))}
        </ul>
      </div>
    </Dialog>
  );
}

function FeedRow({ feed }: { feed: Schemas['CalendarFeedView'] }) {
  const end = useKept(() => body(api.DELETE('/api/calendar-feeds/{id}', { params: { path: { id: feed.id } } })), SHOWS);
  return (
    <li className="flex items-center justify-between gap-2 border-t border-base-300 py-1">
      <span>
        {feed.of}, made {day(feed.madeAt)}
        <Beside problem={end.error?.message} />
      </span>
      <button
        type="button"
        className={BUTTON}
        disabled={end.isPending}
        onClick={() => {
          end.mutate(undefined);
        }}
      >
        End it
      </button>
    </li>
  );
}
