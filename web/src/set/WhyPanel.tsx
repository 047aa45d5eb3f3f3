import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { type LayoutRequest, useWhy } from '../api/queries';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';

type Explanation = Schemas['ExplanationAnswer'];

/** Why each number is what it is: a sentence, and the sum with its figures. */
export function WhyPanel({
  request,
  about,
  bends,
}: {
  request: LayoutRequest | undefined;
  /** What was asked about, brought to view. */
  about: string | undefined;
  bends: number;
}) {
  const why = useWhy(request);
  return (
    <ol aria-label="Why" className="grid gap-2 leading-snug">
      {why.data?.map((explanation) => (
        <Reason
          key={explanation.about}
          explanation={explanation}
          name={nameOf(explanation, bends)}
          asked={explanation.about === about}
        />
      ))}
      {why.data === undefined && <li className="text-lg">{why.error?.message ?? 'Working it out…'}</li>}
    </ol>
  );
}

function nameOf({ about, name }: Explanation, bends: number): string {
  const feature = about.split('/')[1];
  return feature === undefined ? name : `${featureName(feature, bends)}, as it comes out`;
}

/** By hand nobody writes “+ −1/32”, nor “+ +1/32”. */
function asWritten(term: Explanation['terms'][number], i: number): Explanation['terms'][number] {
  if (i === 0 || term.unit == null || term.value >= 0) {
    return term;
  }
  return term.before === '+'
    ? { ...term, before: '−', value: -term.value }
    : term.before === '−'
      ? { ...term, before: '+', value: -term.value }
      : term;
}

function Reason({ explanation, name, asked }: { explanation: Explanation; name: string; asked: boolean }) {
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (asked) {
      ref.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [asked]);
  const { words, terms, unit, result, rounded } = explanation;
  const fine = explanation.about.startsWith('predicted/');
  return (
    <li
      ref={ref}
      className={`grid gap-0.5 border-t border-base-300 pt-1 ${asked ? 'border-l-4 border-l-primary pl-2' : ''}`}
    >
      <h2 className="text-lg leading-tight font-semibold first-letter:uppercase">{name}</h2>
      <p>{words}</p>
      <p className="text-lg">
        {terms.map(asWritten).map((term, i) => (
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
        {rounded != null && (
          <>
            , on the tape <Figure value={rounded} unit={unit} className="text-xl" />
          </>
        )}
      </p>
    </li>
  );
}
