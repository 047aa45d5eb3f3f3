import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useCurriculum } from '../api/progress';
import { FAMILIES, familyOf, inSentence } from '../bends/families';
import { BUTTON } from '../library/button';
import { BendGlyph } from './BendGlyph';
import { holdingPlace } from './heldPlace';
import { choices, isSame, moved, type Step, stepsOf, without, withStep } from './order';

type Curriculum = Schemas['CurriculumView'];

/** In which order a school teaches bends; its lead changes it. */
export function Order() {
  const order = useCurriculum();
  if (order.data === undefined) {
    return (
      <p className="p-4 text-lg" role={order.error === null ? 'status' : 'alert'}>
        {order.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return (
    <div className="h-full overflow-y-auto p-4" tabIndex={0} role="region" aria-label="Order of bends">
      <p className="max-w-[60rem] leading-snug">
        What comes next for somebody is the first of these that is not steady while all it builds on is: with the tool
        that they are at, then with any that the school has.{' '}
        {!order.data.mayChange && 'Only the centre lead changes it.'}
      </p>
      <OrderForm key={order.data.history.length} order={order.data} />
      {order.data.history.length > 0 && (
        <section className="mt-4">
          <h2 className="text-xl font-semibold">Changes, the newest first</h2>
          <ul>
            {order.data.history.map((change) => (
              <li key={change.at} className="border-t border-base-300 py-1 leading-snug">
                {new Date(change.at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}, {change.by}:{' '}
                {change.steps} {change.steps === 1 ? 'step' : 'steps'}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

function OrderForm({ order }: { order: Curriculum }) {
  const client = useQueryClient();
  const kept = stepsOf(order.steps);
  const usual = stepsOf(order.usual);
  const [steps, setSteps] = useState<readonly Step[]>(kept);
  const [id] = useState(() => newId());
  const keep = useMutation<Curriculum, Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/curriculum/{id}', {
          params: { path: { id } },
          body: { steps: steps.map(({ family, after }) => ({ family, after: [...after] })) },
        }),
      ),
    onSuccess: (all) => {
      client.setQueryData(['progress', 'curriculum'], all);
      void client.invalidateQueries({ queryKey: ['progress'] });
    },
  });
  const change = (next: readonly Step[]) => {
    keep.reset();
    setSteps(next);
  };
  const missing = FAMILIES.filter(({ id: family }) => !steps.some((step) => step.family === family));
  return (
    <form
      aria-label="Order of bends"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <ol className="mt-3 max-w-[60rem]">
        {steps.map((step, at) => (
          <StepRow
            key={step.family}
            steps={steps}
            at={at}
            step={step}
            onChange={order.mayChange ? change : undefined}
          />
        ))}
      </ol>
      {order.mayChange && (
        <div className="-bottom-4 mt-2 -mb-4 flex max-w-[60rem] flex-wrap items-center gap-2 bg-base-100 py-3 sm:sticky">
          {missing.length > 0 && (
            <select
              aria-label="Add a step"
              value=""
              onChange={(event) => {
                change(withStep(steps, { family: event.target.value, after: [] }));
              }}
              className="h-12 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
            >
              <option value="">Add a step…</option>
              {missing.map(({ id: family, name }) => (
                <option key={family} value={family}>
                  {name}
                </option>
              ))}
            </select>
          )}
          {!isSame(steps, usual) && (
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                change(usual);
              }}
            >
              The usual order
            </button>
          )}
          {!isSame(steps, kept) && (
            <>
              <button
                type="button"
                className={BUTTON}
                onClick={() => {
                  change(kept);
                }}
              >
                Leave it as it was
              </button>
              <button className="btn h-12 btn-neutral text-lg" disabled={keep.isPending}>
                Keep it from now on
              </button>
            </>
          )}
          {keep.error !== null && (
            <p role="alert" className="basis-full text-error">
              ✕ {keep.error.errors[0]?.message ?? keep.error.message}
            </p>
          )}
        </div>
      )}
    </form>
  );
}

interface StepRowProps {
  steps: readonly Step[];
  at: number;
  step: Step;
  /** Nothing where the one who looks may not. */
  onChange: ((steps: readonly Step[]) => void) | undefined;
}

function StepRow({ steps, at, step, onChange }: StepRowProps) {
  const { name, kind } = familyOf(step.family);
  const waitsFor = (after: readonly string[]) => {
    onChange?.(withStep(steps, { ...step, after }));
  };
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-base-300 py-1">
      <span className="figures w-8 text-right text-xl">{at + 1}</span>
      <BendGlyph kind={kind} />
      <span className="text-lg leading-tight font-semibold max-sm:flex-1 sm:min-w-[17rem]">{name}</span>
      <span className="flex flex-1 flex-wrap items-center gap-1 max-sm:basis-full">
        {step.after.length > 0 && <span>after</span>}
        {step.after.map((family) =>
          onChange === undefined ? (
            <span key={family} className="rounded-field border border-base-content/40 px-2">
              {inSentence(family)}
            </span>
          ) : (
            <button
              key={family}
              type="button"
              aria-label={`${name} no longer after ${inSentence(family)}`}
              className="min-h-9 rounded-field border border-base-content/60 px-2 hover:bg-base-200"
              onClick={({ currentTarget }) => {
                holdingPlace(currentTarget, () => {
                  waitsFor(step.after.filter((each) => each !== family));
                });
              }}
            >
              {inSentence(family)} <span aria-hidden="true">✕</span>
            </button>
          ),
        )}
        {onChange !== undefined && choices(steps, at).length > 0 && (
          <select
            aria-label={`${name} also after`}
            value=""
            onChange={(event) => {
              waitsFor([...step.after, event.target.value]);
            }}
            className="h-9 w-[6.5rem] rounded-field border border-base-content/60 bg-base-100 px-1"
          >
            <option value="">{step.after.length > 0 ? 'and…' : 'after…'}</option>
            {choices(steps, at).map((family) => (
              <option key={family} value={family}>
                {familyOf(family).name}
              </option>
            ))}
          </select>
        )}
      </span>
      {onChange !== undefined && (
        <span className="flex gap-1">
          <button
            type="button"
            aria-label={`${name} further up`}
            disabled={at === 0}
            className={BUTTON}
            onClick={({ currentTarget }) => {
              holdingPlace(currentTarget, () => {
                onChange(moved(steps, at, -1));
              });
            }}
          >
            ▲
          </button>
          <button
            type="button"
            aria-label={`${name} further down`}
            disabled={at === steps.length - 1}
            className={BUTTON}
            onClick={({ currentTarget }) => {
              holdingPlace(currentTarget, () => {
                onChange(moved(steps, at, 1));
              });
            }}
          >
            ▼
          </button>
          <button
            type="button"
            aria-label={`${name} out of the order`}
            disabled={steps.length === 1}
            className={BUTTON}
            onClick={({ currentTarget }) => {
              holdingPlace(currentTarget, () => {
                onChange(without(steps, step.family));
              });
            }}
          >
            ✕
          </button>
        </span>
      )}
    </li>
  );
}
