import { useMemo } from 'react';
import { api, body, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Figure } from '../entry/Figure';
import { Beside } from '../frame/Beside';
import { useMay } from '../frame/rights';
import { type BenderCard, type Figures, SHOWS_BENDERS, useClassSays } from './benderQueries';
import { day } from './days';
import { DriftChart } from './DriftChart';
import { Reach } from './Reach';
import { TOLD } from './figureWords';
import { useKept } from './useKept';

/** What the class's own pieces say of a bender: person and bender told apart, how sure it is, and since when. */
export function ClassSays({ bender }: { bender: BenderCard }) {
  const says = useClassSays(bender.id);
  if (says.data === undefined) {
    return (
      <p className="text-lg" role={says.error === null ? 'status' : 'alert'}>
        {says.error?.message ?? 'Looking through what was bent on it…'}
      </p>
    );
  }
  const { series, pieces, offByNowIn, offByToldIn } = says.data;
  const order = Object.keys(TOLD);
  const figures = [...says.data.figures].sort((a, b) => order.indexOf(a.figure) - order.indexOf(b.figure));
  return (
    <section aria-label="What its own pieces say">
      <h3 className="text-xl leading-tight font-semibold">What its own pieces say</h3>
      {figures.length === 0 ? (
        <p className="max-w-2xl text-lg leading-snug">
          {pieces === 0 ? 'Nothing was bent on it yet.' : `${String(pieces)} pieces were bent on it.`} With 8 pieces
          that were not bent again, by 3 people, it can be told from what they made; its take-up and radius from stub
          nineties that were measured with ring, both legs and angle.
        </p>
      ) : (
        <>
          <table className="w-full max-w-3xl text-lg leading-snug">
            <thead className="text-left text-sm">
              <tr>
                <th className="font-normal">Figure</th>
                <th className="text-right font-normal">now</th>
                <th className="text-right font-normal">the class says</th>
                <th className="pl-4 font-normal">how sure, of what</th>
              </tr>
            </thead>
            <tbody>
              {figures.map((told) => (
                <ToldRow key={told.figure} told={told} />
              ))}
            </tbody>
          </table>
          {offByNowIn != null && offByToldIn != null && (
            <p className="mt-1 leading-snug">
              On the same pieces the legs are off by <Figure value={offByNowIn} unit="in" fine /> with its figures now,
              and by <Figure value={offByToldIn} unit="in" fine /> with these (root of the mean square).
            </p>
          )}
          <TakeThem bender={bender} figures={figures} pieces={pieces} />
          <div className="mt-3 grid gap-3">
            {figures.map((told) => {
              const own = series.find(({ figure }) => figure === told.figure);
              return own !== undefined && <DriftChart key={told.figure} series={own} told={told} />;
            })}
          </div>
        </>
      )}
    </section>
  );
}

function ToldRow({ told }: { told: Schemas['ToldFigure'] }) {
  const as = TOLD[told.figure];
  if (as === undefined) {
    return null;
  }
  return (
    <tr className="border-t border-base-300 align-top">
      <th scope="row" className="py-1 text-left font-normal">
        {as.words}
      </th>
      <td className="text-right text-xl">
        <Figure value={told.now} unit={as.unit} fine />
      </td>
      <td className="text-right text-xl font-semibold whitespace-nowrap">
        <span aria-hidden="true">{told.differs ? '▲ ' : ''}</span>
        <Figure value={told.value} unit={as.unit} fine />
      </td>
      <td className="pl-4">
        <Reach value={told.reach} unit={as.unit} />, {told.pieces} pieces, {told.people} people
        {told.leftOut > 0 && `, ${String(told.leftOut)} left out`}
        <span className="block text-sm">
          {told.differs ? 'clearly another than it has now' : 'what it has now is within that'}
          {told.since != null && told.changedBy != null && (
            <>
              ; changed on {day(told.since)} by <Figure value={told.changedBy} unit={as.unit} signed fine />
            </>
          )}
        </span>
      </td>
    </tr>
  );
}

/** The lead takes what clearly differs, or leaves it. */
function TakeThem({
  bender,
  figures,
  pieces,
}: {
  bender: BenderCard;
  figures: Schemas['ToldFigure'][];
  pieces: number;
}) {
  const leads = useMay('LEAD');
  const key = useMemo(() => newId(), []);
  const differing = figures.filter(({ differs }) => differs);
  const now = bender.revisions[0]?.figures;
  const take = useKept(() => {
    const taken: Figures = { ...now };
    for (const { figure, value } of differing) {
      const name = TOLD[figure]?.name;
      if (name !== undefined) {
        Object.assign(taken, { [name]: name === 'springbackDeg' ? Math.max(0, round(value, 4)) : round(value, 64) });
      }
    }
    return body(
      api.PUT('/api/benders/{id}/revisions/{key}', {
        params: { path: { id: bender.id, key } },
        body: { figures: taken, reason: `Of the class’s own pieces (${String(pieces)})` },
      }),
    );
  }, SHOWS_BENDERS);
  if (differing.length === 0) {
    return <p className="mt-1 text-lg">● Its figures are what the class bends. There is nothing to take.</p>;
  }
  return (
    <div className="mt-2">
      <Beside problem={take.error?.message} />
      {leads ? (
        <button
          type="button"
          className="btn h-12 btn-neutral px-5 text-lg"
          disabled={take.isPending}
          onClick={() => {
            take.mutate(undefined);
          }}
        >
          Take {differing.map(({ figure }) => TOLD[figure]?.words.toLowerCase() ?? figure).join(', ')}
        </button>
      ) : (
        <p className="leading-snug">The lead of the school can take these figures.</p>
      )}
      <p className="text-sm leading-snug">What was set and measured with the earlier ones keeps them.</p>
    </div>
  );
}

/** As finely as it can be used: no more than 1/64 in, or a quarter of a degree. */
function round(value: number, parts: number): number {
  return Math.round(value * parts) / parts;
}
