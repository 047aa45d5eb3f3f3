import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { api, body, type Problem, type Schemas } from '../api/client';
import { type LayoutRequest, useDivision } from '../api/queries';
import { useQuantities } from '../benchcore/useQuantities';
import { Figure } from '../entry/Figure';
import { exactText } from '../entry/figures';
import { QuantityField } from '../entry/QuantityField';
import { useDisplayUnit } from '../frame/signedIn';
import { CutList } from '../job/CutList';
import { GivePieces } from '../job/GivePieces';
import { useRunRules } from '../job/queries';
import { useMay } from '../frame/rights';
import { useStock } from '../shed/stockQueries';

/** What local code decides, with what is usual where it says nothing; sizes as they are typed. */
const RULES = [
  { name: 'strapFromFittingIn', label: 'Strap from a fitting', first: { in: '36', mm: '900' } },
  { name: 'strapApartIn', label: 'Straps apart', first: { in: '120', mm: '3000' } },
  { name: 'couplingFromArcIn', label: 'Coupling off a curve', first: { in: '3', mm: '75' } },
  { name: 'kerfIn', label: 'The saw takes', first: { in: '1/16', mm: '2' } },
] as const;

interface RunSticksProps {
  request: LayoutRequest;
  /** The whole run as something to give out. */
  exercise: () => Schemas['ExerciseInput'];
  /** The entry of the library that it is saved as. */
  entry: { id: string; version?: number | undefined };
  onGiven: (job: Schemas['JobView']) => void;
}

/** What a run is made from: its pieces and couplings, what is cut from which stick, its straps, and how wire is pulled through. */
export function RunSticks(props: RunSticksProps) {
  const rules = useRunRules();
  // Where the server does not say, what is usual counts.
  return rules.isPending ? null : <Sticks key={JSON.stringify(rules.data?.rules)} {...props} kept={rules.data} />;
}

/** @param kept the school's own rules; where it has none, what is usual */
function Sticks({
  request,
  exercise,
  entry,
  onGiven,
  kept,
}: RunSticksProps & { kept: Schemas['RunRulesView'] | undefined }) {
  const unit = useDisplayUnit();
  const start = useMemo(
    () => ({
      ...Object.fromEntries(
        RULES.map(({ name, first }) => {
          const own = kept?.rules[name];
          return [name, own == null ? first[unit] : exactText(own, unit)];
        }),
      ),
      leftOvers: (kept?.rules.leftOversIn ?? []).map((inches) => exactText(inches ?? 0, unit)).join(', '),
    }),
    [kept, unit],
  );
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const texts: Readonly<Record<string, string>> = { ...start, ...typed };
  const leftOvers = texts.leftOvers ?? '';
  const rules = useQuantities(RULES.map(({ name }) => ({ kind: 'length', text: texts[name] ?? '', bare: unit })));
  const lengths = leftOvers.split(/[,;]/).filter((text) => text.trim() !== '');
  const left = useQuantities(lengths.map((text) => ({ kind: 'length', text, bare: unit })));
  const known = [...rules, ...left].every(({ value }) => value !== undefined);
  const said: Schemas['JobRules'] = {
    leftOversIn: left.map(({ value }) => value ?? 0),
    ...Object.fromEntries(RULES.map(({ name }, i) => [name, rules[i]?.value])),
  };
  const division = useDivision(known ? { layout: request, ...said } : undefined);
  const changed = Object.keys(typed).filter((name) => typed[name] !== (start as Record<string, string>)[name]);
  const teaches = useMay('TEACH');
  const mayKeep = kept !== undefined && (kept.mayChange || changed.every((name) => name === 'leftOvers'));
  const onRack = useLeftOvers(exercise().conduitLabel);
  const badLeftOver = left.find(({ problem }) => problem !== null)?.problem;
  return (
    <section aria-label="Sticks and couplings" className="grid gap-2 border-t-2 border-base-300 pt-2 leading-snug">
      <h2 className="text-lg leading-none font-semibold">Sticks, couplings, straps</h2>
      {division.data !== undefined && <Divided division={division.data} />}
      {division.error !== null && <p role="status">{division.error.message}</p>}
      <div className="grid grid-cols-2 gap-x-2 gap-y-1">
        {RULES.map(({ name, label }, i) => (
          <QuantityField
            key={name}
            label={label}
            kind="length"
            text={texts[name] ?? ''}
            problem={rules[i]?.problem ?? null}
            place="list"
            onText={(text) => {
              setTyped((before) => ({ ...before, [name]: text }));
            }}
          />
        ))}
      </div>
      <label className="grid gap-0.5">
        <span className="text-sm leading-none">Left-overs at hand, with commas between</span>
        <input
          value={leftOvers}
          autoComplete="off"
          aria-invalid={badLeftOver != null}
          onChange={(event) => {
            setTyped((before) => ({ ...before, leftOvers: event.target.value }));
          }}
          className="figures h-11 w-full rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
        />
      </label>
      {onRack.length > 0 && (
        <button
          type="button"
          className="btn h-11 border-2 border-base-content/60 text-base"
          onClick={() => {
            setTyped((before) => ({
              ...before,
              leftOvers: onRack.map((inches) => exactText(inches, unit)).join(', '),
            }));
          }}
        >
          Take the {onRack.length} from the rack
        </button>
      )}
      {badLeftOver != null && (
        <p role="alert" className="text-error">
          ✕ {badLeftOver.message}
        </p>
      )}
      {changed.length > 0 && known && mayKeep && teaches && <KeepRules rules={said} />}
      {teaches && division.data !== undefined && division.data.pieces.length > 1 && (
        <GivePieces
          key={JSON.stringify([request, said])}
          division={division.data}
          exercise={exercise}
          entry={entry}
          onGiven={onGiven}
          rules={said}
        />
      )}
      <p className="text-sm leading-tight">
        Straps, couplings and degrees between pull points are matters of local code: these are usual figures, not it.
      </p>
    </section>
  );
}

/** The left-overs of some conduit on the rack, the longest first. */
function useLeftOvers(conduitLabel: string | null | undefined): number[] {
  const { data } = useStock();
  const conduit = data?.conduits.find(({ label }) => label === conduitLabel);
  return (conduit?.leftOvers ?? []).flatMap(({ lengthIn, pieces }) => Array.from({ length: pieces }, () => lengthIn));
}

/** From now on the desk begins with these, for everybody of the school. */
function KeepRules({ rules }: { rules: Schemas['JobRules'] }) {
  const client = useQueryClient();
  const keep = useMutation<Schemas['RunRulesView'], Problem>({
    mutationFn: () => body(api.PUT('/api/run-rules', { body: rules })),
    onSuccess: (now) => {
      client.setQueryData(['runRules'], now);
    },
  });
  return (
    <>
      <button
        type="button"
        className="btn h-11 border-2 border-base-content/60 text-base"
        disabled={keep.isPending}
        onClick={() => {
          keep.mutate();
        }}
      >
        Keep this for the school
      </button>
      {keep.error !== null && (
        <p role="alert" className="text-error">
          ✕ {keep.error.message}
        </p>
      )}
    </>
  );
}

function Divided({ division }: { division: Schemas['DivideAnswer'] }) {
  const { pieces, cuts, strapsIn, totalBendDeg, pullBoxOnLegs, pullFactor } = division;
  return (
    <>
      <p>
        {pieces.length === 1
          ? 'One piece, no coupling.'
          : `${String(pieces.length)} pieces, ${String(pieces.length - 1)} coupling${pieces.length > 2 ? 's' : ''}.`}
      </p>
      {pieces.length > 1 && (
        <table className="w-full">
          <caption className="sr-only">Pieces</caption>
          <thead className="text-left text-sm">
            <tr>
              <th className="font-normal">Piece</th>
              <th className="text-right font-normal">from</th>
              <th className="text-right font-normal">long</th>
              <th className="text-right font-normal">bends</th>
            </tr>
          </thead>
          <tbody>
            {pieces.map(({ number, fromIn, lengthIn, bends }) => (
              <tr key={number} className="border-t border-base-300">
                <th scope="row" className="text-left font-normal">
                  {number}
                </th>
                <td className="text-right">
                  <Figure value={fromIn} unit="in" />
                </td>
                <td className="text-right">
                  <Figure value={lengthIn} unit="in" />
                </td>
                <td className="figures text-right">
                  {bends
                    .map(({ bend }) => bend)
                    .sort((one, other) => one - other)
                    .join(', ') || 'none'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <CutList cuts={cuts} />
      <p>Ream every cut.</p>
      <p>
        {strapsIn.length} straps, along the conduit at{' '}
        {strapsIn.map((at, i) => (
          <span key={i}>
            {i > 0 && ', '}
            <Figure value={at} unit="in" />
          </span>
        ))}
        .
      </p>
      <p>
        <Figure value={totalBendDeg} unit="deg" /> of bends; wire pulls {pullFactor.toFixed(1)} times as hard as through
        a straight.
        {pullBoxOnLegs.length > 0 && (
          <b> More than may lie between two pull points: a box on leg {pullBoxOnLegs.join(' and leg ')}.</b>
        )}
      </p>
    </>
  );
}
