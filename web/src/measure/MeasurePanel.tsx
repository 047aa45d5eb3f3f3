import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import type { Attempt, Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureHint, featureName, featureOf } from '../entry/features';
import { Figure } from '../entry/Figure';
import { useLine } from '../entry/line';
import { Pad } from '../entry/Pad';
import { TargetNote } from '../entry/Target';
import { Choice } from '../frame/Header';
import { type Datum, takenWords } from './datum';
import { BentAgain } from './BentAgain';
import { DatumChoice } from './DatumChoice';
import { FloorNote } from './FloorNote';
import { isByLevel, levelWords } from './level';
import { LookOver } from './LookOver';
import { OmitField } from './OmitField';
import { OwnArithmetic } from './OwnArithmetic';
import { Correction } from '../verdict/Correction';
import { exactText, kindOfUnit } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';
import type { Readings } from './useReadings';
import { TurnChoice } from './TurnChoice';
import { TwoParts } from './TwoParts';

interface MeasurePanelProps {
  attempt: Attempt;
  readings: Readings;
  onEnter: () => void;
  /** A mark is measured from elsewhere. */
  onDatum: (feature: string, from: Datum) => void;
  /** On a phone the field of the reading in hand stands here, not on the drawing. */
  field: ReactNode;
  /** What a claimed gauge shows. */
  gauge: ReactNode;
  /** Who is to be measured next. */
  next: ReactNode;
}

const TABS = [
  { value: 'read', name: 'Readings' },
  { value: 'look', name: 'Look over' },
  { value: 'own', name: 'Own figures' },
] as const;

/** What is written down of the piece: its readings with the fraction pad, what is looked over, the trainee's figures. */
export function MeasurePanel(props: MeasurePanelProps) {
  const [tab, setTab] = useState<(typeof TABS)[number]['value']>('read');
  return (
    <aside
      aria-label="Readings"
      className="flex w-full shrink-0 flex-col gap-1.5 overflow-y-auto border-base-300 bg-base-200 px-3 py-2 lg:w-[21rem] lg:border-l"
    >
      <Choice label="What is written down" options={TABS} value={tab} onChange={setTab} />
      {tab === 'read' && <ReadingsTab {...props} />}
      {tab === 'look' && <LookOver attempt={props.attempt} />}
      {tab === 'own' && <OwnArithmetic key={props.attempt.bench.own?.id} attempt={props.attempt} />}
    </aside>
  );
}

function ReadingsTab({ attempt, readings, onEnter, onDatum, field, gauge, next }: MeasurePanelProps) {
  const bends = attempt.plan.marks.length;
  const display = useDisplayUnit();
  const { active, text } = readings;
  const [correcting, setCorrecting] = useState<string>();
  const wrong = attempt.features.find(({ id, reading }) => id === correcting && reading != null);
  const locked = attempt.bench.seal?.sealed === true;
  return (
    <>
      <div className="min-h-[5.5rem] flex-1 overflow-y-auto max-sm:hidden">
        <table className="w-full leading-none">
          <caption className="sr-only">Readings of this piece</caption>
          <thead className="text-left text-sm">
            <tr>
              <th className="font-normal">Feature</th>
              <th className="text-right font-normal">right</th>
              <th className="text-right font-normal">read</th>
              <th className="text-right font-normal">off by</th>
            </tr>
          </thead>
          <tbody>
            {attempt.features.map((feature) => (
              <ReadingRow
                key={feature.id}
                feature={feature}
                bends={bends}
                active={feature.id === active?.id}
                correctable={feature.reading != null && feature.state !== 'disputed' && !locked}
                onActivate={() => {
                  readings.activate(feature.id);
                }}
                onCorrect={() => {
                  setCorrecting(feature.id);
                }}
              />
            ))}
          </tbody>
        </table>
      </div>
      {wrong !== undefined ? (
        <Correction
          key={wrong.reading?.id}
          attempt={attempt}
          feature={wrong}
          bends={bends}
          onDone={() => {
            setCorrecting(undefined);
          }}
        />
      ) : active?.state === 'open' ? (
        <>
          <div className="mt-auto flex flex-wrap items-center justify-between gap-x-2 max-sm:mt-0">
            <p className="min-w-0 flex-1 leading-tight" aria-live="polite">
              <b>{featureName(active.id, bends)}</b> ·{' '}
              {active.taken?.from === 'back'
                ? `Back of bend ${String(active.taken.bend)} to the ring`
                : featureHint(active.id)}
            </p>
            <OmitField key={active.id} name={featureName(active.id, bends)} onOmit={readings.omit} />
          </div>
          {active.taken !== undefined && (
            <DatumChoice
              name={featureName(active.id, bends)}
              bend={active.taken.bend}
              from={active.taken.from}
              onFrom={(from) => {
                onDatum(active.id, from);
              }}
            />
          )}
          {featureOf(active.id).kind === 'turn' && (
            <TurnChoice
              name={featureName(active.id, bends)}
              text={text}
              onText={(chosen) => {
                readings.setText(active.id, chosen, true);
              }}
            />
          )}
          {active.mayBeFound && (
            <label className="flex min-h-11 items-center gap-2 leading-tight">
              <input
                type="checkbox"
                className="size-5 shrink-0"
                checked={readings.found}
                onChange={(event) => {
                  readings.setFound(event.target.checked);
                }}
              />
              found on the piece, with level and straight edge: not judged
            </label>
          )}
          {isByLevel(active.id) && (
            <FloorNote attempt={attempt} protractor={readings.protractor} onProtractor={readings.setProtractor} />
          )}
          {field}
          {gauge}
          {active.id === 'dogLeg' && (
            <TwoParts
              legend="or as a gap over a span"
              first="Gap"
              joint="over"
              second="Span"
              usual="24"
              onText={(said) => {
                readings.setText(active.id, said, true);
              }}
            />
          )}
          {active.unit === 'percent' && (
            <TwoParts
              key={active.id}
              legend="or as the caliper reads it"
              first="Least width"
              joint="of"
              second="Diameter"
              usual={exactText(attempt.exercise.definition.conduit?.outsideDiameterIn ?? 1, display)}
              onText={(said) => {
                readings.setText(active.id, said, true);
              }}
            />
          )}
          <Pad
            kind={kindOfUnit(active.unit)}
            signed={active.signed}
            text={text}
            onText={(typed) => {
              readings.setText(active.id, typed, true);
            }}
            onEnter={onEnter}
            onNudge={readings.nudge}
            onAsAsked={readings.asAsked}
          />
        </>
      ) : (
        <Done attempt={attempt} next={next} />
      )}
    </>
  );
}

function ReadingRow({
  feature,
  bends,
  active,
  correctable,
  onActivate,
  onCorrect,
}: {
  feature: Feature;
  bends: number;
  active: boolean;
  /** It is read, and may be read again. */
  correctable: boolean;
  onActivate: () => void;
  onCorrect: () => void;
}) {
  const shown = useLine(feature);
  return (
    <tr
      ref={active ? intoView : undefined}
      className={`border-t border-base-300 ${active ? 'bg-base-100' : ''}`}
      data-feature={feature.id}
      data-state={feature.state}
    >
      <th scope="row" className="pr-1 text-left font-normal">
        <button
          type="button"
          className="min-h-[2.1rem] text-left text-lg leading-none underline-offset-4 hover:underline"
          onClick={correctable ? onCorrect : onActivate}
          aria-label={correctable ? `Correct ${featureName(feature.id, bends)}` : undefined}
          title={correctable ? 'Correct it' : undefined}
        >
          {featureName(feature.id, bends)}
        </button>
        {feature.taken !== undefined && <span className="block text-sm">{takenWords(feature.taken)}</span>}
        <TargetNote feature={feature} className="pb-1 text-sm" />
        {feature.reading?.asFound === true && <span className="block text-sm">found on the piece</span>}
        {feature.reading?.level != null && <span className="block text-sm">{levelWords(feature.reading.level)}</span>}
      </th>
      <td className="text-right text-xl">
        <Figure value={feature.target} unit={feature.unit} shown={shown} />
      </td>
      <td className="pl-2 text-right text-xl">
        {feature.reading?.value != null && <Figure value={feature.reading.value} unit={feature.unit} shown={shown} />}
        {feature.state === 'omitted' && <span className="text-base">not measured</span>}
      </td>
      <td className="pl-2 text-right text-xl whitespace-nowrap">
        {feature.state === 'disputed' ? (
          <span className="text-base text-error">▲ two</span>
        ) : (
          <>
            <Deviation feature={feature} />
            {feature.reading?.asFound === true && feature.reading.value != null && (
              <span className="text-base">
                <Figure value={feature.reading.value - feature.target} unit={feature.unit} signed /> from there
              </span>
            )}
          </>
        )}
      </td>
    </tr>
  );
}

function Done({ attempt, next }: { attempt: Attempt; next: ReactNode }) {
  if (attempt.features.some(({ state }) => state === 'open')) {
    return null;
  }
  const disputed = attempt.features.filter(({ state }) => state === 'disputed');
  return (
    <div className="mt-auto grid gap-2">
      <p className="text-lg leading-snug">
        {disputed.length > 0
          ? 'Two people read a feature differently. Decide in the verdict which reading counts.'
          : 'Every reading is in. To change one, press its name: the old one stays on record.'}
      </p>
      <Link
        to={`/verdict/${attempt.id}`}
        className="btn h-14 btn-neutral text-xl"
        ref={(link) => {
          if (document.activeElement === document.body || document.activeElement === null) {
            link?.focus();
          }
        }}
      >
        See the verdict
      </Link>
      <BentAgain attempt={attempt} />
      {next}
    </div>
  );
}

/** With many readings the list scrolls: the one in hand is always seen. */
function intoView(row: HTMLTableRowElement | null): void {
  row?.scrollIntoView({ block: 'nearest' });
}
