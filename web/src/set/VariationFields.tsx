import { exactText, type QuantityKind } from '../entry/figures';
import { QuantityField } from '../entry/QuantityField';
import { bendInputs } from './draft';
import type { Desk } from './useDesk';

/** Which sizes differ between variants, from where to where and in which steps; and the seed they are dealt by. */
export function VariationFields({ desk }: { desk: Desk }) {
  const { draft, sizes, change } = desk;
  const { ranges, seed } = draft.variation;
  const set = (what: string, next: Partial<typeof draft.variation>) => {
    change(`variation.${what}`, (before) => ({ ...before, variation: { ...before.variation, ...next } }));
  };
  return (
    <fieldset className="grid grid-cols-2 gap-x-3 gap-y-1">
      <legend className="mb-1 text-sm leading-tight">
        What differs. All are possible and equally hard; neighbours get others.
      </legend>
      {bendInputs(draft).map(({ name, label, kind }) => {
        const range = ranges[name];
        const size = sizes[name];
        if (size === undefined) {
          return null;
        }
        return (
          <div key={name} className={range === undefined ? '' : 'col-span-2'}>
            <label className="flex min-h-11 items-center gap-2 text-lg">
              <input
                type="checkbox"
                className="size-5"
                checked={range !== undefined}
                onChange={(event) => {
                  const others = Object.fromEntries(Object.entries(ranges).filter(([each]) => each !== name));
                  set(name, {
                    ranges: event.target.checked ? { ...others, [name]: firstRange(size, kind, draft.unit) } : others,
                  });
                }}
              />
              {label}
            </label>
            {range !== undefined && (
              <div className="grid grid-cols-3 gap-2">
                {(['from', 'to', 'step'] as const).map((end) => (
                  <QuantityField
                    key={end}
                    label={`${label} ${END[end]}`}
                    kind={kind}
                    text={range[end]}
                    onText={(text) => {
                      set(`${name}.${end}`, { ranges: { ...ranges, [name]: { ...range, [end]: text } } });
                    }}
                    place="list"
                  />
                ))}
              </div>
            )}
          </div>
        );
      })}
      <div className="col-span-2 flex items-end gap-2">
        <label className="grid flex-1 gap-0.5">
          <span className="text-sm">Seed: the same deals the same</span>
          <input
            type="number"
            value={seed}
            onChange={(event) => {
              set('seed', { seed: event.target.value });
            }}
            className="h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
          />
        </label>
        <button
          type="button"
          className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-3"
          onClick={() => {
            set('deal', { seed: String((Number(seed) || 0) + 1) });
          }}
        >
          Deal again
        </button>
      </div>
    </fieldset>
  );
}

const END = { from: 'from', to: 'to', step: 'in steps of' } as const;

/** A tenth to either side, on whole steps, to begin with. */
function firstRange(size: number, kind: QuantityKind, unit: 'in' | 'mm') {
  if (kind !== 'length') {
    return { from: String(size), to: String(size), step: '5' };
  }
  const step = unit === 'mm' ? 5 / 25.4 : 1 / 8;
  const around = Math.max(4 * step, Math.round(size / 10 / step) * step);
  const text = (value: number) => exactText(Math.max(step, Math.round(value / step) * step), unit);
  return { from: text(size - around), to: text(size + around), step: exactText(step, unit) };
}
