import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { type LayoutRequest, useWhy } from '../api/queries';
import { featureName } from '../entry/features';
import { SumWritten } from './SumWritten';

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

function Reason({ explanation, name, asked }: { explanation: Explanation; name: string; asked: boolean }) {
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (asked) {
      ref.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [asked]);
  return (
    <li
      ref={ref}
      className={`grid gap-0.5 border-t border-base-300 pt-1 ${asked ? 'border-l-4 border-l-primary pl-2' : ''}`}
    >
      <h2 className="text-lg leading-tight font-semibold first-letter:uppercase">{name}</h2>
      <p>{explanation.words}</p>
      <SumWritten explanation={explanation} />
    </li>
  );
}
