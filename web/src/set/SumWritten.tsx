import type { Schemas } from '../api/client';
import { Figure } from '../entry/Figure';
import { quantityText } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';

type Explanation = Schemas['ExplanationAnswer'];

/** The sum of an explanation with its figures, as somebody writes it on a board. */
export function SumWritten({ explanation: { about, terms, unit, result, rounded } }: { explanation: Explanation }) {
  const display = useDisplayUnit();
  const fine = about.startsWith('predicted/');
  // What reads the same is said once.
  const onTape =
    rounded != null && quantityText(rounded, unit, display) !== quantityText(result, unit, display, { lines: 32 })
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
              <Figure value={term.value} unit={term.unit} fine={fine} />
            )}{' '}
            <span className="text-sm">{term.name}</span>
          </span>
        </span>
      ))}{' '}
      = <Figure value={result} unit={unit} fine className="text-xl" />
      {onTape !== undefined && (
        <>
          , on the tape <Figure value={onTape} unit={unit} className="text-xl" />
        </>
      )}
    </p>
  );
}
