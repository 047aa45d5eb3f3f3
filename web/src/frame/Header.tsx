import type { ReactNode } from 'react';

/** The head of a screen: its title, what it is about, and what can be done. */
export function Header({ title, about, children }: { title: string; about?: ReactNode; children?: ReactNode }) {
  return (
    <header className="flex min-h-14 shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 px-4 py-1.5 max-sm:px-3">
      <h1 className="text-[1.6rem] leading-none font-semibold">{title}</h1>
      {about !== undefined && <div className="min-w-0 text-lg leading-tight max-sm:text-base">{about}</div>}
      <div className="ml-auto flex flex-wrap items-center gap-2">{children}</div>
    </header>
  );
}

/** Chooses one of a few, as a row of buttons. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly { value: T; name: string }[];
  value: T | undefined;
  onChange: (value: T) => void;
}) {
  return (
    <div
      role="radiogroup"
      aria-label={label}
      className="flex shrink-0 overflow-hidden rounded-field border-2 border-base-content/60"
    >
      {options.map((option) => (
        <label
          key={option.value}
          className={`flex min-h-10 flex-1 cursor-pointer items-center justify-center px-3 text-center leading-tight whitespace-nowrap has-focus-visible:outline-3 has-focus-visible:-outline-offset-3 has-focus-visible:outline-info ${
            option.value === value ? 'bg-base-content font-semibold text-base-100' : 'bg-base-100 hover:bg-base-200'
          }`}
        >
          <input
            type="radio"
            className="sr-only"
            name={label}
            checked={option.value === value}
            onChange={() => {
              onChange(option.value);
            }}
          />
          {option.name}
        </label>
      ))}
    </div>
  );
}
