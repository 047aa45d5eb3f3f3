import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { type Attempt, type Feature, useAttempt, useOpenAttempt } from '../api/queries';
import { useBenchCore } from '../benchcore/useBenchCore';
import { Elevation } from '../drawing/Elevation';
import { Strip } from '../drawing/Strip';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { quantityText } from '../entry/figures';
import { Header } from '../frame/Header';
import { useDisplayUnit } from '../frame/signedIn';
import { useLive } from '../live/useLive';
import { kindOfAttempt, ringsRead } from '../measure/attempts';
import { useStanding } from '../queue/outboxContext';
import { withWaiting } from '../queue/overlay';
import { VerdictPanel } from './VerdictPanel';

const STATE_WORDS = { open: 'not read yet', omitted: 'not measured', disputed: '▲ two readings', read: '' } as const;

const EXAGGERATIONS = [1, 2, 4, 8, 16] as const;

/** How good the piece is: what was made under what was asked for, the score, and where it was lost. */
export default function Verdict() {
  const { attemptId } = useParams();
  const attempt = useAttempt(attemptId);
  const { entries } = useStanding();
  const core = useBenchCore();
  useLive(attempt.data?.trainee.cohortId);
  if (attempt.data === undefined) {
    return (
      <p className="p-8 text-xl" role="status">
        {attempt.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return <Judged attempt={withWaiting(attempt.data, entries, core)} />;
}

function Judged({ attempt }: { attempt: Attempt }) {
  const unit = useDisplayUnit();
  const [factor, setFactor] = useState<number>(4);
  const diameter = attempt.exercise.definition.conduit?.outsideDiameterIn ?? 1;
  const kind = kindOfAttempt(attempt);
  const bends = attempt.plan.marks.length;
  const place = (feature: Feature) => {
    const { id } = feature;
    return kind !== 'stub90' ? (
      <MadeTag feature={feature} bends={bends} />
    ) : (
      <div className="rounded-field bg-base-100/85 px-2 text-center leading-tight">
        <span className="block text-sm">
          {featureName(id, bends)} <Figure value={feature.target} unit={feature.unit} className="text-primary" />
        </span>
        {feature.reading?.value == null ? (
          <span className="text-lg">{STATE_WORDS[feature.state]}</span>
        ) : (
          <>
            <Figure
              value={feature.reading.value}
              unit={feature.unit}
              className="block text-[1.8rem] leading-none text-secondary"
            />
            <Deviation feature={feature} />
          </>
        )}
      </div>
    );
  };
  const described = attempt.features
    .map(({ id, unit: of, target, reading }) =>
      reading?.value == null
        ? `${featureName(id, bends)} not read`
        : `${featureName(id, bends)} asked ${quantityText(target, of, unit)}, made ${quantityText(reading.value, of, unit)}`,
    )
    .join('; ');
  return (
    <div className="flex h-full min-h-[38rem] flex-col">
      <Header
        title={attempt.trainee.fullName}
        about={`${attempt.exercise.title} · ${attempt.exercise.conduitLabel} · ${attempt.exercise.benderLabel}`}
      >
        <Next attempt={attempt} />
      </Header>
      <div className="flex min-h-0 flex-1 max-lg:min-h-fit max-lg:flex-col">
        <div className="relative min-h-[22rem] min-w-0 flex-1">
          <Elevation
            kind={kind}
            plan={attempt.plan}
            made={attempt.made?.centreline}
            exaggeration={factor}
            footroom={44}
            outsideDiameter={diameter}
            description={`What was made over what was asked for. ${described}.`}
            at={Object.fromEntries(attempt.features.map((feature) => [feature.id, place(feature)]))}
          />
          <Exaggeration factor={factor} onChange={setFactor} corner={kind === 'stub90' ? 'top' : 'bottom'} />
        </div>
        <VerdictPanel attempt={attempt} />
      </div>
      <div className="h-[8.6rem] shrink-0 border-t border-base-300 max-sm:hidden">
        <Strip
          plan={attempt.plan}
          outsideDiameter={diameter}
          divisionIn={attempt.exercise.definition.tapeDivisionIn ?? 1 / 16}
          madeMarks={ringsRead(attempt)}
        />
      </div>
    </div>
  );
}

/** On a drawing with many dimensions: the name and how far off; the list beside it has the rest. */
function MadeTag({ feature, bends }: { feature: Feature; bends: number }) {
  return (
    <div className="rounded-field bg-base-100/85 px-1.5 text-center leading-tight whitespace-nowrap">
      <span className="block text-sm leading-none">
        {featureName(feature.id, bends)} <Figure value={feature.target} unit={feature.unit} className="text-primary" />
      </span>
      {feature.reading?.value == null ? (
        <span className="text-base">{STATE_WORDS[feature.state]}</span>
      ) : (
        <Deviation feature={feature} />
      )}
    </div>
  );
}

function Next({ attempt }: { attempt: Attempt }) {
  const navigate = useNavigate();
  const open = useOpenAttempt();
  return (
    <>
      {open.error !== null && (
        <p role="alert" className="text-error">
          {open.error.message}
        </p>
      )}
      {attempt.score == null ? (
        <Link to={`/measure/${attempt.id}`} className="btn h-11 btn-neutral text-lg">
          Go on measuring
        </Link>
      ) : (
        <button
          type="button"
          className="btn h-11 border-2 border-base-content/60 text-lg"
          onClick={() => {
            open.mutate(attempt.trainee.id, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
          }}
        >
          Another try
        </button>
      )}
      <Link to={`/progress/${attempt.trainee.id}`} className="btn h-11 border-2 border-base-content/60 text-lg">
        Progress
      </Link>
      <Link to={`/floor?cohort=${attempt.trainee.cohortId}`} className="btn h-11 btn-neutral text-lg">
        Next trainee
      </Link>
    </>
  );
}

/** 1/16 in is invisible at scale: the difference can be drawn larger, and the drawing says so. */
function Exaggeration({
  factor,
  onChange,
  corner,
}: {
  factor: number;
  onChange: (factor: number) => void;
  corner: 'top' | 'bottom';
}) {
  return (
    <div
      className={`absolute right-2 ${corner === 'top' ? 'top-2' : 'bottom-2'} flex items-center gap-3 rounded-field bg-base-100/90 p-1.5 text-base max-sm:hidden`}
    >
      <span className="flex items-center gap-1.5">
        <svg width="26" height="12" aria-hidden="true">
          <rect
            x="1"
            y="1"
            width="24"
            height="10"
            fill="var(--asked)"
            fillOpacity="0.1"
            stroke="var(--asked)"
            strokeDasharray="5 3"
          />
        </svg>
        asked
      </span>
      <span className="flex items-center gap-1.5">
        <svg width="26" height="12" aria-hidden="true">
          <rect x="1" y="1" width="24" height="10" fill="var(--made-fill)" stroke="var(--made)" />
        </svg>
        made
      </span>
      <label className="flex items-center gap-2">
        difference drawn
        <select
          value={factor}
          onChange={(event) => {
            onChange(Number(event.target.value));
          }}
          className="figures h-10 rounded-field border-2 border-base-content/60 bg-base-100 px-1 text-lg"
        >
          {EXAGGERATIONS.map((each) => (
            <option key={each} value={each}>
              × {each}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
