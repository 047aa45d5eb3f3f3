import { useEffect, useRef } from 'react';
import type { Problem } from '../api/client';
import type { Feature } from '../api/queries';
import { Deviation } from '../entry/Deviation';
import { featureName } from '../entry/features';
import { Figure } from '../entry/Figure';
import { QuantityField } from '../entry/QuantityField';

interface ReadingPlaceProps {
  feature: Feature;
  text: string;
  active: boolean;
  problem: Problem | null;
  onText: (text: string) => void;
  onActivate: () => void;
  onEnter: () => void;
}

/** A feature's place on the drawing: a field until it is read, then the reading with its deviation. */
export function ReadingPlace({ feature, text, active, problem, onText, onActivate, onEnter }: ReadingPlaceProps) {
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (active) {
      input.current?.focus();
    }
  }, [active]);
  if (feature.reading != null) {
    return (
      <div className="rounded-field bg-base-100/90 px-2 text-center leading-tight">
        <span className="block text-sm">{featureName(feature.id)}</span>
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
    <QuantityField
      label={featureName(feature.id)}
      kind={feature.unit === 'deg' ? 'angle' : 'length'}
      text={text}
      onText={onText}
      onEnter={onEnter}
      onFocus={onActivate}
      inputRef={input}
      problem={problem}
      place="drawing"
      padAtHand
    />
  );
}
