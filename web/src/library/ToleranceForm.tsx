import { exactText } from '../entry/figures';
import { useMutation } from '@tanstack/react-query';
import { type SyntheticEvent, useState } from 'react';
import { api, body, Problem, type Schemas } from '../api/client';
import { useQuantities } from '../benchcore/useQuantities';
import { SCHEMES, USUAL_FLATTENING } from '../bends/kinds';
import { QuantityField } from '../entry/QuantityField';
import { useDisplayUnit } from '../frame/signedIn';
import { ENTERING, Entering } from './Entering';
import { Deductions } from './Deductions';
import { limitsOf, limitTexts, SIDES } from './limitTexts';
import { Rebending } from './Rebending';
import { weighedIn } from './weighed';
import { Weights } from './Weights';

type Figures = Schemas['ToleranceFigures'];
type Scheme = NonNullable<Figures['scheme']>;

const LIMITS = [
  { name: 'length', label: 'Lengths ±', kind: 'length' },
  { name: 'angle', label: 'Angles ±', kind: 'angle' },
  { name: 'dogLeg', label: 'Dog leg', kind: 'angle' },
] as const;

interface ToleranceFormProps {
  id: string;
  /** With everything written out. */
  start: Figures;
  /** What can be found when a piece is looked over. */
  faults: readonly Schemas['FaultName'][];
  /** Without sets if nothing was kept. */
  onDone: (all?: Schemas['Presets']) => void;
}

/** A set of the school's own: all its figures. */
export function ToleranceForm({ id, start, faults, onDone }: ToleranceFormProps) {
  const unit = useDisplayUnit();
  const [figures, setFigures] = useState(start);
  const [texts, setTexts] = useState({
    length: exactText(start.lengthIn, unit),
    angle: String(start.angleDeg),
    dogLeg: String(start.dogLegDeg),
    play: start.entering == null ? '' : exactText(start.entering.playIn, unit),
    square: start.entering == null ? '' : String(start.entering.squareDeg),
  });
  const [rows] = useState(() => weighedIn(start));
  const [limits, setLimits] = useState(() => limitTexts(rows, start.limits ?? {}, unit));
  const read = useQuantities(LIMITS.map(({ name, kind }) => ({ kind, text: texts[name], bare: unit })));
  const [length, angle, dogLeg] = read;
  const entering = useQuantities(ENTERING.map(({ name, kind }) => ({ kind, text: texts[name], bare: unit })));
  const [play, square] = entering;
  const typed = rows.flatMap((row) => SIDES.map((side) => ({ row, side, text: limits[row.name]?.[side] ?? '' })));
  const readLimits = useQuantities(typed.map(({ row, text }) => ({ kind: row.kind, text, bare: unit })));
  const limit = (name: string, side: string) =>
    readLimits[typed.findIndex((each) => each.row.name === name && each.side === side)];
  const open =
    typed.some(({ text }, i) => text.trim() !== '' && readLimits[i]?.value === undefined) ||
    entering.some(({ value }) => value === undefined);
  const keep = useMutation<Schemas['Presets'], Problem>({
    mutationFn: () =>
      body(
        api.PUT('/api/judging-presets/{id}', {
          params: { path: { id } },
          body: {
            ...figures,
            lengthIn: length?.value ?? null,
            angleDeg: angle?.value ?? null,
            dogLegDeg: dogLeg?.value ?? null,
            entering:
              play?.value === undefined || square?.value === undefined
                ? null
                : { playIn: play.value, squareDeg: square.value },
            limits: limitsOf(
              rows,
              limits,
              (row, side) => limit(row.name, side)?.value,
              (row) =>
                row.kind === 'percentage'
                  ? USUAL_FLATTENING
                  : ((row.kind === 'length' ? length : row.id === 'dogLeg' ? dogLeg : angle)?.value ?? 0),
            ),
          },
        }),
      ),
    onSuccess: onDone,
  });
  const change = (part: Partial<Figures>) => {
    setFigures((before) => ({ ...before, ...part }));
  };
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  const number = 'figures h-11 w-20 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-right text-lg';
  return (
    <form onSubmit={submit} className="grid max-w-[66rem] gap-4 p-4" aria-label="Set of tolerances">
      <div className="grid gap-3 sm:grid-cols-[2fr_1fr_1fr_1fr_1fr]">
        <label className="grid gap-0.5">
          <span className="text-sm leading-tight">Name</span>
          <input
            value={figures.preset}
            maxLength={60}
            onChange={(event) => {
              change({ preset: event.target.value });
            }}
            className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2 text-lg"
          />
        </label>
        {LIMITS.map(({ name, label, kind }, i) => (
          <QuantityField
            key={name}
            label={label}
            kind={kind}
            text={texts[name]}
            problem={read[i]?.problem ?? null}
            onText={(text) => {
              setTexts({ ...texts, [name]: text });
            }}
            place="list"
          />
        ))}
        <label className="grid gap-0.5">
          <span className="text-sm leading-tight">Points to pass</span>
          <input
            type="number"
            min={0}
            max={100}
            value={figures.passMark}
            onChange={(event) => {
              change({ passMark: event.target.valueAsNumber });
            }}
            className={number}
          />
        </label>
      </div>
      <label className="grid gap-0.5">
        <span className="text-sm leading-tight">How points fall with the deviation</span>
        <select
          value={figures.scheme ?? 'graded'}
          onChange={(event) => {
            change({ scheme: event.target.value as Scheme });
          }}
          className="h-11 rounded-field border-2 border-base-content/60 bg-base-100 px-2"
        >
          {SCHEMES.map(({ id: scheme, words }) => (
            <option key={scheme} value={scheme}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <Rebending figures={figures} change={change} />
      <Entering
        texts={texts}
        read={entering}
        onText={(name, text) => {
          setTexts({ ...texts, [name]: text });
        }}
      />
      <div className="grid gap-6 xl:grid-cols-[3fr_2fr]">
        <Weights
          figures={figures}
          change={change}
          rows={rows}
          limits={limits}
          problem={(name, side) => limit(name, side)?.problem?.message}
          onLimit={(name, side, text) => {
            setLimits((before) => ({ ...before, [name]: { over: '', under: '', ...before[name], [side]: text } }));
          }}
        />
        <Deductions figures={figures} change={change} faults={faults} />
      </div>
      {typed.map(({ row, side, text }, i) =>
        text.trim() !== '' && readLimits[i]?.problem != null ? (
          <p key={`${row.name} ${side}`} role="alert" className="text-error">
            ✕ {row.name}, {side} at most: {readLimits[i].problem.message}
          </p>
        ) : null,
      )}
      {keep.error !== null && (
        <p role="alert" className="text-error">
          ✕ {keep.error.message}
        </p>
      )}
      <div className="flex gap-2">
        <button
          className="btn h-11 btn-neutral text-lg"
          disabled={
            keep.isPending || open || read.some(({ value }) => value === undefined) || Number.isNaN(figures.passMark)
          }
        >
          Keep it
        </button>
        <button
          type="button"
          className="btn h-11 border-2 border-base-content/60 text-lg"
          onClick={() => {
            onDone();
          }}
        >
          Leave it
        </button>
      </div>
    </form>
  );
}
