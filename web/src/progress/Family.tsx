import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { inSentence } from '../bends/families';
import { featureName, featureOf } from '../entry/features';
import { Figure } from '../entry/Figure';
import { useDisplayUnit } from '../frame/signedIn';
import { DeviationChart, ScoreChart } from './charts';
import { conduitText } from './conduit';

type FamilyOfPieces = Schemas['FamilyView'];
type FeatureTrend = Schemas['FeatureTrend'];

/**
 * One family of bends: scores and deviations over time, and every piece that is shown.
 *
 * @param first feature to show, such as one with a habit; else the one that takes up most of its tolerance
 */
export function Family({ family, first }: { family: FamilyOfPieces; first: string | null | undefined }) {
  const [chosen, setChosen] = useState(first);
  const display = useDisplayUnit();
  const feature = family.features.find((each) => each.feature === chosen) ?? widest(family);
  const bends = family.features.filter(({ feature: id }) => featureOf(id).kind === 'angle').length;
  if (family.history.length === 0 || feature === undefined) {
    return <p className="py-4 text-xl">No {inSentence(family.id)} is measured to the end yet.</p>;
  }
  return (
    <>
      <section aria-label="Score over time" className="mt-2">
        <h2 className="flex flex-wrap items-baseline gap-x-4 text-xl font-semibold">
          Score
          <span className="text-base font-normal">
            {conduitText(family.usedIn, display)} of conduit used
            {family.wastedIn > 0 && `, ${conduitText(family.wastedIn, display)} wasted`}
            {family.typicalMinutes != null && `, about ${String(family.typicalMinutes)} min a piece`}
          </span>
          {family.scoreStep != null && (
            <span className="text-base font-normal">
              ▏clearly changed: about {Math.round(family.scoreStep.before)} before, {Math.round(family.scoreStep.after)}{' '}
              since
            </span>
          )}
        </h2>
        <ScoreChart family={family} />
      </section>
      <section aria-label="Deviation over time" className="mt-1">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <h2 className="text-xl font-semibold">Off by</h2>
          <select
            aria-label="Feature"
            value={feature.feature}
            onChange={(event) => {
              setChosen(event.target.value);
            }}
            className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
          >
            {family.features.map(({ feature: id }) => (
              <option key={id} value={id}>
                {featureName(id, bends)}
              </option>
            ))}
          </select>
          <OnTheWhole feature={feature} />
        </div>
        <DeviationChart family={family} feature={feature} />
      </section>
      <Slips family={family} />
      <Pieces family={family} bends={bends} />
    </>
  );
}

/** The feature that takes up most of its tolerance on the whole. */
function widest(family: FamilyOfPieces): FeatureTrend | undefined {
  const part = (feature: FeatureTrend, at: number) => {
    const tolerance =
      family.history
        .map((piece) => piece.tolerances[at])
        .filter((each) => each != null)
        .at(-1) ?? 1;
    return Math.abs(feature.bias) / tolerance;
  };
  return family.features.map((feature, at) => ({ feature, part: part(feature, at) })).sort((a, b) => b.part - a.part)[0]
    ?.feature;
}

/** Bias and spread with their intervals. */
function OnTheWhole({ feature }: { feature: FeatureTrend }) {
  const { unit } = feature;
  return (
    <p className="leading-tight">
      on the whole <Figure value={feature.bias} unit={unit} signed className="text-[1.65rem]" />
      {feature.biasFrom != null && feature.biasTo != null && (
        <>
          {' '}
          (<Figure value={feature.biasFrom} unit={unit} signed /> to{' '}
          <Figure value={feature.biasTo} unit={unit} signed />)
        </>
      )}
      {feature.spread != null && (
        <>
          {', '}spread <Figure value={feature.spread} unit={unit} fine className="text-[1.65rem]" />
          {feature.spreadFrom != null && feature.spreadTo != null && (
            <>
              {' '}
              (<Figure value={feature.spreadFrom} unit={unit} fine /> to{' '}
              <Figure value={feature.spreadTo} unit={unit} fine />)
            </>
          )}
        </>
      )}
      {feature.step != null && (
        <>
          {' '}
          ▏changed from <Figure value={feature.step.before} unit={unit} signed /> to{' '}
          <Figure value={feature.step.after} unit={unit} signed />
        </>
      )}
      <span className="block text-sm">in brackets: 95 times of 100 the truth lies there</span>
    </p>
  );
}

/** What went wrong over time: a row for each cause, a mark for each piece that had it. */
function Slips({ family }: { family: FamilyOfPieces }) {
  const causes = new Map<string, string>();
  for (const { slip } of family.history) {
    if (slip != null) {
      causes.set(slip.cause, slip.title);
    }
  }
  if (causes.size === 0) {
    return null;
  }
  return (
    <section aria-label="Causes over time" className="mt-2">
      <h2 className="text-xl font-semibold">What went wrong</h2>
      <ul>
        {[...causes].map(([cause, title]) => {
          const times = family.history.filter(({ slip }) => slip?.cause === cause).length;
          return (
            <li key={cause} className="flex items-center gap-3">
              <span className="w-[15rem] truncate">{title}</span>
              <span className="flex min-w-0 flex-1 gap-px" aria-hidden="true">
                {family.history.map((piece) => (
                  <span
                    key={piece.attemptId}
                    className={`h-4 min-w-1 flex-1 ${piece.slip?.cause === cause ? 'bg-secondary' : 'bg-base-300'}`}
                  />
                ))}
              </span>
              <span className="figures w-14 text-right">
                {times} of {family.history.length}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Pieces({ family, bends }: { family: FamilyOfPieces; bends: number }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Pieces">
      <table className="mt-3 w-full leading-tight">
        <caption className="text-left text-xl font-semibold">
          {family.pieces > family.history.length
            ? `The last ${String(family.history.length)} of ${String(family.pieces)} pieces`
            : 'Pieces'}
          , the newest first
        </caption>
        <thead className="text-left text-sm">
          <tr>
            <th className="font-normal">Day</th>
            <th className="font-normal">Exercise</th>
            <th className="font-normal">Bender</th>
            <th className="font-normal">Furthest off, by its tolerance</th>
            <th className="font-normal">Cause</th>
            <th className="text-right font-normal">Score</th>
          </tr>
        </thead>
        <tbody>
          {[...family.history].reverse().map((piece) => (
            <tr key={piece.attemptId} className="border-t border-base-300">
              <td className="py-1.5 pr-2 whitespace-nowrap">
                {new Date(piece.measuredAt).toLocaleDateString([], { day: 'numeric', month: 'short' })}
              </td>
              <td className="pr-2">
                <Link to={`/verdict/${piece.attemptId}`} className="underline underline-offset-4">
                  {piece.title}
                </Link>
                {piece.rebent > 0 && <span className="text-sm"> re-bent {piece.rebent} ×</span>}
              </td>
              <td className="pr-2 whitespace-nowrap">{piece.benderLabel}</td>
              <td className="pr-2">
                {furthestOff(family, piece).map(({ feature, unit, deviation }) => (
                  <span key={feature} className="mr-3 whitespace-nowrap">
                    {featureName(feature, bends)} <Figure value={deviation} unit={unit} signed className="text-lg" />
                  </span>
                ))}
              </td>
              <td className="pr-2">{piece.slip?.title}</td>
              <td className="text-right whitespace-nowrap">
                <span
                  aria-label={piece.passed ? 'passed' : 'not passed'}
                  role="img"
                  className={piece.passed ? 'text-success' : 'text-error'}
                >
                  {piece.passed ? '●' : '✕'}
                </span>{' '}
                <span className="figures">{Math.round(piece.points)}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The features that the core says are furthest off, with their deviations. */
function furthestOff(family: FamilyOfPieces, piece: FamilyOfPieces['history'][number]) {
  return piece.furthestOff.flatMap((id) => {
    const at = family.features.findIndex(({ feature }) => feature === id);
    const unit = family.features[at]?.unit;
    const deviation = piece.deviations[at];
    return unit === undefined || deviation == null ? [] : [{ feature: id, unit, deviation }];
  });
}
