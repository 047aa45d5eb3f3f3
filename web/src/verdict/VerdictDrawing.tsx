import { type CSSProperties, useMemo, useState } from 'react';
import type { Schemas } from '../api/client';
import type { Attempt, Feature } from '../api/queries';
import { Elevation } from '../drawing/Elevation';
import { isRun, RunWalls } from '../drawing/RunWalls';
import { Turned } from '../drawing/Turned';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { quantityText } from '../entry/figures';
import { lineOf, useLine } from '../entry/line';
import { Target } from '../entry/Target';
import { Choice } from '../frame/Header';
import { useDisplayUnit } from '../frame/signedIn';
import { hasFewFeatures } from '../measure/attempts';

const STATE_WORDS = { open: 'not read yet', omitted: 'not measured', disputed: '▲ two readings', read: '' } as const;

const VIEWS = [
  { value: 'side', name: 'Side' },
  { value: 'turned', name: 'In space' },
] as const;

const RUN_VIEWS = [
  { value: 'side', name: 'Walls' },
  { value: 'turned', name: 'In space' },
] as const;

const LARGER = [
  { value: '1', name: '1×' },
  { value: '4', name: '4×' },
  { value: '16', name: '16×' },
] as const;

/** What was bent has its own colour in space, too. */
const BENT = { '--steel-edge': 'var(--made)', '--steel-fill': 'var(--made-fill)' } as CSSProperties;

interface VerdictDrawingProps {
  attempt: Attempt;
  /** What the rings alone would have given. */
  marked: Schemas['PieceShape'] | null | undefined;
  /** With its switches; without them it is only looked at. */
  switches?: boolean;
}

/** What was asked, what was marked and what was bent, one over the other, with every deviation at its place. */
export function VerdictDrawing({ attempt, marked, switches = true }: VerdictDrawingProps) {
  const unit = useDisplayUnit();
  const [view, setView] = useState<(typeof VIEWS)[number]['value']>('side');
  const [chosen, setLarger] = useState<(typeof LARGER)[number]['value']>();
  const larger = chosen ?? (attempt.drawnTimes === 1 ? '1' : '4');
  const diameter = attempt.exercise.definition.conduit?.outsideDiameterIn ?? 1;
  const bends = attempt.plan.marks.length;
  const asked = attempt.plan.wanted ?? attempt.plan.shape;
  const plan = useMemo(() => ({ ...attempt.plan, shape: asked }), [attempt.plan, asked]);
  const description = `What was made over what was asked for. ${described(attempt, unit)}.`;
  const again = attempt.madeFirst != null;
  const roomy = hasFewFeatures(attempt);
  const places = Object.fromEntries(
    attempt.features.map((feature) => [
      feature.id,
      roomy ? <LargeTag feature={feature} bends={bends} /> : <MadeTag feature={feature} bends={bends} />,
    ]),
  );
  return (
    <div className="absolute inset-0 flex flex-col">
      <div className="relative min-h-0 flex-1">
        {(view === 'side' || attempt.made == null) && isRun(plan) ? (
          <RunWalls
            plan={plan}
            made={attempt.made}
            exaggeration={Number(larger)}
            outsideDiameter={diameter}
            dimensions={plan.features}
            description={description}
            at={places}
          />
        ) : view === 'side' || attempt.made == null ? (
          <Elevation
            plan={plan}
            made={attempt.made}
            marked={again ? undefined : marked}
            first={attempt.madeFirst}
            exaggeration={Number(larger)}
            outsideDiameter={diameter}
            description={description}
            at={places}
          />
        ) : (
          <div className="contents" style={BENT}>
            <Turned
              plan={{ ...attempt.plan, shape: attempt.made }}
              wanted={asked}
              exaggeration={Number(larger)}
              outsideDiameter={diameter}
              description={description}
            />
          </div>
        )}
      </div>
      {switches && (
        <div className="flex shrink-0 flex-wrap items-center gap-2 p-2">
          <span className="max-sm:hidden">
            <Choice label="View" options={isRun(plan) ? RUN_VIEWS : VIEWS} value={view} onChange={setView} />
          </span>
          <span className="flex items-center gap-1.5">
            difference
            <Choice label="Difference drawn" options={LARGER} value={larger} onChange={setLarger} />
          </span>
          <Legend
            marked={marked != null && !again && view === 'side' && !isRun(plan)}
            first={again && view === 'side'}
          />
        </div>
      )}
    </div>
  );
}

function described(attempt: Attempt, unit: 'in' | 'mm'): string {
  const bends = attempt.plan.marks.length;
  return attempt.features
    .map((feature) => {
      const { id, unit: of, target, reading } = feature;
      const shown = lineOf(feature, unit);
      return reading?.value == null
        ? `${featureName(id, bends)} not read`
        : `${featureName(id, bends)} right at ${quantityText(target, of, unit, shown)}, made ${quantityText(reading.value, of, unit, shown)}`;
    })
    .join('; ');
}

function Legend({ marked, first }: { marked: boolean; first: boolean }) {
  return (
    <ul
      className="flex items-center gap-3 rounded-field bg-base-100 px-2 text-base max-sm:hidden"
      aria-label="What is drawn how"
    >
      <li className="flex items-center gap-1.5">
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
      </li>
      {marked && (
        <li className="flex items-center gap-1.5">
          <svg width="26" height="12" aria-hidden="true">
            <path
              d="M1 6H25"
              stroke="var(--color-base-content)"
              className="line-medium"
              strokeDasharray="2 5"
              strokeLinecap="round"
            />
          </svg>
          as ringed
        </li>
      )}
      <li className="flex items-center gap-1.5">
        <svg width="26" height="12" aria-hidden="true">
          <rect x="1" y="1" width="24" height="10" fill="var(--made-fill)" stroke="var(--made)" />
        </svg>
        {first ? 'as it is' : 'bent'}
      </li>
      {first && (
        <li className="flex items-center gap-1.5">
          <svg width="26" height="12" aria-hidden="true">
            <rect x="1" y="1" width="24" height="10" fill="none" stroke="var(--made)" strokeDasharray="2 3" />
          </svg>
          as first bent
        </li>
      )}
    </ul>
  );
}

/** On a drawing with many dimensions: the name and how far off; the list beside it has the rest. */
function MadeTag({ feature, bends }: { feature: Feature; bends: number }) {
  const shown = useLine(feature);
  return (
    <div className="rounded-field bg-base-100 px-1.5 text-center leading-tight whitespace-nowrap">
      <span className="block text-sm leading-none">
        {featureName(feature.id, bends)} <Target feature={feature} shown={shown} className="text-primary" />
      </span>
      {feature.reading?.value == null ? (
        <span className="text-base">{STATE_WORDS[feature.state]}</span>
      ) : feature.reading.asFound ? (
        <span className="text-base">
          found at <Figure value={feature.reading.value} unit={feature.unit} shown={shown} />
        </span>
      ) : (
        <Deviation feature={feature} />
      )}
    </div>
  );
}

/** Where there are few: what was made, too, so large that it is read from the other side of the bench. */
function LargeTag({ feature, bends }: { feature: Feature; bends: number }) {
  const shown = useLine(feature);
  return (
    <div className="rounded-field bg-base-100 px-2 text-center leading-tight">
      <span className="block text-sm">
        {featureName(feature.id, bends)} <Target feature={feature} shown={shown} className="text-primary" />
      </span>
      {feature.reading?.value == null ? (
        <span className="text-lg">{STATE_WORDS[feature.state]}</span>
      ) : (
        <>
          <Figure
            value={feature.reading.value}
            unit={feature.unit}
            shown={shown}
            className="block text-[1.8rem] leading-none text-secondary"
          />
          <Deviation feature={feature} />
        </>
      )}
    </div>
  );
}
