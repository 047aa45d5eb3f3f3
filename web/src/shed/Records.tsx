import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { SearchField } from '../frame/SearchField';
import { Select } from '../frame/Select';
import { BUTTON } from '../library/button';
import { moment } from './days';
import { SUBJECTS, WHATS, type Wanted, wantedQuery } from './recordWords';

type Entry = Schemas['AuditEntry'];

const PAGE = 100;

/** Who did what: sign-ins, files taken out, and every change, from what to what; and whether that is whole. */
export function Records() {
  const [wanted, setWanted] = useState<Wanted>({ text: '', what: '', subject: '', since: '', until: '' });
  const settled = useDeferredValue(wanted);
  const query = wantedQuery(settled);
  const entries = useInfiniteQuery<Entry[], Problem, { pages: Entry[][] }, unknown[], number | undefined>({
    queryKey: ['audit', query],
    queryFn: ({ pageParam }) =>
      body(
        api.GET('/api/audit', {
          params: { query: { ...query, ...(pageParam === undefined ? {} : { before: pageParam }) } },
        }),
      ),
    initialPageParam: undefined,
    getNextPageParam: (last) => (last.length < PAGE ? undefined : last.at(-1)?.entryNo),
  });
  const change = (part: Partial<Wanted>) => {
    setWanted({ ...wanted, ...part });
  };
  const all = entries.data?.pages.flat() ?? [];
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-end gap-3 border-b border-base-300 px-4 py-2">
        <SearchField
          label="Find"
          value={wanted.text}
          onChange={(typed) => {
            change({ text: typed });
          }}
        />
        <div className="w-40">
          <Select
            label="What"
            value={wanted.what}
            onChange={(what) => {
              change({ what });
            }}
            options={[{ value: '', name: 'Everything' }, ...WHATS]}
          />
        </div>
        <div className="w-44">
          <Select
            label="About"
            value={wanted.subject}
            onChange={(subject) => {
              change({ subject });
            }}
            options={[{ value: '', name: 'Anything' }, ...SUBJECTS]}
          />
        </div>
        {(['since', 'until'] as const).map((end) => (
          <label key={end} className="grid gap-0.5">
            <span className="text-sm leading-none">{end === 'since' ? 'From' : 'To'}</span>
            <input
              type="date"
              value={wanted[end]}
              onChange={(event) => {
                change({ [end]: event.target.value });
              }}
              className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
            />
          </label>
        ))}
        <a
          href={`/api/audit.csv?${new URLSearchParams(query).toString()}`}
          download
          className={`${BUTTON} ml-auto grid place-items-center`}
        >
          As a file
        </a>
      </div>
      <Chain />
      <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="region" aria-label="Entries">
        {entries.error !== null && (
          <p role="alert" className="p-4 text-lg text-error">
            ✕ {entries.error.message}
          </p>
        )}
        <ol>
          {all.map((entry) => (
            <EntryRow key={entry.entryNo} entry={entry} />
          ))}
        </ol>
        {entries.isSuccess && all.length === 0 && <p className="p-4 text-lg">Nothing of that kind is written down.</p>}
        {entries.hasNextPage && (
          <button
            type="button"
            className={`${BUTTON} m-4`}
            disabled={entries.isFetchingNextPage}
            onClick={() => void entries.fetchNextPage()}
          >
            Older ones
          </button>
        )}
      </div>
    </div>
  );
}

/** Whether every entry holds the hash of the one before, checked when somebody asks. */
function Chain() {
  const chain = useQuery<Schemas['ChainFound'][], Problem>({
    queryKey: ['audit', 'chain'],
    queryFn: () => body(api.GET('/api/audit/chain')),
    enabled: false,
  });
  const own = chain.data?.find(({ school }) => school != null);
  const fault = chain.data?.find((found) => found.fault != null)?.fault;
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 px-4 py-1.5 leading-snug">
      <button type="button" className={BUTTON} disabled={chain.isFetching} onClick={() => void chain.refetch()}>
        Check that it is whole
      </button>
      <p role="status" className="min-w-0 flex-1 text-lg">
        {chain.data !== undefined &&
          (fault == null ? (
            <>
              ● {own?.entries ?? 0} entries, none changed, taken out or put in. The last is{' '}
              <span className="figures break-all">{own?.head.slice(0, 16)}</span>
              {(own?.blanked ?? 0) > 0 && `; ${String(own?.blanked)} are blank since somebody was erased`}.
            </>
          ) : (
            <span className="text-error">✕ It is not whole: {fault}.</span>
          ))}
        {chain.error !== null && <span className="text-error">✕ {chain.error.message}</span>}
      </p>
    </div>
  );
}

function EntryRow({ entry }: { entry: Entry }) {
  const what = WHATS.find(({ value }) => value === entry.what)?.name ?? entry.what;
  const subject = SUBJECTS.find(({ value }) => value === entry.subject)?.name;
  return (
    <li className="grid gap-x-4 border-b border-base-300 px-4 py-2 leading-snug sm:grid-cols-[11rem_12rem_1fr]">
      <span className="figures">{moment(entry.at)}</span>
      <span className="font-semibold">{entry.who ?? 'Nobody signed in'}</span>
      <span className="min-w-0">
        {entry.blanked ? (
          <i>blank since somebody was erased</i>
        ) : (
          <>
            {what}
            {subject !== undefined && ` · ${subject}`}
            {entry.about !== '' && (
              <>
                : <b>{entry.about}</b>
              </>
            )}
            {entry.changes.map((change) => (
              <span key={change.what} className="block break-words">
                {change.what}: {change.from != null && <s className="opacity-80">{change.from}</s>}{' '}
                {change.to != null && <>→ {change.to}</>}
              </span>
            ))}
            {entry.reason != null && <span className="block">“{entry.reason}”</span>}
          </>
        )}
      </span>
    </li>
  );
}
