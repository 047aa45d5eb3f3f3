import type { DisplayUnit } from '../entry/figures';

/** So much conduit, as one would order it: whole feet, or metres to the tenth. */
export function conduitText(inches: number, display: DisplayUnit): string {
  return display === 'mm' ? `${(inches * 0.0254).toFixed(1)} m` : `${String(Math.round(inches / 12))} ft`;
}
