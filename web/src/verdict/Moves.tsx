import { Figure } from '../entry/Figure';

/** What a place or a piece moves the far end by. */
interface Move {
  name: string;
  /** Where to, in words, or why nothing is said. */
  note: string;
  /** How far in all; nothing where that is not worth a figure. */
  farIn: number | undefined;
}

/** Places along a run, or pieces of it, with what each moves the far end by: the widest is a whole bar. */
export function Moves({ caption, moves }: { caption: string; moves: readonly Move[] }) {
  const widest = Math.max(...moves.map(({ farIn }) => farIn ?? 0), Number.MIN_VALUE);
  return (
    <table className="mt-1 w-full leading-tight">
      <caption className="sr-only">{caption}</caption>
      <tbody>
        {moves.map(({ name, note, farIn }) => (
          <tr key={name} className="border-t border-base-300">
            <th scope="row" className="py-1 pr-2 text-left text-lg font-normal">
              {name}
              <span className="block text-sm">{note}</span>
            </th>
            <td className="w-24 align-middle" aria-hidden="true">
              <span
                className="block h-3 rounded-sm bg-base-content/70"
                style={{ width: `${String((100 * (farIn ?? 0)) / widest)}%` }}
              />
            </td>
            <td className="w-20 text-right text-xl">{farIn !== undefined && <Figure value={farIn} unit="in" />}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
