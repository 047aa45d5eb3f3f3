import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useSignOffRules } from '../api/progress';
import { useJudgingPresets } from '../api/queries';
import { FAMILIES, familyOf } from '../bends/families';
import { Figure } from '../entry/Figure';
import { BUTTON } from '../library/button';
import { RuleEffect } from './RuleEffect';

type Figures = Schemas['SignOffFigures'];

/** What is asked before somebody is proposed for a sign-off: a general rule, and families of bends with one of their own. */
export function Rules() {
  const rules = useSignOffRules();
  const [edited, setEdited] = useState<{ family: string | null; figures: Figures }>();
  if (rules.data === undefined) {
    return (
      <p className="p-4 text-lg" role={rules.error === null ? 'status' : 'alert'}>
        {rules.error?.message ?? 'Opening…'}
      </p>
    );
  }
  const { general, own, history, mayChange } = rules.data;
  return (
    <div className="h-full overflow-y-auto p-4" tabIndex={0} role="region" aria-label="Rules">
      <p className="max-w-[60rem] leading-snug">
        When this is shown, Lobrik proposes a sign-off; the instructor signs. A new rule counts from now on: what was
        signed keeps the rule that it was signed by. {!mayChange && 'Only the centre lead changes rules.'}
      </p>
      {edited === undefined ? (
        <>
          <ul className="mt-3 grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
            {[{ family: null, figures: general }, ...own].map(({ family, figures }) => (
              <li
                key={family ?? ''}
                className="grid content-between gap-2 rounded-box border-2 border-base-content/60 p-3"
              >
                <div>
                  <h2 className="text-2xl leading-tight font-semibold">
                    {family === null ? 'Every kind of bend' : familyOf(family).name}
                  </h2>
                  <RuleText figures={figures} />
                  <RuleEffect figures={figures} />
                </div>
                {mayChange && (
                  <button
                    type="button"
                    className={BUTTON}
                    onClick={() => {
                      setEdited({ family, figures });
                    }}
                  >
                    Change
                  </button>
                )}
              </li>
            ))}
          </ul>
          {mayChange && (
            <label className="mt-3 flex flex-wrap items-center gap-2">
              A rule of its own for
              <select
                value=""
                onChange={(event) => {
                  setEdited({ family: event.target.value, figures: general });
                }}
                className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
              >
                <option value="">choose a kind of bend</option>
                {FAMILIES.filter(({ id }) => !own.some((each) => each.family === id)).map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          )}
          {history.length > 0 && (
            <section className="mt-4">
              <h2 className="text-xl font-semibold">Changes, the newest first</h2>
              <ul>
                {history.map((change) => (
                  <li key={change.at} className="border-t border-base-300 py-1 leading-snug">
                    {new Date(change.at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}, {change.by}:{' '}
                    {change.family == null ? 'every kind' : familyOf(change.family).name}, {change.figures.passes} of{' '}
                    {change.figures.of} on {change.figures.days} days
                  </li>
                ))}
              </ul>
            </section>
          )}
        </>
      ) : (
        <RuleForm
          family={edited.family}
          start={edited.figures}
          onDone={() => {
            setEdited(undefined);
          }}
        />
      )}
    </div>
  );
}

function RuleText({ figures }: { figures: Figures }) {
  return (
    <ul className="mt-1 text-lg leading-snug">
      <li>
        {figures.passes} of the last {figures.of} pieces passed
      </li>
      <li>on at least {figures.days === 1 ? 'one day' : `${String(figures.days)} days`}</li>
      <li>
        judged by ±<Figure value={figures.lengthIn} unit="in" />, ±<Figure value={figures.angleDeg} unit="deg" />, dog
        leg <Figure value={figures.dogLegDeg} unit="deg" /> or closer
      </li>
      <li>{figures.withoutRebending} of them without re-bending</li>
      <li>
        steady: {figures.steadyPasses} of the last {figures.of}, by any tolerance
      </li>
    </ul>
  );
}

const COUNTS = [
  { name: 'of', label: 'Pieces that are looked at' },
  { name: 'passes', label: 'Passes among them' },
  { name: 'days', label: 'Days that they are on' },
  { name: 'withoutRebending', label: 'Passes without re-bending' },
  { name: 'steadyPasses', label: 'Passes to be steady' },
] as const;

function RuleForm({ family, start, onDone }: { family: string | null; start: Figures; onDone: () => void }) {
  const client = useQueryClient();
  const presets = useJudgingPresets();
  const [figures, setFigures] = useState(start);
  const [id] = useState(() => newId());
  const keep = useMutation<Schemas['RulesView'], Problem>({
    mutationFn: () =>
      body(api.PUT('/api/sign-off-rules/{id}', { params: { path: { id } }, body: { family, figures } })),
    onSuccess: (all) => {
      client.setQueryData(['progress', 'rules'], all);
      void client.invalidateQueries({ queryKey: ['progress'] });
      onDone();
    },
  });
  const sets = [...(presets.data?.usual ?? []), ...(presets.data?.own ?? []).map((each) => each.figures)];
  const same = sets.find(
    (set) =>
      set.lengthIn === figures.lengthIn && set.angleDeg === figures.angleDeg && set.dogLegDeg === figures.dogLegDeg,
  );
  return (
    <form
      className="mt-3 grid max-w-xl gap-3"
      aria-label="Sign-off rule"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <h2 className="text-2xl leading-tight font-semibold">
        {family === null ? 'Every kind of bend' : familyOf(family).name}
      </h2>
      {COUNTS.map(({ name, label }) => (
        <label key={name} className="flex items-center justify-between gap-4 text-lg">
          {label}
          <input
            type="number"
            inputMode="numeric"
            min={0}
            max={12}
            required
            value={figures[name]}
            onChange={(event) => {
              setFigures({ ...figures, [name]: event.target.valueAsNumber });
            }}
            className="figures h-12 w-24 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-right text-2xl"
          />
        </label>
      ))}
      <label className="flex items-center justify-between gap-4 text-lg">
        Judged at least as closely as
        <select
          value={same?.preset ?? ''}
          onChange={(event) => {
            const set = sets.find(({ preset }) => preset === event.target.value);
            if (set !== undefined) {
              setFigures({ ...figures, lengthIn: set.lengthIn, angleDeg: set.angleDeg, dogLegDeg: set.dogLegDeg });
            }
          }}
          className="h-12 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
        >
          {same === undefined && <option value="">as it was</option>}
          {sets.map(({ preset }) => (
            <option key={preset}>{preset}</option>
          ))}
        </select>
      </label>
      <RuleEffect figures={figures} open />
      {keep.error !== null && (
        <ul role="alert" className="text-error">
          {(keep.error.errors.length > 0 ? keep.error.errors : [keep.error]).map(({ message }) => (
            <li key={message}>✕ {message}</li>
          ))}
        </ul>
      )}
      <div className="flex gap-2">
        <button className="btn h-12 flex-1 btn-neutral text-lg" disabled={keep.isPending}>
          Keep it from now on
        </button>
        <button type="button" className="btn h-12 border-2 border-base-content/60" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  );
}
