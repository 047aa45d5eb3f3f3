import type { Feature } from '../api/queries';
import { useDisplayUnit } from '../frame/signedIn';
import { agreeing, type DisplayUnit, type Fineness, quantityText } from './figures';

type Line = Pick<Feature, 'unit' | 'target' | 'deviation'> & { reading?: { value?: number | null } | null };

/** How finely target, reading and deviation of a feature are shown; as usual while it is not read. */
export function lineOf(feature: Line, display: DisplayUnit): Fineness | undefined {
  const read = feature.reading?.value;
  return read == null || feature.deviation == null
    ? undefined
    : agreeing({ target: feature.target, read, off: feature.deviation }, feature.unit, display);
}

/** The same in the reader's unit. */
export function useLine(feature: Line): Fineness | undefined {
  return lineOf(feature, useDisplayUnit());
}

/** Whether what was asked is shown as another figure than what a reading is held to: then the method misses it. */
export function differsFromAsked(feature: Pick<Feature, 'unit' | 'asked' | 'target'>, display: DisplayUnit): boolean {
  return quantityText(feature.asked, feature.unit, display) !== quantityText(feature.target, feature.unit, display);
}
