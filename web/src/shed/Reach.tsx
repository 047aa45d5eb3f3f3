import { Figure } from '../entry/Figure';
import type { FigureUnit } from '../entry/figures';
import { useDisplayUnit } from '../frame/signedIn';

/** The finest line that figures are written by, inches. */
const FINEST = 1 / 32;

/** How far off something may be: what is finer than any line is said to be that. */
export function Reach({ value, unit }: { value: number; unit: FigureUnit }) {
  const display = useDisplayUnit();
  if (unit === 'in' && display === 'in' && value < FINEST) {
    return (
      <>
        within <Figure value={FINEST} unit="in" fine />
      </>
    );
  }
  return (
    <>
      ± <Figure value={value} unit={unit} fine />
    </>
  );
}
