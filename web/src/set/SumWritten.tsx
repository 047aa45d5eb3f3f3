import type { Schemas } from '../api/client';
import { Figure } from '../entry/Figure';

type Explanation = Schemas['ExplanationAnswer'];

/** The sum of an explanation with its figures, as somebody writes it on a board. */
export function SumWritten({ explanation: { about, terms, unit, result, rounded } }: { explanation: Explanation }) {
  const fine = about.startsWith('predicted/');
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
      {rounded != null && Math.abs(rounded - result) > 1e-6 && (
        <>
          , on the tape <Figure value={rounded} unit={unit} className="text-xl" />
        </>
      )}
    </p>
  );
}
