import type { Schemas } from '../api/client';
import { NUMBER, type PartProps } from './tolerancePart';

/** What a fault of workmanship costs. */
export function Deductions({ figures, change, faults }: PartProps & { faults: readonly Schemas['FaultName'][] }) {
  return (
    <table className="w-full self-start">
      <caption className="text-left text-base font-semibold">Looked over</caption>
      <thead className="text-left text-sm">
        <tr>
          <th className="font-normal">Fault</th>
          <th className="w-24 text-right font-normal">points off</th>
          <th className="w-28 text-right font-normal">fails the piece</th>
        </tr>
      </thead>
      <tbody>
        {faults.map(({ point: id, fault }) => {
          const name = fault.charAt(0).toUpperCase() + fault.slice(1);
          const rule = figures.workmanship?.[id] ?? { deduction: 0, critical: false };
          const set = (part: Partial<typeof rule>) => {
            change({ workmanship: { ...figures.workmanship, [id]: { ...rule, ...part } } });
          };
          return (
            <tr key={id} className="border-t border-base-300">
              <th scope="row" className="text-left font-normal">
                {name}
              </th>
              <td className="py-0.5 text-right">
                <input
                  type="number"
                  min={0}
                  max={100}
                  aria-label={`${name}: points off`}
                  value={rule.deduction}
                  onChange={(event) => {
                    const value = event.target.valueAsNumber;
                    set({ deduction: Number.isNaN(value) ? 0 : value });
                  }}
                  className={NUMBER}
                />
              </td>
              <td className="text-right">
                <input
                  type="checkbox"
                  aria-label={`${name}: fails the piece`}
                  checked={rule.critical}
                  onChange={(event) => {
                    set({ critical: event.target.checked });
                  }}
                  className="size-6"
                />
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
