import { NUMBER, type PartProps } from './tolerancePart';

const REBENDING = [
  { name: 'mostEasedDeg', label: 'Eased open, degrees', most: 90 },
  { name: 'mostAddedDeg', label: 'closed further, degrees', most: 90 },
  { name: 'mostTimes', label: 'times in all', most: 100 },
  { name: 'pointsEach', label: 'points off each time', most: 100 },
] as const;

/** How much a piece may be bent again before it is scrap. */
export function Rebending({ figures, change }: PartProps) {
  const { rebending } = figures;
  if (rebending == null) {
    return null;
  }
  return (
    <fieldset className="flex flex-wrap items-end gap-x-5 gap-y-1">
      <legend className="text-base font-semibold">A piece may be bent again, at most</legend>
      {REBENDING.map(({ name, label, most }) => (
        <label key={name} className="flex items-center gap-2">
          {label}
          <input
            type="number"
            min={0}
            max={most}
            value={rebending[name] ?? 0}
            onChange={(event) => {
              const value = event.target.valueAsNumber;
              change({ rebending: { ...rebending, [name]: Number.isNaN(value) ? 0 : Math.round(value) } });
            }}
            className={NUMBER}
          />
        </label>
      ))}
    </fieldset>
  );
}
