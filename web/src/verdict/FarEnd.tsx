import type { Schemas } from '../api/client';
import { Figure } from '../entry/Figure';

/** Where along a run the error at its far end came in; a device may remember a verdict from before that was asked. */
export function FarEnd({ farEnd }: { farEnd: Schemas['FarEndView'] | null | undefined }) {
  if (farEnd == null) {
    return null;
  }
  const widest = Math.max(...farEnd.shares.map(({ farIn }) => farIn));
  return (
    <section aria-label="The far end, place by place" className="border-t-2 border-base-content/60 pt-2">
      <h2 className="text-base font-semibold">The far end, place by place</h2>
      <p className="text-lg leading-snug">{farEnd.sentence}</p>
      {farEnd.shares.length > 0 && (
        <table className="mt-1 w-full leading-tight">
          <caption className="sr-only">What each place moves the far end by, from the datum end</caption>
          <tbody>
            {farEnd.shares.map(({ place, brings, farIn }) => (
              <tr key={place} className="border-t border-base-300">
                <th scope="row" className="py-1 pr-2 text-left text-base font-normal">
                  {place}
                  <span className="block text-sm">{brings}</span>
                </th>
                <td className="w-24 align-middle" aria-hidden="true">
                  <span
                    className="block h-3 rounded-sm bg-base-content/70"
                    style={{ width: `${String((100 * farIn) / widest)}%` }}
                  />
                </td>
                <td className="w-20 text-right text-xl">
                  <Figure value={farIn} unit="in" />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
