import { type Ref, useLayoutEffect, useRef } from 'react';
import type { Problem } from '../api/client';
import type { Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { QuantityField } from '../entry/QuantityField';
import { useNarrow } from '../frame/narrow';
import { FeatureTag } from './FeatureTag';

interface ReadingPlaceProps {
  feature: Feature;
  /** How many bends the piece has. */
  bends: number;
  /** The drawing has little room: only the reading in hand has a field on it. */
  crowded: boolean;
  text: string;
  active: boolean;
  problem: Problem | null;
  onText: (text: string) => void;
  onActivate: () => void;
  onEnter: () => void;
}

/** A feature's place on the drawing: a field until it is read, then the reading with its deviation. */
export function ReadingPlace({
  feature,
  bends,
  crowded,
  text,
  active,
  problem,
  onText,
  onActivate,
  onEnter,
}: ReadingPlaceProps) {
  const input = useRef<HTMLInputElement>(null);
  // Before anything is painted: what is typed on sight must not be lost.
  useLayoutEffect(() => {
    if (active) {
      input.current?.focus();
    }
  }, [active]);
  const narrow = useNarrow();
  if (crowded && (narrow || !active || feature.reading != null)) {
    return <FeatureTag feature={feature} bends={bends} active={active} text={text} onActivate={onActivate} />;
  }
  if (narrow && feature.reading == null) {
    return <PlaceButton feature={feature} active={active} text={text} onActivate={onActivate} />;
  }
  if (feature.reading != null) {
    return (
      <div className="rounded-field bg-base-100/90 px-2 text-center leading-tight">
        <span className="block text-sm">
          {featureName(feature.id, bends)}{' '}
          <Figure value={feature.target} unit={feature.unit} className="text-base text-primary" />
        </span>
        <Figure
          value={feature.reading.value}
          unit={feature.unit}
          className="block text-[1.8rem] leading-none text-secondary"
        />
        <Deviation feature={feature} />
      </div>
    );
  }
  return (
    <ReadingField
      feature={feature}
      bends={bends}
      text={text}
      problem={problem}
      onText={onText}
      onActivate={onActivate}
      onEnter={onEnter}
      inputRef={input}
      place="drawing"
    />
  );
}

/** On a phone: what is to be read there, one tap away. */
function PlaceButton({
  feature,
  active,
  text,
  onActivate,
}: Pick<ReadingPlaceProps, 'feature' | 'active' | 'text' | 'onActivate'>) {
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

type ReadingFieldProps = Omit<ReadingPlaceProps, 'active' | 'crowded'> & {
  inputRef?: Ref<HTMLInputElement>;
  place: 'drawing' | 'list';
};

/** The field of a reading, with what is asked for beside its name. */
export function ReadingField({
  feature,
  bends,
  text,
  problem,
  onText,
  onActivate,
  onEnter,
  inputRef,
  place,
}: ReadingFieldProps) {
  return (
    <QuantityField
      label={featureName(feature.id, bends)}
      kind={feature.unit === 'deg' ? 'angle' : 'length'}
      text={text}
      onText={onText}
      onEnter={onEnter}
      onFocus={onActivate}
      {...(inputRef === undefined ? {} : { inputRef })}
      problem={problem}
      place={place}
      asked={
        <>
          {' '}
          <Figure value={feature.target} unit={feature.unit} className="text-base text-primary" />
        </>
      }
      padAtHand
    />
  );
}
