import type { ReactNode } from 'react';
import { type MatrixFilter } from '../api/progress';
import { useJudgingPresets, useShed } from '../api/queries';
import { familyOf } from '../bends/families';
import { BUTTON } from '../library/button';
import type { Sorting } from './sorting';

interface MatrixFiltersProps {
  filter: MatrixFilter;
  sorting: Sorting;
  families: readonly string[];
  onChange: (changes: Record<string, string | undefined>) => void;
}

/** Picks the pieces that are shown, and the order of the rows. Where somebody stands follows from all pieces. */
export function MatrixFilters({ filter, sorting, families, onChange }: MatrixFiltersProps) {
  const shed = useShed();
  const presets = useJudgingPresets();
  const any = Object.keys(filter).length > 0;
  const names = [
    ...(presets.data?.usual ?? []).map(({ preset }) => preset),
    ...(presets.data?.own ?? []).map(({ figures }) => figures.preset),
  ];
  return (
    <div
      className="flex flex-wrap items-center gap-x-1.5 gap-y-1 px-3 py-1.5"
      role="group"
      aria-label="Pieces that are shown"
    >
      <Day
        label="From"
        value={filter.from}
        onChange={(from) => {
          onChange({ from });
        }}
      />
      <Day
        label="To"
        value={filter.to}
        onChange={(to) => {
          onChange({ to });
        }}
      />
      <Pick
        label="Bender"
        value={filter.bender}
        onChange={(bender) => {
          onChange({ bender });
        }}
      >
        <option value="">every bender</option>
        {shed.data?.benders.map(({ id, label }) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </Pick>
      <Pick
        label="Conduit"
        value={filter.conduit}
        onChange={(conduit) => {
          onChange({ conduit });
        }}
      >
        <option value="">every conduit</option>
        {shed.data?.conduits.map(({ id, label }) => (
          <option key={id}>{label}</option>
        ))}
      </Pick>
      <Pick
        label="Tolerances"
        value={filter.preset}
        onChange={(preset) => {
          onChange({ preset });
        }}
      >
        <option value="">every set</option>
        {names.map((name) => (
          <option key={name}>{name}</option>
        ))}
      </Pick>
      <Pick
        label="Sorted by"
        value={sorting}
        onChange={(sort) => {
          onChange({ sort: sort === 'bench' ? undefined : sort });
        }}
      >
        <option value="bench">by bench</option>
        <option value="name">by name</option>
        <option value="last">longest not bent</option>
        {families.map((id) => (
          <option key={id} value={`bend:${id}`}>
            {familyOf(id).name}, furthest behind
          </option>
        ))}
      </Pick>
      {any && (
        <button
          type="button"
          className={BUTTON}
          onClick={() => {
            onChange({ from: undefined, to: undefined, bender: undefined, conduit: undefined, preset: undefined });
          }}
        >
          All pieces
        </button>
      )}
    </div>
  );
}

const FIELD = 'h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-1 text-[0.95rem]';

function Day({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string | undefined;
  onChange: (value: string) => void;
}) {
  return (
    <label className="flex items-center gap-1 text-sm">
      {label}
      <input
        type="date"
        value={value ?? ''}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        className={`w-[7.7rem] ${FIELD}`}
      />
    </label>
  );
}

function Pick({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string | undefined;
  onChange: (value: string) => void;
  children: ReactNode;
}) {
  return (
    <label>
      <span className="sr-only">{label}</span>
      <select
        value={value ?? ''}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        className={`w-[7.4rem] ${FIELD}`}
      >
        {children}
      </select>
    </label>
  );
}
