import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Beside } from '../frame/Beside';
import { useMay } from '../frame/rights';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { day } from './days';
import { counted, KINDS, monthsLong } from './retentionWords';
import { useKept } from './useKept';

const SHOWS = ['retention'];

/** How long data of each kind is kept, and what would go. */
export function RetentionRules() {
  const rules = useQuery<Schemas['Keeping'][], Problem>({
    queryKey: ['retention'],
    queryFn: () => body(api.GET('/api/retention')),
  });
  const leads = useMay('LEAD');
  return (
    <section aria-label="How long data is kept">
      <h2 className="text-2xl leading-tight font-semibold">How long data is kept</h2>
      <p className="text-lg leading-snug">
        For ever, unless you say otherwise. What the law asks of your school is for you to know; nothing goes that you
        have not looked at first.
      </p>
      <Beside problem={rules.error?.message} />
      <ul className="mt-2">
        {rules.data?.map((rule) => (
          <Rule key={`${rule.kind} ${String(rule.edition)} ${rule.lastAt ?? ''}`} rule={rule} leads={leads} />
        ))}
      </ul>
    </section>
  );
}

function Rule({ rule, leads }: { rule: Schemas['Keeping']; leads: boolean }) {
  const { kind, edition } = rule;
  const as = KINDS[kind];
  const [months, setMonths] = useState(String(rule.months ?? as.usual));
  const [byCalendar, setByCalendar] = useState(rule.byCalendar);
  const asked = Number(months);
  const good = Number.isInteger(asked) && asked >= 1 && asked <= 240;
  const keep = useKept<number | null>(
    (kept) =>
      body(
        api.PUT('/api/retention/{kind}', {
          params: { path: { kind } },
          body: { edition, months: kept, byCalendar: kept !== null && byCalendar },
        }),
      ),
    SHOWS,
  );
  return (
    <li className="border-t border-base-300 py-3">
      <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
        <div className="min-w-0">
          <h3 className="text-xl leading-tight font-semibold">{as.name}</h3>
          <p className="leading-snug">{as.about}</p>
          <p className="text-lg leading-snug">
            {rule.months == null
              ? '● Kept for ever.'
              : `◐ Kept for ${monthsLong(rule.months)}; ${rule.byCalendar ? 'what is older goes by itself, every day.' : 'what is older goes when you say so.'}`}
            {rule.lastAt != null && rule.lastTaken != null && (
              <span className="block text-base">
                {counted(kind, rule.lastTaken)} went on {day(rule.lastAt)}.
              </span>
            )}
          </p>
        </div>
        {leads && (
          <form
            aria-label={`Keep ${as.name.toLowerCase()}`}
            className="flex flex-wrap items-end gap-3"
            onSubmit={(event) => {
              event.preventDefault();
              keep.mutate(asked);
            }}
          >
            <div className="w-28">
              <TextField label="Months" type="number" min={1} max={240} required value={months} onChange={setMonths} />
            </div>
            <label className="flex min-h-12 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={byCalendar}
                onChange={(event) => {
                  setByCalendar(event.target.checked);
                }}
              />
              by itself, every day
            </label>
            <button
              className={`${BUTTON} h-12`}
              disabled={keep.isPending || !good || (asked === rule.months && byCalendar === rule.byCalendar)}
            >
              Keep so long
            </button>
            {rule.months != null && (
              <button
                type="button"
                className={`${BUTTON} h-12`}
                disabled={keep.isPending}
                onClick={() => {
                  keep.mutate(null);
                }}
              >
                For ever
              </button>
            )}
          </form>
        )}
      </div>
      <Beside problem={keep.error?.message} />
      {leads && good && <WouldGo rule={rule} months={asked} />}
    </li>
  );
}

/** What would go by a rule that is being looked at, and the button for it once that rule is kept. */
function WouldGo({ rule, months }: { rule: Schemas['Keeping']; months: number }) {
  const { kind } = rule;
  const seen = useQuery<Schemas['WouldGo'], Problem>({
    queryKey: ['retention', kind, months],
    queryFn: () => body(api.GET('/api/retention/{kind}/preview', { params: { path: { kind }, query: { months } } })),
  });
  const run = useKept<number>(
    (count) => body(api.POST('/api/retention/{kind}/runs', { params: { path: { kind } }, body: { seen: count } })),
    ['retention', 'trainees', 'keptCohorts', 'progress', 'studies'],
  );
  const [sure, setSure] = useState(false);
  const gone = seen.data;
  if (gone === undefined) {
    return <Beside problem={seen.error?.message} />;
  }
  if (gone.count === 0) {
    return <p className="mt-1 leading-snug">Nothing is older than {monthsLong(months)}.</p>;
  }
  return (
    <div className="mt-1 leading-snug">
      <p>
        ▲ {counted(kind, gone.count)} {gone.count === 1 ? 'is' : 'are'} older than {monthsLong(months)}, from{' '}
        {day(gone.before)} back{gone.oldest != null && ` to ${day(gone.oldest)}`}
        {gone.names.length > 0 && `: ${gone.names.join(', ')}${gone.names.length < gone.count ? ' …' : ''}`}.
      </p>
      {rule.months === months &&
        (sure ? (
          <span className="mt-1 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn h-12 px-5 text-lg btn-error"
              disabled={run.isPending}
              onClick={() => {
                run.mutate(gone.count);
              }}
            >
              {counted(kind, gone.count)} for good: nobody can bring that back
            </button>
            <button
              type="button"
              className={`${BUTTON} h-12`}
              onClick={() => {
                setSure(false);
              }}
            >
              Not now
            </button>
          </span>
        ) : (
          <button
            type="button"
            className={`${BUTTON} mt-1`}
            onClick={() => {
              setSure(true);
            }}
          >
            Take it away…
          </button>
        ))}
      <Beside problem={run.error?.message} />
    </div>
  );
}
