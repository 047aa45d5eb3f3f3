import type { Kind } from '../bends/kinds';

/** The shape of a kind of bend, small: the centreline as it lies, not to scale. */
const SHAPES: Record<Kind, string> = {
  stub90: 'M6 18H30Q36 18 36 12V2',
  backToBack90: 'M8 2V12Q8 18 14 18H32Q38 18 38 12V2',
  boxOffset: 'M3 16H8L14 12H43',
  offset: 'M3 18H12L26 5H43',
  kick: 'M3 18H20L42 6',
  rollingOffset: 'M3 18H12L26 5H43M12 18L18 9H34',
  saddle3: 'M2 17H10L22 5 34 17H44',
  saddle4: 'M2 17H8L15 6H31L38 17H44',
  overBent90: 'M12 21V16L7 9Q3 3 10 3H44',
  run: 'M2 20V10Q2 6 6 6H18Q22 6 22 10V14Q22 18 26 18H36L40 15H44',
};

export function BendGlyph({ kind }: { kind: Kind }) {
  return (
    <svg width={46} height={22} aria-hidden="true" className="shrink-0">
      <path d={SHAPES[kind]} fill="none" stroke="var(--steel-edge)" strokeLinejoin="round" className="line-bold" />
    </svg>
  );
}
