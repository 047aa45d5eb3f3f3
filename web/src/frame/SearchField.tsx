/** A field that narrows a list down while it is typed into. */
export function SearchField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="grid gap-0.5">
      <span className="text-sm leading-none">{label}</span>
      <input
        type="search"
        value={value}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        className="h-11 w-56 max-w-full rounded-field border-2 border-base-content/60 bg-base-100 px-3"
      />
    </label>
  );
}
