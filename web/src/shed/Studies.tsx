import { useState } from 'react';
import { api, body, type Schemas } from '../api/client';
import { Figure } from '../entry/Figure';
import { useAddress } from '../frame/address';
import { Beside } from '../frame/Beside';
import { useMay } from '../frame/rights';
import { BUTTON } from '../library/button';
import { day } from './days';
import { StudyDialog } from './StudyDialog';
import { INSTRUMENTS, SHOWS_STUDIES, type Study, useStudies } from './studyQueries';
import { StudyReading } from './StudyReading';
import { StudyResults } from './StudyResults';
import { useKept } from './useKept';

/** Measuring the measurers: studies of how far readings can be trusted, and what is made of them. */
export function Studies({ children }: { children?: React.ReactNode }) {
  const [search, changeAddress] = useAddress();
  const studies = useStudies();
  const leads = useMay('LEAD');
  const [beginning, setBeginning] = useState(false);
  const all = studies.data?.studies ?? [];
  const chosen = all.find(({ id }) => id === search.get('study')) ?? all[0];
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-center gap-3 border-b border-base-300 px-3 py-1.5">
        {children}
        {all.length > 0 && (
          <select
            aria-label="Study"
            value={chosen?.id}
            onChange={(event) => {
              changeAddress({ study: event.target.value });
            }}
            className="h-11 max-w-full min-w-0 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
          >
            {all.map((study) => (
              <option key={study.id} value={study.id}>
                {stateMark(study)} {study.title}
              </option>
            ))}
          </select>
        )}
        {leads && (
          <button
            type="button"
            className="btn ml-auto h-11 px-5 text-lg btn-neutral"
            onClick={() => {
              setBeginning(true);
            }}
          >
            Begin a study
          </button>
        )}
      </div>
      {studies.error !== null && (
        <p role="alert" className="p-4 text-lg text-error">
          ✕ {studies.error.message}
        </p>
      )}
      <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="region" aria-label="Measuring the measurers">
        {studies.data !== undefined && all.length === 0 && <NoStudy leads={leads} />}
        {chosen !== undefined && <StudySeen key={chosen.id} study={chosen} leads={leads} />}
        {studies.data !== undefined && <Spread spread={studies.data.spread} leads={leads} />}
      </div>
      {beginning && studies.data !== undefined && (
        <StudyDialog
          offered={studies.data.offered}
          people={studies.data.readers}
          onBegun={(id) => {
            setBeginning(false);
            changeAddress({ study: id });
          }}
          onClose={() => {
            setBeginning(false);
          }}
        />
      )}
    </div>
  );
}

function stateMark({ closedAt, mine, ofEach }: Study): string {
  if (closedAt != null) {
    return '●';
  }
  return mine != null && mine < ofEach ? '▶' : '◐';
}

function NoStudy({ leads }: { leads: boolean }) {
  return (
    <div className="max-w-2xl p-4 text-lg leading-snug">
      <p className="text-xl">How far can a reading be trusted, and does everybody read alike?</p>
      <p className="mt-2">
        Lay out five to ten bent pieces with numbers on them. Two or more people read each of them two or three times,
        without seeing anybody’s figures. What lies between the readings is then told apart: the pieces, the people, and
        what nobody can help.
      </p>
      <p className="mt-2">
        {leads ? 'Begin with Begin a study.' : 'The lead of the school begins one, and asks you to read.'}
      </p>
    </div>
  );
}

function StudySeen({ study, leads }: { study: Study; leads: boolean }) {
  return (
    <article aria-label={study.title} className="p-4">
      <h2 className="text-2xl leading-tight font-semibold">{study.title}</h2>
      <p className="text-lg leading-snug">
        {study.pieces} pieces, {study.readers.length} people, each piece {study.repeats} times, by{' '}
        {INSTRUMENTS[study.instrument]}: {study.asked.map(({ title }) => title.toLowerCase()).join(', ')}. Begun{' '}
        {day(study.madeAt)}
        {study.closedAt != null && `, closed ${day(study.closedAt)}`}.
      </p>
      {study.closedAt == null ? <GoingOn study={study} leads={leads} /> : <StudyResults study={study} leads={leads} />}
    </article>
  );
}

/** While it goes on, nobody sees more of it than how far everybody is. */
function GoingOn({ study, leads }: { study: Study; leads: boolean }) {
  const path = { params: { path: { id: study.id } } };
  const close = useKept(() => body(api.POST('/api/studies/{id}/close', path)), SHOWS_STUDIES);
  const takeAway = useKept(() => body(api.DELETE('/api/studies/{id}', path)), SHOWS_STUDIES);
  const through = study.readers.every(({ done }) => done === study.ofEach);
  const untouched = study.readers.every(({ done }) => done === 0);
  return (
    <div className="mt-3 grid gap-5 lg:grid-cols-[minmax(0,26rem)_minmax(0,24rem)]">
      {study.mine != null && study.mine < study.ofEach ? (
        <StudyReading study={study} />
      ) : (
        <p className="text-lg leading-snug">
          {study.mine == null
            ? 'You are none of its readers.'
            : 'You have read everything. What came out is seen when the study is closed.'}
        </p>
      )}
      <section aria-label="How far everybody is">
        <h3 className="text-lg font-semibold">How far everybody is</h3>
        <ul>
          {study.readers.map(({ id, fullName, done }) => (
            <li key={id} className="border-b border-base-300 py-1.5">
              <span className="flex justify-between text-lg">
                {fullName}
                <span className="figures">
                  {done} of {study.ofEach}
                </span>
              </span>
              <progress
                className="progress h-2 w-full"
                value={done}
                max={study.ofEach}
                aria-label={`${fullName}: ${String(done)} of ${String(study.ofEach)}`}
              />
            </li>
          ))}
        </ul>
        {leads && (
          <div className="mt-3 flex flex-wrap gap-2">
            <Beside problem={close.error?.message ?? takeAway.error?.message} />
            {untouched ? (
              <button
                type="button"
                className={BUTTON}
                disabled={takeAway.isPending}
                onClick={() => {
                  takeAway.mutate(undefined);
                }}
              >
                Take the study away
              </button>
            ) : (
              <button
                type="button"
                className={through ? 'btn h-12 px-5 text-lg btn-neutral' : BUTTON}
                disabled={close.isPending}
                onClick={() => {
                  close.mutate(undefined);
                }}
              >
                {through ? 'Close it and see what came out' : 'Close it before everybody is through'}
              </button>
            )}
          </div>
        )}
        {leads && !through && !untouched && (
          <p className="mt-1 text-sm leading-snug">
            Pieces that somebody has not read as often as asked are then left out.
          </p>
        )}
      </section>
    </div>
  );
}

/** What readings of the school are taken to spread by, wherever they are weighed. */
function Spread({ spread, leads }: { spread: Schemas['KnownSpread']; leads: boolean }) {
  const giveUp = useKept(() => body(api.PUT('/api/reading-spread', { body: {} })), SHOWS_STUDIES);
  return (
    <section aria-label="What readings are weighed by" className="border-t border-base-300 p-4 text-lg leading-snug">
      <h2 className="text-xl font-semibold">What readings are weighed by</h2>
      {spread.known.length === 0 ? (
        <p className="max-w-3xl">
          As is usual: readings of a length spread by <Figure value={1 / 32} unit="in" fine />, of an angle by{' '}
          <Figure value={0.5} unit="deg" /> (one standard deviation). A closed study can take their place where causes
          are sought and where a reading is near its limit.
        </p>
      ) : (
        <>
          <table className="mt-1">
            <thead className="text-left text-sm">
              <tr>
                <th className="pr-6 font-normal">Feature</th>
                <th className="pr-6 font-normal">by</th>
                <th className="pr-6 text-right font-normal">spreads by</th>
                <th className="text-right font-normal">usual</th>
              </tr>
            </thead>
            <tbody>
              {spread.known.map((each) => (
                <tr key={`${each.feature} ${each.instrument}`} className="border-t border-base-300">
                  <th scope="row" className="py-1 pr-6 text-left font-normal">
                    {each.title}
                  </th>
                  <td className="pr-6">{INSTRUMENTS[each.instrument]}</td>
                  <td className="pr-6 text-right font-semibold">
                    <Figure value={each.spread} unit={each.unit} shown={{ lines: 128, places: 2 }} />
                  </td>
                  <td className="text-right">
                    <Figure value={each.usual} unit={each.unit} shown={{ lines: 128, places: 2 }} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 text-base">
            Since {spread.takenAt != null && day(spread.takenAt)}
            {spread.takenBy != null && `, by ${spread.takenBy}`}. Pieces begun before keep what they were weighed by.
          </p>
          {leads && (
            <div className="mt-2">
              <Beside problem={giveUp.error?.message} />
              <button
                type="button"
                className={BUTTON}
                disabled={giveUp.isPending}
                onClick={() => {
                  giveUp.mutate(undefined);
                }}
              >
                Weigh as is usual again
              </button>
            </div>
          )}
        </>
      )}
    </section>
  );
}
