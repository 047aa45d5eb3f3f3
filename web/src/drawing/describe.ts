/** A layout in words, for whoever hears it instead of seeing it. Pure. */

import type { Schemas } from '../api/client';
import { featureName } from '../entry/features';
import { type DisplayUnit, quantityText } from '../entry/figures';

export function describedPiece(name: string, plan: Schemas['LayoutAnswer'], unit: DisplayUnit): string {
  const figures = plan.features.map(
    ({ id, unit: of, target, predicted }) =>
      `${featureName(id, plan.marks.length)}: asked ${quantityText(target, of, unit)}, the marks will give ${quantityText(predicted, of, unit, { lines: 32 })}`,
  );
  return `${name}. ${figures.join('. ')}.`;
}
