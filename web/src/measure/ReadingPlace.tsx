import { type RefObject, useEffect, useLayoutEffect, useRef } from 'react';
import type { Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { useLine } from '../entry/line';
import { QuantityField } from '../entry/QuantityField';
import { Target } from '../entry/Target';
import { useNarrow } from '../frame/narrow';
import { kindOfUnit } from '../entry/figures';
import { FeatureTag } from './FeatureTag';
import { LiveDeviation } from './LiveDeviation';
import { QueryNote } from './QueryNote';
import { useAtTheBench } from './readingsContext';

interface ReadingPlaceProps {
  feature: Feature;
  /** How many bends the piece has. */
  bends: number;
  /** The drawing has little room: only the reading in hand has a field on it. */
  crowded: boolean;
}

/** A feature's place on the drawing: a field until it is read, then the reading with its deviation. */
export function ReadingPlace({ feature, bends, crowded }: ReadingPlaceProps) {
  const { readings } = useAtTheBench();
  const active = readings.active?.id === feature.id;
  const text = readings.texts[feature.id] ?? '';
  const onActivate = () => {
    if (!active) {
      readings.activate(feature.id);
    }
  };
  const narrow = useNarrow();
  const shown = useLine(feature);
  const open = feature.state === 'open';
  if (crowded && (narrow || !active || !open)) {
    return <FeatureTag feature={feature} bends={bends} active={active} text={text} onActivate={onActivate} />;
  }
  if (narrow && open) {
    return <PlaceButton feature={feature} active={active} text={text} onActivate={onActivate} />;
  }
  if (!open) {
    return (
      <div className="rounded-field bg-base-100 px-2 text-center leading-tight">
        <span className="block text-sm">
          {featureName(feature.id, bends)} <Target feature={feature} shown={shown} className="text-base text-primary" />
        </span>
        {feature.reading?.value != null && (
          <Figure
            value={feature.reading.value}
            unit={feature.unit}
            shown={shown}
            className="block text-[1.8rem] leading-none text-secondary"
          />
        )}
        {feature.state === 'omitted' && <span className="block">not measured</span>}
        {feature.state === 'disputed' && <span className="block text-error">▲ two readings</span>}
        <Deviation feature={feature} />
      </div>
    );
  }
  return <ReadingField feature={feature} bends={bends} onActivate={onActivate} place="drawing" takesFocus={active} />;
}

/** On a phone: what is to be read there, one tap away. */
function PlaceButton({
  feature,
  active,
  text,
  onActivate,
}: {
  feature: Feature;
  active: boolean;
  text: string;
  onActivate: () => void;
}) {
  return (
    <button
      type="button"
      onClick={onActivate}
      aria-pressed={active}
      className={`min-h-11 rounded-field border-2 px-2 leading-tight whitespace-nowrap ${
        active ? 'border-base-content bg-base-content text-base-100' : 'border-base-content/60 bg-base-100'
      }`}
    >
      {featureName(feature.id, 1)} <span className="figures">{text}</span>
    </button>
  );
}

interface ReadingFieldProps {
  feature: Feature;
  bends: number;
  onActivate?: () => void;
  place: 'drawing' | 'list';
  /** It is the one in hand: what is typed goes here. */
  takesFocus: boolean;
}

/** The field of a reading, with what is asked for beside its name and how far off it is below. */
export function ReadingField({ feature, bends, onActivate = () => undefined, place, takesFocus }: ReadingFieldProps) {
  const { readings, onEnter, recall } = useAtTheBench();
  const input = useRef<HTMLInputElement>(null);
  // Before anything is painted: what is typed on sight must not be lost.
  useLayoutEffect(() => {
    if (takesFocus) {
      input.current?.focus();
    }
  }, [takesFocus, feature.id, recall]);
  useTypingAnywhere(input, takesFocus);
  const active = readings.active?.id === feature.id;
  const asked = active ? readings.query : undefined;
  // Whoever types on after a question types the reading anew.
  useEffect(() => {
    if (asked !== undefined) {
      input.current?.select();
    }
  }, [asked]);
  // On the drawing what is said about a reading must not push its field about.
  const onDrawing = place === 'drawing';
  const below = onDrawing
    ? 'absolute top-full left-1/2 z-20 min-h-6 w-max max-w-[15rem] -translate-x-1/2 text-center'
    : '';
  return (
    <div
      className="relative"
      onKeyDownCapture={(event) => {
        if (event.key.length === 1) {
          readings.key(event.timeStamp);
        }
      }}
    >
      <QuantityField
        label={featureName(feature.id, bends)}
        kind={kindOfUnit(feature.unit)}
        text={readings.texts[feature.id] ?? ''}
        onText={(text) => {
          readings.setText(feature.id, text, false);
        }}
        onEnter={onEnter}
        onNudge={readings.nudge}
        onFocus={onActivate}
        inputRef={input}
        doubtful={asked?.kind === 'problem'}
        place={place}
        asked={
          <>
            {' '}
            <Target feature={feature} className="text-base text-primary" />
          </>
        }
        padAtHand
      />
      <div className={below} {...(onDrawing && active ? { 'data-below': '' } : {})}>
        {asked === undefined ? (
          <LiveDeviation feature={feature} live={active ? readings.live : undefined} />
        ) : (
          <QueryNote query={asked} feature={feature} readings={{ ...readings, enter: onEnter }} />
        )}
      </div>
    </div>
  );
}

/** A gauge that types, or a hand in a hurry: a figure that is typed while nothing that takes one has the focus goes into the field. */
function useTypingAnywhere(input: RefObject<HTMLInputElement | null>, on: boolean): void {
  useEffect(() => {
    if (!on) {
      return undefined;
    }
    const onKey = (event: KeyboardEvent) => {
      const elsewhere =
        (event.target instanceof HTMLInputElement && !/^(radio|checkbox)$/.test(event.target.type)) ||
        event.target instanceof HTMLTextAreaElement ||
        event.target instanceof HTMLSelectElement;
      if (!elsewhere && /^[\d.]$/.test(event.key) && !event.ctrlKey && !event.altKey && !event.metaKey) {
        input.current?.focus();
      }
    };
    window.addEventListener('keydown', onKey, true);
    return () => {
      window.removeEventListener('keydown', onKey, true);
    };
  }, [input, on]);
}
