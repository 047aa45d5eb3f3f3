import type { InputHTMLAttributes } from 'react';

type Attributes = Omit<InputHTMLAttributes<HTMLInputElement>, 'onChange' | 'value' | 'className'>;

/** A line to write in, with its name above it, and what is wrong with it below. */
export function TextField({
  label,
  value,
  onChange,
  problem,
  note,
  ...input
}: Attributes & {
  label: string;
  value: string;
  onChange: (value: string) => void;
  problem?: string | undefined;
  note?: string | undefined;
}) {
  return (
    <label className="grid gap-1">
      {label}
      <input
        {...input}
        value={value}
        aria-invalid={problem !== undefined}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        className="h-12 w-full min-w-0 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-lg"
      />
      {note !== undefined && <span className="text-sm leading-snug">{note}</span>}
      {problem !== undefined && (
        <span role="alert" className="leading-snug text-error">
          ✕ {problem}
        </span>
      )}
    </label>
  );
}
