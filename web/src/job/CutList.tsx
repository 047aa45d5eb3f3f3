import type { Schemas } from '../api/client';
import { Figure } from '../entry/Figure';

/** What is cut from which stick or left-over, and what is left of it. */
export function CutList({ cuts }: { cuts: readonly Schemas['CutAnswer'][] }) {
  return (
    <ul aria-label="Cut list" className="grid gap-0.5">
      {cuts.map(({ lengthIn, leftOver, pieces, leftIn }, i) => (
        <li key={i}>
          {leftOver ? 'Left-over' : 'Stick'} of <Figure value={lengthIn} unit="in" />:{' '}
          {pieces.length === 1 ? 'piece' : 'pieces'} {pieces.join(', ')}, <Figure value={leftIn} unit="in" /> left
        </li>
      ))}
    </ul>
  );
}
