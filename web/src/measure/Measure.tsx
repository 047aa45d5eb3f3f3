import { useQuery } from '@tanstack/react-query';
import { memo, useMemo, useState } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import { type Attempt, useAttempt } from '../api/queries';
import { useBenchCore } from '../benchcore/useBenchCore';
import { kindOf } from '../bends/kinds';
import { Elevation } from '../drawing/Elevation';
import { isRun, RunWalls } from '../drawing/RunWalls';
import { Strip } from '../drawing/Strip';
import { featureName } from '../entry/features';
import { quantityText } from '../entry/figures';
import { Header } from '../frame/Header';
import { useNarrow } from '../frame/narrow';
import { useDisplayUnit } from '../frame/signedIn';
import { useLive } from '../live/useLive';
import { useOutboxState } from '../queue/outboxContext';
import { withWaiting } from '../queue/overlay';
import { movedTo } from '../queue/store';
import { hasFewFeatures, kindOfAttempt, ringsRead } from './attempts';
import { asTaken, type Datum } from './datum';
import { GaugeDialog } from './GaugeDialog';
import { GaugeStrip } from './GaugeStrip';
import { MeasurePanel } from './MeasurePanel';
import { NextTrainee, useNextTrainee } from './NextTrainee';
import { ReadingField, ReadingPlace } from './ReadingPlace';
import { OpenSheet } from './SheetLink';
import { fits, gaugeFor, useGauges } from './useGauge';
import { ReadingsContext } from './readingsContext';
import { doneWords, stagesOf } from './stages';
import { useReadings } from './useReadings';
import { WhoIsNext } from './WhoIsNext';
import { useMay } from '../frame/rights';

const Drawing = memo(Elevation);
const Walls = memo(RunWalls);
const Tape = memo(Strip);

/** One attempt: readings entered on the drawing, each kept as it is entered. */
export default function Measure() {
  const { attemptId } = useParams();
  const [search] = useSearchParams();
  const attempt = useAttempt(attemptId);
  const moved = useMoved(attemptId);
  const { entries } = useOutboxState();
  const core = useBenchCore();
  const sheet = search.get('sheet');
  const measures = useMay('MEASURE');
  if (!measures) {
    return <OthersMeasure attemptId={attemptId} />;
  }
  if (attemptId === undefined) {
    return sheet === null ? <WhoIsNext /> : <OpenSheet code={sheet} />;
  }
  if (moved !== undefined) {
    return <Navigate to={`/measure/${moved}`} replace />;
  }
  if (attempt.data === undefined) {
    return (
      <p className="p-8 text-xl" role="status">
        {attempt.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return <Bench key={attemptId} attempt={withWaiting(attempt.data, entries, core)} />;
}

/** Whoever only reads is shown the way to what was found. */
function OthersMeasure({ attemptId }: { attemptId: string | undefined }) {
  return (
    <>
      <Header title="Measure" />
      <p className="max-w-2xl p-4 text-xl leading-snug">
        Measuring is for instructors, assistants and the lead.{' '}
        {attemptId !== undefined && (
          <Link to={`/verdict/${attemptId}`} className="underline">
            What was found on this piece
          </Link>
        )}
      </p>
    </>
  );
}

/** An attempt that was begun without signal may turn out to be going on under another id. */
function useMoved(attemptId: string | undefined): string | undefined {
  const moved = useQuery({
    queryKey: ['moved', attemptId],
    queryFn: async () => (await movedTo(attemptId ?? '')) ?? null,
    enabled: attemptId !== undefined,
    retry: false,
  });
  return moved.data ?? undefined;
}

/** On a phone: which dimension is in hand, with what was read of each. */
function WhichFeature({ attempt, readings }: { attempt: Attempt; readings: ReturnType<typeof useReadings> }) {
  const bends = attempt.plan.marks.length;
  const unit = useDisplayUnit();
  return (
    <select
      aria-label="What is measured"
      value={readings.active?.id ?? ''}
      className="h-11 w-[9.5rem] rounded-field border-2 border-base-content/60 bg-base-100 px-1 text-base"
      onChange={(event) => {
        readings.activate(event.target.value);
      }}
    >
      {readings.active === undefined && <option value="">All is read</option>}
      {attempt.features.map(({ id, state, reading, unit: of }) => (
        <option key={id} value={id} disabled={state !== 'open'}>
          {featureName(id, bends)}
          {reading?.value == null
            ? state === 'omitted'
              ? ' – not measured'
              : ''
            : ` ✓ ${quantityText(reading.value, of, unit)}`}
        </option>
      ))}
    </select>
  );
}

/** @param straight with all marks measured from the end of the straight conduit, as the drawings have them */
function Bench({ attempt: straight }: { attempt: Attempt }) {
  const narrow = useNarrow();
  const [datums, setDatums] = useState<Readonly<Record<string, Datum>>>({});
  const attempt = useMemo(() => asTaken(straight, datums), [straight, datums]);
  const core = useBenchCore();
  const readings = useReadings(attempt, core);
  const gauges = useGauges();
  useLive(attempt.trainee.cohortId, gauges.onGauge);
  const gauge = gaugeFor(gauges.held, readings.active);
  const complete = attempt.features.every(({ state }) => state !== 'open');
  const kind = kindOfAttempt(attempt);
  const bends = attempt.plan.marks.length;
  const roomy = hasFewFeatures(attempt);
  const diameter = attempt.exercise.definition.conduit?.outsideDiameterIn ?? 1;
  const onEnter = () => {
    const { active } = readings;
    const ready =
      gauge?.text != null && gauge.state === 'steady' && gauge.mine && active !== undefined && fits(gauge, active);
    readings.enter(ready ? { text: gauge.text ?? '', label: gauge.label } : undefined);
  };
  const { active } = readings;
  const next = useNextTrainee(attempt);
  const [recall, setRecall] = useState(0);
  // On a phone the drawing shows where the one in hand is taken; which one that is, is chosen above it.
  const only = narrow ? active?.id : undefined;
  // Only what is read changes the drawing; what is being typed does not.
  const places = useMemo(
    () =>
      Object.fromEntries(
        attempt.features
          .filter(({ id }) => only === undefined || id === only)
          .map((feature) => [
            feature.id,
            <ReadingPlace key={feature.id} feature={feature} bends={bends} crowded={!roomy} />,
          ]),
      ),
    [attempt.features, bends, roomy, only],
  );
  const description = `${kindOf(kind).name} of ${attempt.trainee.fullName}: ${attempt.features.map(({ id }) => featureName(id, bends)).join(', ')}`;
  const again = stagesOf(attempt).at(-1);
  const rings = useMemo(() => ringsRead(straight), [straight]);
  return (
    <ReadingsContext value={{ readings, onEnter, recall }}>
      <div className="flex h-full sm:min-h-[38rem] flex-col">
        <Header
          title={attempt.trainee.fullName}
          about={
            narrow ? (
              <WhichFeature attempt={attempt} readings={readings} />
            ) : (
              <>
                {again !== undefined && <b>Measured anew, {doneWords(again, bends)} · </b>}
                Bench {attempt.trainee.bench} · {attempt.exercise.title} · {attempt.exercise.conduitLabel} ·{' '}
                {attempt.exercise.benderLabel}
              </>
            )
          }
        >
          <GaugeButton
            gauges={gauges}
            onDone={() => {
              setRecall((before) => before + 1);
            }}
          />
          <Link
            to={`/verdict/${attempt.id}`}
            className={`btn h-11 text-lg ${complete ? 'btn-neutral' : 'border-2 border-base-content/60 max-sm:hidden'}`}
          >
            Verdict
          </Link>
        </Header>
        {narrow && (
          <p className="truncate px-3 text-sm leading-tight">
            {again !== undefined && <b>Measured anew, {doneWords(again, bends)} · </b>}
            Bench {attempt.trainee.bench} · {attempt.exercise.title} · {attempt.exercise.benderLabel}
          </p>
        )}
        {attempt.bench.seal?.sealed === true && (
          <p role="status" className="border-b border-base-300 bg-base-200 px-4 py-1 text-lg">
            Verified by {attempt.bench.seal.setBy} and locked. It can be opened again in the verdict.
          </p>
        )}
        <div className="flex min-h-0 flex-1 flex-col sm:max-lg:min-h-fit lg:flex-row">
          <div className="min-h-[5.5rem] min-w-0 flex-1 sm:min-h-[22rem]">
            {isRun(attempt.plan) ? (
              <Walls
                plan={attempt.plan}
                outsideDiameter={diameter}
                dimensions={attempt.plan.features}
                description={description}
                at={places}
                active={active?.id}
              />
            ) : (
              <Drawing plan={attempt.plan} outsideDiameter={diameter} description={description} at={places} />
            )}
          </div>
          <MeasurePanel
            attempt={attempt}
            readings={readings}
            onEnter={onEnter}
            onDatum={(id, from) => {
              setDatums((before) => ({ ...before, [id]: from }));
            }}
            next={<NextTrainee {...next} />}
            gauge={
              gauge === undefined || active === undefined ? null : (
                <GaugeStrip gauge={gauge} feature={active} bends={bends} onTake={onEnter} />
              )
            }
            field={
              narrow && active !== undefined ? (
                <ReadingField key={active.id} feature={active} bends={bends} place="list" takesFocus />
              ) : null
            }
          />
        </div>
        <div className="h-[8.6rem] shrink-0 border-t border-base-300 max-sm:hidden">
          <Tape
            plan={attempt.plan}
            outsideDiameter={diameter}
            divisionIn={attempt.exercise.definition.tapeDivisionIn ?? 1 / 16}
            madeMarks={rings}
          />
        </div>
      </div>
    </ReadingsContext>
  );
}

function GaugeButton({ gauges, onDone }: { gauges: ReturnType<typeof useGauges>; onDone: () => void }) {
  const [open, setOpen] = useState(false);
  const mine = gauges.all.find(({ mine: claimed }) => claimed);
  return (
    <>
      <button
        type="button"
        className="btn h-11 border-2 border-base-content/60 text-base max-sm:hidden"
        onClick={() => {
          gauges.refetch();
          setOpen(true);
        }}
      >
        {mine === undefined ? 'Gauge' : mine.label}
      </button>
      {open && (
        <GaugeDialog
          gauges={gauges}
          onClose={() => {
            setOpen(false);
            onDone();
          }}
        />
      )}
    </>
  );
}
