import type { Schemas } from '../api/client';
import { Figure } from '../entry/Figure';
import { type FigureUnit, quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';

type Explanation = Schemas['ExplanationAnswer'];

/**
 * The sum of an explanation with its figures, as somebody writes it on a board: all of them as finely as it takes for them to add
 * up.
 */
export function SumWritten({ explanation }: { explanation: Explanation }) {
  const { terms, unit, result, rounded, lines, places } = explanation;
  const display = useDisplayUnit();
  const shown = display === 'in' ? { lines } : { places };
  const finely = (of: FigureUnit) => (of === 'in' ? shown : undefined);
  // What reads the same is said once.
  const onTape =
    rounded != null && quantityText(rounded, unit, display) !== quantityText(result, unit, display, finely(unit))
      ? rounded
      : undefined;
  return (
    <p className="text-lg">
      {terms.map((term, i) => (
        <span key={i}>
          {term.before !== '' && <span> {term.before} </span>}
          <span className="whitespace-nowrap">
            {term.unit == null ? (
              term.name !== '' && <b className="figures">{String(Math.round(term.value * 1e4) / 1e4)}</b>
            ) : (
              <Figure value={term.value} unit={term.unit} shown={finely(term.unit)} />
            )}{' '}
            <span className="text-sm">{term.name}</span>
          </span>
        </span>
      ))}{' '}
      = <Figure value={result} unit={unit} shown={finely(unit)} className="text-xl" />
      {onTape !== undefined && (
        <>
          , on the tape <Figure value={onTape} unit={unit} className="text-xl" />
        </>
      )}
    </p>
  );
}
