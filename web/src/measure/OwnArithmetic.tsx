import { useState } from 'react';
import type { Attempt } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { useDisplayUnit } from '../frame/signedIn';
import { useKeep } from '../queue/outboxContext';
import { type Datum, datumWords } from './datum';
import { DatumChoice } from './DatumChoice';
import { useLengthProblem } from './useLengthProblem';

/** The trainee's own figures for the marks: from the phone, or read off the sheet. They are scored apart. */
export function OwnArithmetic({ attempt }: { attempt: Attempt }) {
  const keep = useKeep(attempt.id, attempt.trainee.fullName);
  const unit = useDisplayUnit();
  const { own } = attempt.bench;
  const [texts, setTexts] = useState<string[]>(() => attempt.plan.marks.map(() => ''));
  const [cut, setCut] = useState('');
  const [editing, setEditing] = useState(false);
  const [datums, setDatums] = useState<Datum[]>(() => attempt.plan.marks.map(() => 'back'));
  const lengthProblem = useLengthProblem();
  const [problem, setProblem] = useState<string>();
  const backs = attempt.plan.marks.map(({ back }) => back?.bend);
  if (own != null && !editing) {
    return (
      <section aria-label="Own arithmetic" className="grid gap-1">
        <p className="leading-tight">
          Worked out by {attempt.trainee.fullName}
          <span className="block text-sm">written down by {own.takenBy}</span>
        </p>
        <p className="leading-none">
          <span className="figures text-[2.4rem]">{Math.round(own.points)}</span> of 100 for the arithmetic
        </p>
        <table className="w-full">
          <caption className="sr-only">Own figures for the marks</caption>
          <tbody>
            {own.marks.map(({ mark, text, from, deviationIn, band }) => (
              <tr key={mark} className="border-t border-base-300">
                <th scope="row" className="py-1 text-left font-normal">
                  Mark {mark}
                  {backs[mark - 1] != null && (
                    <span className="block text-sm">{datumWords(from ?? 'end', backs[mark - 1] ?? 1)}</span>
                  )}
                </th>
                <td className="figures text-right text-xl">{text}</td>
                <td className="text-right">
                  <Deviation feature={{ unit: 'in', target: 0, deviation: deviationIn, band }} />
                </td>
              </tr>
            ))}
            {own.cut != null && (
              <tr className="border-t border-base-300">
                <th scope="row" className="py-1 text-left font-normal">
                  Cut to
                </th>
                <td className="figures text-right text-xl">{own.cut.text}</td>
                <td className="text-right">
                  <Deviation feature={{ unit: 'in', target: 0, deviation: own.cut.deviationIn, band: own.cut.band }} />
                </td>
              </tr>
            )}
          </tbody>
        </table>
        <button
          type="button"
          className="min-h-9 self-start text-left text-base underline underline-offset-4"
          onClick={() => {
            setTexts(own.marks.map(({ text }) => text));
            setDatums(own.marks.map(({ from }) => from ?? 'end'));
            setCut(own.cut?.text ?? '');
            setEditing(true);
          }}
        >
          Correct them…
        </button>
      </section>
    );
  }
  const complete = texts.every((text) => text.trim() !== '');
  return (
    <form
      aria-label="Own arithmetic"
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        const wrong = [...texts, ...(cut.trim() === '' ? [] : [cut])]
          .map(lengthProblem)
          .find((each) => each !== undefined);
        setProblem(wrong);
        if (complete && wrong === undefined) {
          void keep({
            kind: 'fact',
            body: {
              fact: {
                kind: 'figures',
                marks: attempt.plan.marks.map(({ number, back }, i) => ({
                  mark: number,
                  text: texts[i]?.trim() ?? '',
                  ...(back == null ? {} : { from: datums[i] ?? 'back' }),
                })),
                ...(cut.trim() === '' ? {} : { cut: { text: cut.trim() } }),
              },
              bare: unit,
              takenAt: new Date().toISOString(),
              corrects: own?.id ?? null,
              reason: own == null ? null : 'read off the sheet again',
            },
          }).then(() => {
            setEditing(false);
          });
        }
      }}
    >
      <p className="leading-tight">The trainee’s own figures for the marks, as they stand on the sheet.</p>
      {attempt.plan.marks.map(({ number, back }, i) => (
        <div key={number}>
          <label className="flex items-center gap-2">
            <span className="w-20">Mark {number}</span>
            <input
              aria-label={`Own figure for mark ${String(number)}`}
              value={texts[i] ?? ''}
              onChange={(event) => {
                setTexts(texts.map((text, k) => (k === i ? event.target.value : text)));
              }}
              className="figures h-11 w-full min-w-0 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-xl"
            />
          </label>
          {back != null && (
            <DatumChoice
              name={`mark ${String(number)}`}
              bend={back.bend}
              from={datums[i] ?? 'back'}
              onFrom={(from) => {
                setDatums(datums.map((datum, k) => (k === i ? from : datum)));
              }}
            />
          )}
        </div>
      ))}
      {attempt.plan.cutLengthIn != null && (
        <label className="flex items-center gap-2">
          <span className="w-20">Cut to</span>
          <input
            aria-label="Own figure for the cut"
            placeholder="if it is on the sheet"
            value={cut}
            onChange={(event) => {
              setCut(event.target.value);
            }}
            className="figures h-11 w-full min-w-0 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-xl"
          />
        </label>
      )}
      {problem !== undefined && (
        <p role="alert" className="text-error">
          ✕ {problem}
        </p>
      )}
      <button className="btn h-11 btn-neutral" disabled={!complete}>
        Keep the figures
      </button>
    </form>
  );
}
