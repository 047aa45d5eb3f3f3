import type { Schemas } from '../api/client';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';

/** What the bender is known to add to this piece, and what is left for the hands. */
export function BenderShare({ share, bends }: { share: Schemas['BenderNote']; bends: number }) {
  return (
    <section aria-label="The bender’s share" className="grid gap-1 border-l-4 border-primary pl-2">
      <p className="text-xl leading-snug">{share.sentence}</p>
      <table className="w-full text-base leading-tight">
        <thead className="text-left text-sm">
          <tr>
            <th className="font-normal">
              <span className="sr-only">Dimension</span>
            </th>
            <th className="text-right font-normal">the bender’s</th>
            <th className="text-right font-normal">yours</th>
          </tr>
        </thead>
        <tbody>
          {share.features.map(({ feature, unit, adds, own, within }) => (
            <tr key={feature} className="border-t border-base-300">
              <th scope="row" className="py-1 text-left font-normal">
                {featureName(feature, bends)}
              </th>
              <td className="text-right text-lg">
                <Figure value={adds} unit={unit} signed fine />
              </td>
              <td className={`text-right text-lg ${within ? '' : 'text-error'}`}>
                <span aria-hidden="true">{within ? '●' : '✕'}</span>{' '}
                <span className="sr-only">{within ? 'within' : 'outside'}</span>{' '}
                <Figure value={own} unit={unit} signed fine />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm leading-snug">
        {share.leftOut
          ? 'The points leave the bender’s share out.'
          : 'The points count what was read, the bender’s share in it; the centre lead can have them leave it out.'}
      </p>
    </section>
  );
}
