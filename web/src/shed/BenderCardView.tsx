import { useState } from 'react';
import { api, body } from '../api/client';
import { Figure } from '../entry/Figure';
import { Beside } from '../frame/Beside';
import { problemAt, problemBeside } from '../frame/problems';
import { useMay } from '../frame/rights';
import { Select } from '../frame/Select';
import { TextField } from '../frame/TextField';
import { BUTTON } from '../library/button';
import { type BenderCard, SHOWS_BENDERS } from './benderQueries';
import { ClassSays } from './ClassSays';
import { day } from './days';
import { FIGURES, STATES, TOOLS } from './figureWords';
import { TestNineties } from './TestNineties';
import { useKept } from './useKept';

/** A bender: what its figures are and were, what the class says of it, and whether it is bent on. */
export function BenderCardView({ bender }: { bender: BenderCard }) {
  const leads = useMay('LEAD');
  const teaches = useMay('TEACH');
  const [testing, setTesting] = useState(false);
  const [now] = bender.revisions;
  return (
    <div className="min-h-0 min-w-0 flex-1 overflow-y-auto p-4" tabIndex={0} role="region" aria-label={bender.label}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="text-[1.8rem] leading-tight font-semibold">{bender.label}</h2>
        <p className="text-lg">
          {bender.conduitLabel}, {TOOLS[bender.kind]}, {STATES[bender.state].sign} {STATES[bender.state].name}
          {bender.stateReason !== '' && `: ${bender.stateReason}`}
        </p>
      </div>
      <div className="mt-2 grid gap-x-10 gap-y-5 xl:grid-cols-[minmax(0,18rem)_minmax(0,1fr)]">
        <section aria-label="Figures">
          {now !== undefined && (
            <dl className="grid grid-cols-[1fr_auto] gap-x-4 text-lg leading-snug">
              {FIGURES.filter(({ name }) => typeof now.figures[name] === 'number').map(({ name, words, unit }) => (
                <div key={name} className="contents">
                  <dt>{words}</dt>
                  <dd className="text-right text-xl">
                    <Figure value={Number(now.figures[name])} unit={unit} fine />
                  </dd>
                </div>
              ))}
            </dl>
          )}
          {now !== undefined && (
            <p className="mt-1 leading-snug">
              {now.reason}, {day(now.madeAt)}
              {now.madeBy != null && `, ${now.madeBy}`}.
            </p>
          )}
          <div className="mt-2 flex flex-wrap gap-2">
            {leads && bender.kind === 'shoe' && (
              <button
                type="button"
                className={BUTTON}
                onClick={() => {
                  setTesting(true);
                }}
              >
                Test bends…
              </button>
            )}
            <a
              href={`/api/shed/labels.pdf?bender=${bender.id}`}
              download
              className={`${BUTTON} grid place-items-center`}
            >
              Label to stick on
            </a>
          </div>
          {bender.revisions.length > 1 && (
            <details className="mt-3">
              <summary className="flex min-h-11 cursor-pointer items-center text-lg">
                What it was before ({bender.revisions.length - 1})
              </summary>
              <ul>
                {bender.revisions.slice(1).map((revision) => (
                  <li key={revision.id} className="border-t border-base-300 py-1 leading-snug">
                    {FIGURES.filter(({ name }) => typeof revision.figures[name] === 'number')
                      .slice(0, 3)
                      .map(({ name, words, unit }) => (
                        <span key={name} className="block">
                          {words} <Figure value={Number(revision.figures[name])} unit={unit} fine />
                        </span>
                      ))}
                    <span className="text-sm">
                      {revision.reason}, {day(revision.madeAt)}
                      {revision.madeBy != null && `, ${revision.madeBy}`}
                    </span>
                  </li>
                ))}
              </ul>
            </details>
          )}
          {teaches && <State bender={bender} leads={leads} />}
        </section>
        {bender.kind === 'shoe' && <ClassSays bender={bender} />}
      </div>
      {testing && (
        <TestNineties
          bender={bender}
          onClose={() => {
            setTesting(false);
          }}
        />
      )}
    </div>
  );
}

function State({ bender, leads }: { bender: BenderCard; leads: boolean }) {
  const [label, setLabel] = useState(bender.label);
  const [state, setState] = useState(bender.state);
  const [reason, setReason] = useState('');
  const keep = useKept(
    () =>
      body(
        api.PUT('/api/benders/{id}/state', {
          params: { path: { id: bender.id } },
          body: { edition: bender.edition, label, state, reason },
        }),
      ),
    SHOWS_BENDERS,
  );
  const options = Object.entries(STATES)
    .filter(([value]) => leads || value === 'DOUBTFUL' || value === bender.state)
    .map(([value, { name }]) => ({ value, name }));
  const changed = label !== bender.label || state !== bender.state;
  return (
    <form
      className="mt-4 grid gap-2 border-t border-base-300 pt-3"
      aria-label="What it is called, and whether it is bent on"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(undefined);
      }}
    >
      {leads && (
        <TextField
          label="Number or name"
          value={label}
          onChange={setLabel}
          required
          maxLength={60}
          problem={problemAt(keep.error, '/label')}
        />
      )}
      <Select
        label="It is"
        value={state}
        onChange={(value) => {
          setState(value as BenderCard['state']);
        }}
        options={options}
      />
      {state !== 'IN_USE' && state !== bender.state && (
        <TextField
          label="Why"
          value={reason}
          onChange={setReason}
          required
          maxLength={300}
          problem={problemAt(keep.error, '/reason')}
        />
      )}
      <Beside problem={problemBeside(keep.error, ['/label', '/reason'])} />
      {changed && (
        <button className={BUTTON} disabled={keep.isPending}>
          Keep
        </button>
      )}
    </form>
  );
}
