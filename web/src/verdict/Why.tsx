import type { Schemas } from '../api/client';

type Cause = Schemas['CauseAnswer'];

/** What is less likely than this is not worth reading at a bench. */
const WORTH_READING = 0.03;
const MOST_SHOWN = 4;

/** From here on the second of a pair is named beside the first. */
const PROBABLE = 0.5;

/** The likely cause in the trade's words with its evidence; the others it could be; what another reading would decide. */
export function Why({
  finding,
  diagnosis,
}: {
  finding: Schemas['FindingWords'];
  diagnosis: Schemas['DiagnoseAnswer'] | null | undefined;
}) {
  const [first, ...others] = diagnosis?.causes ?? [];
  if (diagnosis == null || first === undefined) {
    return <h2 className="text-[1.7rem] leading-tight font-semibold">{finding.headline}</h2>;
  }
  const worth = others.filter(({ probability }) => probability >= WORTH_READING).slice(0, MOST_SHOWN);
  const together = finding.named ? worth.filter(({ probability }) => probability >= PROBABLE) : [];
  const rest = finding.named ? worth.filter((cause) => !together.includes(cause)) : [first, ...worth];
  return (
    <section aria-label="Likely cause" className="grid gap-2">
      {finding.named ? (
        [first, ...together].map((cause, i, all) => (
          <Likely
            key={`${cause.id}${String(cause.bendNumber)}`}
            cause={cause}
            // Two that happened together share what speaks for them.
            told={all.slice(0, i).some(({ evidence }) => evidence === cause.evidence)}
          />
        ))
      ) : (
        <h2 className="text-[1.7rem] leading-tight font-semibold">{finding.headline}</h2>
      )}
      {rest.length > 0 && (
        <table className="w-full text-base leading-tight">
          <caption className="pb-1 text-left">{finding.named ? 'It could also be' : 'What is off could be'}</caption>
          <tbody>
            {rest.map((cause) => (
              <tr key={`${cause.id}${String(cause.bendNumber)}`} className="border-t border-base-300">
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  {cause.title}
                </th>
                <td className="w-24">
                  <Likelihood probability={cause.probability} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {diagnosis.further != null && (
        <p className="border-l-4 border-info pl-2 text-base leading-snug" data-testid="further">
          {diagnosis.further.text}
        </p>
      )}
    </section>
  );
}

function Likely({ cause, told }: { cause: Cause; told: boolean }) {
  return (
    <div data-testid="cause" data-cause={cause.id}>
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-[1.7rem] leading-tight font-semibold">{cause.title}</h2>
        <span className="w-24 shrink-0 pt-1.5">
          <Likelihood probability={cause.probability} />
        </span>
      </div>
      <p className="text-xl leading-snug">{cause.what}</p>
      {!told && <p className="pt-1 text-base leading-snug">{cause.evidence}</p>}
    </div>
  );
}

function Likelihood({ probability }: { probability: number }) {
  const percent = Math.min(99, Math.round(probability * 100));
  return (
    <span className="flex items-center gap-1.5">
      <span className="h-2.5 w-12 border border-base-content/60" aria-hidden="true">
        <span className="block h-full bg-base-content" style={{ width: `${String(percent)}%` }} />
      </span>
      <span className="figures">{percent}%</span>
    </span>
  );
}
