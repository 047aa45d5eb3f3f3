import { useState } from 'react';
import { api, body } from '../api/client';
import { Figure } from '../entry/Figure';
import { Beside } from '../frame/Beside';
import { BUTTON } from '../library/button';
import { type FeatureResult, SHOWS_STUDIES, type Study, useStudyResults } from './studyQueries';
import { READER_MARKS, StudyChart } from './StudyChart';
import { useKept } from './useKept';

/** As finely as spreads are told apart. */
const FINE = { lines: 128, places: 2 };

const LINES: Readonly<Record<string, string>> = {
  pieces: 'Pieces',
  people: 'People',
  together: 'People on single pieces',
  again: 'The same again',
};

/** What a closed study came to, feature by feature. */
export function StudyResults({ study, leads }: { study: Study; leads: boolean }) {
  const [without, setWithout] = useState<readonly number[]>([]);
  const results = useStudyResults(study.id, without);
  const take = useKept(
    () => body(api.PUT('/api/reading-spread', { body: { studyId: study.id, without: [...without] } })),
    SHOWS_STUDIES,
  );
  if (results.data === undefined) {
    return (
      <p className="mt-2 text-lg" role={results.error === null ? 'status' : 'alert'}>
        {results.error?.message ?? 'Working it out…'}
      </p>
    );
  }
  const { features, incomplete } = results.data;
  const leave = (piece: number) => {
    setWithout((now) =>
      now.includes(piece) ? now.filter((each) => each !== piece) : [...now, piece].sort((a, b) => a - b),
    );
  };
  return (
    <>
      {incomplete.length > 0 && (
        <p className="text-lg leading-snug">
          ▲ Not everybody read {incomplete.length === 1 ? 'piece' : 'pieces'} {incomplete.join(', ')} as often as asked:
          left out.
        </p>
      )}
      {features.length === 0 && (
        <p className="mt-2 text-lg leading-snug">
          ▲ Too little was read to say anything: it takes two people who read three pieces twice.
        </p>
      )}
      <fieldset className="mt-2 flex flex-wrap items-center gap-x-3">
        <legend className="float-left mr-3 text-base">Leave out</legend>
        {Array.from({ length: study.pieces }, (_, i) => i + 1)
          .filter((piece) => !incomplete.includes(piece))
          .map((piece) => (
            <label key={piece} className="flex min-h-9 items-center gap-1">
              <input
                type="checkbox"
                className="size-5"
                aria-label={`Leave out piece ${String(piece)}`}
                checked={without.includes(piece)}
                onChange={() => {
                  leave(piece);
                }}
              />
              {piece}
            </label>
          ))}
      </fieldset>
      {features.map((result) => (
        <OfOneFeature key={result.feature.feature} result={result} pieces={results.data.pieces} />
      ))}
      {leads && features.length > 0 && (
        <div className="mt-4">
          <Beside problem={take.error?.message} />
          <button
            type="button"
            className="btn h-12 px-5 text-lg btn-neutral"
            disabled={take.isPending}
            onClick={() => {
              take.mutate(undefined);
            }}
          >
            Weigh readings by this from now on
          </button>
        </div>
      )}
    </>
  );
}

function OfOneFeature({ result, pieces }: { result: FeatureResult; pieces: readonly number[] }) {
  const { unit } = result.feature;
  return (
    <section aria-label={result.feature.title} className="mt-5 border-t border-base-300 pt-3">
      <h3 className="text-2xl leading-tight font-semibold">{result.feature.title}</h3>
      <p className="max-w-3xl text-xl leading-snug">{result.verdict}</p>
      <p className="max-w-3xl text-lg leading-snug">{result.cause}</p>
      <div className="mt-2 grid gap-x-6 gap-y-3 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <StudyChart result={result} pieces={pieces} />
        <div>
          <dl className="grid grid-cols-[1fr_auto] gap-x-4 text-lg leading-snug">
            <dt>The same person, again</dt>
            <dd className="text-right">
              <Figure value={result.repeatability} unit={unit} shown={FINE} />
            </dd>
            <dt className="text-sm">95 % sure between</dt>
            <dd className="text-right text-sm">
              <Figure value={result.low} unit={unit} shown={FINE} /> and{' '}
              <Figure value={result.high} unit={unit} shown={FINE} />
            </dd>
            <dt>Between people</dt>
            <dd className="text-right">
              <Figure value={result.reproducibility} unit={unit} shown={FINE} />
            </dd>
            <dt className="font-semibold">A reading by anybody</dt>
            <dd className="text-right font-semibold">
              <Figure value={result.spread} unit={unit} shown={FINE} />
            </dd>
            <dt>
              usual <span className="text-sm">(one standard deviation each)</span>
            </dt>
            <dd className="text-right">
              <Figure value={result.usual} unit={unit} shown={FINE} />
            </dd>
          </dl>
          <table className="mt-3 w-full text-lg leading-snug">
            <caption className="sr-only">Who reads long or short</caption>
            <thead className="text-left text-sm">
              <tr>
                <th className="font-normal">Who</th>
                <th className="text-right font-normal">off by</th>
                <th className="text-right font-normal">own spread</th>
              </tr>
            </thead>
            <tbody>
              {result.readers.map((reader, i) => (
                <tr key={reader.id} className="border-t border-base-300 align-top">
                  <th scope="row" className="py-1 text-left font-normal">
                    <span aria-hidden="true">{READER_MARKS[i % READER_MARKS.length]} </span>
                    {reader.fullName}
                    <span className={`block text-base ${reader.off ? 'font-semibold' : ''}`}>
                      {reader.off && '▲ '}
                      {reader.words}
                    </span>
                  </th>
                  <td className="text-right">
                    <Figure value={reader.bias} unit={unit} signed shown={FINE} />
                  </td>
                  <td className="text-right">
                    <Figure value={reader.spread} unit={unit} shown={FINE} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
      <Analysis result={result} />
    </section>
  );
}

/** The analysis of variance, for whoever wants to check it. */
function Analysis({ result }: { result: FeatureResult }) {
  return (
    <details className="mt-2">
      <summary className={`${BUTTON} inline-flex cursor-pointer items-center`}>The analysis</summary>
      <table className="mt-2 text-base">
        <thead className="text-left text-sm">
          <tr>
            <th className="pr-6 font-normal">Between</th>
            <th className="pr-6 text-right font-normal">sum of squares</th>
            <th className="pr-6 text-right font-normal">degrees of freedom</th>
            <th className="text-right font-normal">mean square</th>
          </tr>
        </thead>
        <tbody className="figures">
          {result.lines.map((line) => (
            <tr key={line.of} className="border-t border-base-300">
              <th scope="row" className="py-0.5 pr-6 text-left font-normal">
                {LINES[line.of]}
              </th>
              <td className="pr-6 text-right">{line.squares.toPrecision(5)}</td>
              <td className="pr-6 text-right">{line.freedom}</td>
              <td className="text-right">{line.meanSquare.toPrecision(5)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 max-w-3xl leading-snug">
        In {result.feature.unit === 'in' ? 'inches' : result.feature.unit === 'deg' ? 'degrees' : 'per cent'}. Two-way
        analysis of variance, pieces and people taken at random.{' '}
        {result.pooled
          ? 'People do not differ from piece to piece by more than chance, so that counts as reading again.'
          : 'People differ from piece to piece by more than chance; that counts as a difference between people.'}{' '}
        By chance alone people would differ as much in {percent(result.peopleByChance)} of studies, and from piece to
        piece in {percent(result.togetherByChance)}. The tolerance of ±
        <Figure value={result.feature.tolerance} unit={result.feature.unit} shown={FINE} /> is held against six standard
        deviations of a reading.
        {result.toldApart != null &&
          ` Pieces such as these can be told apart into ${String(result.toldApart)} ${result.toldApart === 1 ? 'sort' : 'sorts'}.`}
      </p>
    </details>
  );
}

function percent(chance: number): string {
  return chance < 0.01 ? 'less than 1 %' : `${String(Math.round(100 * chance))} %`;
}
