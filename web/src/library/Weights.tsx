import { featureOf } from '../entry/features';
import { type LimitTexts, SIDES } from './limitTexts';
import { NUMBER, type PartProps } from './tolerancePart';
import { type Weighed } from './weighed';

interface WeightsProps extends PartProps {
  rows: readonly Weighed[];
  limits: LimitTexts;
  problem: (name: string, side: string) => string | undefined;
  onLimit: (name: string, side: string, text: string) => void;
}

/** How far each feature may be off where it has limits of its own, how much it counts, and whether the piece fails with it. */
export function Weights({ figures, change, rows, limits, problem, onLimit }: WeightsProps) {
  // Of one feature of which nothing is said holds what is said of all of its kind.
  const said = <T,>(of: Readonly<Record<string, T>> | null | undefined, id: string) =>
    of?.[id] ?? of?.[featureOf(id).kind];
  return (
    <table className="w-full self-start">
      <caption className="text-left text-base font-semibold">
        Readings; a limit that is left empty is the set’s own
      </caption>
      <thead className="text-left text-sm">
        <tr>
          <th className="font-normal">Feature</th>
          <th className="w-24 text-right font-normal">over, at most</th>
          <th className="w-24 text-right font-normal">under, at most</th>
          <th className="w-24 text-right font-normal">counts</th>
          <th className="w-24 text-right font-normal">fails the piece</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ name, id }) => (
          <tr key={name} className="border-t border-base-300">
            <th scope="row" className="text-left font-normal">
              {name}
            </th>
            {SIDES.map((side) => {
              const text = limits[name]?.[side] ?? '';
              const wrong = text.trim() === '' ? undefined : problem(name, side);
              return (
                <td key={side} className="py-0.5 text-right">
                  <input
                    aria-label={`${name}, ${side} at most`}
                    aria-invalid={wrong !== undefined}
                    title={wrong}
                    value={text}
                    placeholder="–"
                    onChange={(event) => {
                      onLimit(name, side, event.target.value);
                    }}
                    className={`${NUMBER} ${wrong === undefined ? '' : 'border-error'}`}
                  />
                </td>
              );
            })}
            <td className="py-0.5 text-right">
              <input
                type="number"
                min={0.1}
                max={100}
                step={0.1}
                aria-label={`${name} counts how many times`}
                value={said(figures.weights, id) ?? 1}
                onChange={(event) => {
                  const value = event.target.valueAsNumber;
                  change({ weights: { ...figures.weights, [id]: Number.isNaN(value) ? 1 : value } });
                }}
                className={NUMBER}
              />
            </td>
            <td className="text-right">
              <input
                type="checkbox"
                aria-label={`${name} outside fails the piece`}
                checked={said(figures.critical, id) === true}
                onChange={(event) => {
                  change({ critical: { ...figures.critical, [id]: event.target.checked } });
                }}
                className="size-6"
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
