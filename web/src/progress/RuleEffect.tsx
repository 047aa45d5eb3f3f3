import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { Select } from '../frame/Select';

type Figures = Schemas['SignOffFigures'];

const RATES = ['0.5', '0.6', '0.7', '0.8'];
const RISKS = ['0.01', '0.05', '0.1', '0.2'];

/** What a rule does: how likely somebody who passes so many pieces is called ready, and the smallest rule that keeps a risk. */
export function RuleEffect({ figures, open = false }: { figures: Figures; open?: boolean }) {
  const [shown, setShown] = useState(open);
  return (
    <details
      open={shown}
      onToggle={(event) => {
        setShown(event.currentTarget.open);
      }}
      className="mt-2"
    >
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">What this rule does</summary>
      {shown && <Effect figures={figures} />}
    </details>
  );
}

function Effect({ figures }: { figures: Figures }) {
  const [passRate, setPassRate] = useState('0.7');
  const [pieces, setPieces] = useState('12');
  const [risk, setRisk] = useState('0.1');
  const asked = { figures, passRate: Number(passRate), pieces: Number(pieces), risk: Number(risk) };
  const whole = Object.values(figures).every((figure) => Number.isFinite(figure));
  const effect = useQuery<Schemas['RuleEffect'], Problem>({
    queryKey: ['ruleEffect', asked],
    queryFn: () => body(api.POST('/api/sign-off-rules/effect', { body: asked })),
    enabled: whole,
    retry: false,
    placeholderData: keepPreviousData,
  });
  if (effect.data === undefined) {
    return <p role="status">{effect.error?.message ?? 'Working it out…'}</p>;
  }
  const { chances, after, smallest, piecesADay, cleanShare } = effect.data;
  return (
    <div className="grid gap-2 leading-snug">
      <table className="w-full text-lg">
        <caption className="text-left">Called ready within so many pieces, of those who pass</caption>
        <thead>
          <tr className="text-sm">
            <th className="text-left font-normal">of their pieces</th>
            {after.map((count) => (
              <th key={count} className="text-right font-normal">
                {count}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {chances.map((row) => (
            <tr key={row.passRate} className="border-t border-base-300">
              <th scope="row" className="figures text-left font-normal">
                {percent(row.passRate)}
              </th>
              {row.within.map((chance, i) => (
                <td key={after[i]} className="figures text-right font-semibold">
                  {percent(chance)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm">
        Worked out exactly, with pieces that come out independently, {piecesADay} a day, {percent(cleanShare)} of the
        passes without re-bending, as here in the last year.
      </p>
      <div className="grid grid-cols-3 items-end gap-2">
        <Select
          label="Who passes only"
          value={passRate}
          onChange={setPassRate}
          options={RATES.map((value) => ({ value, name: percent(Number(value)) }))}
        />
        <Select
          label="within pieces"
          value={pieces}
          onChange={setPieces}
          options={after.map((count) => ({ value: String(count), name: String(count) }))}
        />
        <Select
          label="at most so often"
          value={risk}
          onChange={setRisk}
          options={RISKS.map((value) => ({ value, name: percent(Number(value)) }))}
        />
      </div>
      <p className="text-lg">
        {smallest == null ? (
          '▲ No rule that looks at 12 pieces or fewer keeps that.'
        ) : (
          <>
            The smallest rule that keeps this:{' '}
            <b>
              {smallest.figures.passes} of {smallest.figures.of}
            </b>{' '}
            ({percent(smallest.risk)}).
          </>
        )}
      </p>
    </div>
  );
}

/** A share in whole per cent; what is small and not nothing says so. */
export function percent(share: number): string {
  if (share > 0 && share < 0.005) {
    return '< 1 %';
  }
  if (share < 1 && share > 0.995) {
    return '> 99 %';
  }
  return `${String(Math.round(share * 100))} %`;
}
