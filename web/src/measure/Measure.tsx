import { useRef, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import {
  type Attempt,
  type Feature,
  useAttempt,
  useFloor,
  useKeepReading,
  useOpenAttempt,
  type NewReading,
} from '../api/queries';
import { kindOf } from '../bends/kinds';
import { Elevation } from '../drawing/Elevation';
import { kindOfAttempt, ringsRead } from './attempts';
import { Strip } from '../drawing/Strip';
import { featureName } from '../entry/features';
import { Header } from '../frame/Header';
import { useCohort } from '../frame/cohort';
import { useNarrow } from '../frame/narrow';
import { useDisplayUnit } from '../frame/signedIn';
import { MeasurePanel } from './MeasurePanel';
import { ReadingField, ReadingPlace } from './ReadingPlace';

/** One attempt: readings entered on the drawing, each kept as it is entered. */
export function Measure() {
  const { attemptId } = useParams();
  const attempt = useAttempt(attemptId);
  if (attemptId === undefined) {
    return <WhoIsNext />;
  }
  if (attempt.data === undefined) {
    return (
      <p className="p-8 text-xl" role="status">
        {attempt.error?.message ?? 'Opening…'}
      </p>
    );
  }
  return <Bench key={attemptId} attempt={attempt.data} />;
}

function Bench({ attempt }: { attempt: Attempt }) {
  const unit = useDisplayUnit();
  const navigate = useNavigate();
  const narrow = useNarrow();
  const keep = useKeepReading(attempt.id);
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [active, setActive] = useState<string | undefined>(() => nextOpen(attempt.features)?.id);
  const keyOf = useReadingKeys();
  const activeFeature = attempt.features.find(({ id }) => id === active);
  const complete = attempt.score != null;
  const kind = kindOfAttempt(attempt);
  const bends = attempt.plan.marks.length;
  const setText = (id: string, text: string) => {
    keep.reset();
    setTexts((before) => ({ ...before, [id]: text }));
  };
  const enter = (feature: Feature) => {
    const text = texts[feature.id] ?? '';
    if (complete && text.trim() === '') {
      void navigate(`/verdict/${attempt.id}`);
      return;
    }
    if (text.trim() === '' || keep.isPending) {
      return;
    }
    const reading: NewReading = { key: keyOf(feature.id, text), feature: feature.id, text, bare: unit };
    keep.mutate(reading, {
      onSuccess: (after) => {
        setActive(nextOpen(after.features)?.id ?? feature.id);
      },
    });
  };
  const place = (feature: Feature) => {
    const { id } = feature;
    return (
      <ReadingPlace
        feature={feature}
        bends={bends}
        crowded={kind !== 'stub90'}
        text={texts[id] ?? ''}
        active={active === id}
        problem={active === id ? keep.error : null}
        onText={(text) => {
          setText(id, text);
        }}
        onActivate={() => {
          setActive(id);
        }}
        onEnter={() => {
          enter(feature);
        }}
      />
    );
  };
  return (
    <div className="flex h-full sm:min-h-[38rem] flex-col">
      <Header
        title={attempt.trainee.fullName}
        about={
          <>
            {attempt.exercise.title} · {attempt.exercise.conduitLabel} · {attempt.exercise.benderLabel}
          </>
        }
      >
        <Saved keep={keep} />
        <Link
          to={`/verdict/${attempt.id}`}
          className={`btn h-11 text-lg ${complete ? 'btn-neutral' : 'border-2 border-base-content/60'}`}
        >
          Verdict
        </Link>
      </Header>
      <div className="flex min-h-0 flex-1 max-lg:min-h-fit max-lg:flex-col">
        <div className={`min-w-0 flex-1 sm:min-h-[22rem] ${kind === 'stub90' ? 'min-h-[16rem]' : 'min-h-[25rem]'}`}>
          <Elevation
            kind={kind}
            plan={attempt.plan}
            outsideDiameter={attempt.exercise.definition.conduit?.outsideDiameterIn ?? 1}
            description={`${kindOf(kind).name} of ${attempt.trainee.fullName}: ${attempt.features.map(({ id }) => featureName(id, bends)).join(', ')}`}
            at={Object.fromEntries(attempt.features.map((feature) => [feature.id, place(feature)]))}
          />
        </div>
        <MeasurePanel
          attempt={attempt}
          active={activeFeature}
          text={active === undefined ? '' : (texts[active] ?? '')}
          field={
            narrow && activeFeature !== undefined ? (
              <ReadingField
                key={activeFeature.id}
                inputRef={focusOnMount}
                feature={activeFeature}
                bends={bends}
                text={texts[activeFeature.id] ?? ''}
                problem={keep.error}
                onText={(text) => {
                  setText(activeFeature.id, text);
                }}
                onActivate={() => undefined}
                onEnter={() => {
                  enter(activeFeature);
                }}
                place="list"
              />
            ) : null
          }
          onActivate={setActive}
          onText={(text) => {
            if (active !== undefined) {
              setText(active, text);
            }
          }}
          onEnter={() => {
            if (activeFeature !== undefined) {
              enter(activeFeature);
            }
          }}
        />
      </div>
      <div className="h-[8.6rem] shrink-0 border-t border-base-300 max-sm:hidden">
        <Strip
          plan={attempt.plan}
          outsideDiameter={attempt.exercise.definition.conduit?.outsideDiameterIn ?? 1}
          divisionIn={attempt.exercise.definition.tapeDivisionIn ?? 1 / 16}
          madeMarks={ringsRead(attempt)}
        />
      </div>
    </div>
  );
}

/**
 * One key for one thing typed: when Enter is pressed again because no answer came, the server sees that it is the same
 * reading.
 */
function useReadingKeys(): (feature: string, text: string) => string {
  const keys = useRef(new Map<string, string>());
  return (feature, text) => {
    const said = `${feature} ${text}`;
    const key = keys.current.get(said) ?? crypto.randomUUID();
    keys.current.set(said, key);
    return key;
  };
}

/** A ref that takes the focus when its field appears. */
function focusOnMount(input: HTMLInputElement | null): void {
  input?.focus();
}

function nextOpen(features: readonly Feature[]): Feature | undefined {
  return features.find(({ reading }) => reading == null);
}

function Saved({ keep }: { keep: ReturnType<typeof useKeepReading> }) {
  const waiting = keep.isPending && keep.failureCount > 0;
  return (
    <p role="status" className="text-base">
      {waiting && <span className="text-error">▲ No answer from the server; trying again</span>}
      {keep.isPending && !waiting && 'Saving…'}
      {keep.isSuccess && <span className="text-success">● Saved</span>}
    </p>
  );
}

/** Measure without an attempt chosen: those who are at work, one tap away. */
function WhoIsNext() {
  const { cohort } = useCohort();
  const floor = useFloor(cohort?.id);
  const open = useOpenAttempt();
  const navigate = useNavigate();
  const waiting = floor.data?.benches.filter(({ state }) => state === 'bending' || state === 'measuring') ?? [];
  return (
    <>
      <Header title="Measure" about="Whose piece is it?" />
      {open.error !== null && (
        <p role="alert" className="p-4 text-error">
          {open.error.message}
        </p>
      )}
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-2 p-4">
        {waiting.map((bench) => (
          <li key={bench.traineeId}>
            <button
              type="button"
              className="flex min-h-16 w-full items-center gap-3 rounded-field border-2 border-base-content/60 bg-base-100 px-3 text-left hover:bg-base-200"
              onClick={() => {
                open.mutate(bench.traineeId, { onSuccess: ({ id }) => void navigate(`/measure/${id}`) });
              }}
            >
              <span className="figures w-9 text-center text-3xl">{bench.bench}</span>
              <span className="min-w-0">
                <span className="block truncate text-xl leading-tight font-semibold">{bench.fullName}</span>
                <span className="block truncate leading-tight">{bench.exerciseTitle}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      {floor.data !== undefined && waiting.length === 0 && (
        <p className="px-4 text-lg">
          Nobody is at work on anything.{' '}
          <Link to="/set" className="underline">
            Set an exercise
          </Link>{' '}
          and give it to the cohort.
        </p>
      )}
    </>
  );
}
