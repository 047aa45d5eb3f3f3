import { keepPreviousData, skipToken, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useBenchCore } from '../benchcore/useBenchCore';
import { Figure } from '../entry/Figure';
import { Beside } from '../frame/Beside';
import { Dialog } from '../frame/Dialog';
import { useDisplayUnit } from '../frame/signedIn';
import { type BenderCard, SHOWS_BENDERS } from './benderQueries';
import { BLANK_NINETY, COLUMNS, readNineties, sourceOf, type TypedNinety, withBlankNinety } from './testNineties';
import { Reach } from './Reach';
import { useKept } from './useKept';

/** Test nineties on a bender: its take-up and radius by all of them together, with their scatter. */
export function TestNineties({ bender, onClose }: { bender: BenderCard; onClose: () => void }) {
  const core = useBenchCore();
  const unit = useDisplayUnit();
  const [typed, setTyped] = useState<readonly TypedNinety[]>([BLANK_NINETY, BLANK_NINETY, BLANK_NINETY]);
  const { tests, problems } = core === undefined ? { tests: [], problems: [] } : readNineties(core, typed, unit);
  const fit = useQuery<Schemas['CalibrationAnswer'], Problem>({
    queryKey: ['calibration', bender.outsideDiameterIn, tests],
    queryFn:
      tests.length === 0
        ? skipToken
        : () =>
            body(
              api.POST('/api/calc/calibration', {
                body: { conduit: { outsideDiameterIn: bender.outsideDiameterIn }, tests },
              }),
            ),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const shown = tests.length === 0 || fit.isError ? undefined : fit.data;
  return (
    <Dialog title={`Test bends on ${bender.label}`} wide onClose={onClose}>
      <p className="leading-snug">
        Cut three scraps, ring each, set the arrow on the ring with the hook to the end that you measure from, and bend
        a ninety. Write down what each was and became.
      </p>
      <table className="mt-2 w-full">
        <caption className="sr-only">Test bends</caption>
        <thead className="text-left text-sm">
          <tr>
            <th>
              <span className="sr-only">Bend</span>
            </th>
            {COLUMNS.map(({ part, name, kind }) => (
              <th key={part} className="font-normal">
                {name}, {kind === 'angle' ? '°' : unit}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {typed.map((bend, line) => (
            // A line is what it is by its place: nothing else tells blank ones apart.
            <tr key={line}>
              <th scope="row" className="pr-2 text-right font-normal">
                {line + 1}
              </th>
              {COLUMNS.map(({ part, name }) => (
                <td key={part} className="p-0.5">
                  <input
                    aria-label={`${name}, bend ${String(line + 1)}`}
                    value={bend[part]}
                    maxLength={20}
                    className="figures h-11 w-full min-w-0 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-xl"
                    onChange={(event) => {
                      setTyped(
                        withBlankNinety(
                          typed.map((each, i) => (i === line ? { ...each, [part]: event.target.value } : each)),
                        ),
                      );
                    }}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {problems.map(({ line, message }) => (
        <p key={line} role="alert" className="text-error">
          ✕ Bend {line + 1}: {message}
        </p>
      ))}
      <Beside problem={tests.length > 0 ? fit.error?.message : undefined} />
      {shown === undefined ? (
        <p className="mt-2">Take-up and radius come with the first bend, how sure they are with the second.</p>
      ) : (
        <Fitted bender={bender} fit={shown} bends={tests.length} onDone={onClose} />
      )}
    </Dialog>
  );
}

function Fitted({
  bender,
  fit,
  bends,
  onDone,
}: {
  bender: BenderCard;
  fit: Schemas['CalibrationAnswer'];
  bends: number;
  onDone: () => void;
}) {
  const key = useMemo(() => newId(), []);
  const take = useKept(
    () =>
      body(
        api.PUT('/api/benders/{id}/revisions/{key}', {
          params: { path: { id: bender.id, key } },
          body: {
            figures: { ...bender.revisions[0]?.figures, takeUpIn: fit.takeUpIn, radiusIn: fit.radiusIn },
            reason: sourceOf(bends),
          },
        }),
      ),
    SHOWS_BENDERS,
    onDone,
  );
  // Errors fall with the root of how many bends there are.
  const next = Math.sqrt(bends / (bends + 1));
  return (
    <div className="mt-2 grid gap-2">
      <p className="text-xl leading-snug">
        Take-up{' '}
        <b>
          <Figure value={fit.takeUpIn} unit="in" fine />
        </b>
        {fit.takeUpErrorIn != null && (
          <>
            {', '}
            <Reach value={2 * fit.takeUpErrorIn} unit="in" />
          </>
        )}
        , radius{' '}
        <b>
          <Figure value={fit.radiusIn} unit="in" fine />
        </b>
        {fit.radiusErrorIn != null && (
          <>
            {', '}
            <Reach value={2 * fit.radiusErrorIn} unit="in" />
          </>
        )}
      </p>
      {fit.scatterIn == null || fit.takeUpErrorIn == null ? (
        <p>One bend always fits: bend another to know how sure this is.</p>
      ) : (
        <p className="leading-snug">
          The legs lie <Figure value={fit.scatterIn} unit="in" fine /> about it. One more bend would bring the take-up
          to <Reach value={2 * fit.takeUpErrorIn * next} unit="in" />.
        </p>
      )}
      <Beside problem={take.error?.message} />
      <button
        type="button"
        className="btn h-12 btn-neutral text-lg"
        disabled={take.isPending}
        onClick={() => {
          take.mutate(undefined);
        }}
      >
        Give {bender.label} these figures
      </button>
      <p className="text-sm leading-snug">What was set and measured with the earlier ones keeps them.</p>
    </div>
  );
}
