import { quantityText } from '../entry/figures';
import { useNarrow } from '../frame/narrow';
import { useDisplayUnit } from '../frame/signedIn';
import type { FeatureResult } from './studyQueries';

/** How a reader's readings are drawn, told apart by shape and not by colour alone. */
export const READER_MARKS = ['●', '▲', '■', '◆', '✚', '○', '△', '□'];

/** Narrower where there is less room, so that its figures stay as large. */
const WIDTHS = { wide: 640, narrow: 400 };
const HEIGHT = 260;
const LEFT = 74;
const BOTTOM = 30;
const TOP = 10;

/** Every reading by how far it lies from what all read of its piece on the whole, between the limits of the tolerance. */
export function StudyChart({ result, pieces }: { result: FeatureResult; pieces: readonly number[] }) {
  const display = useDisplayUnit();
  const width = useNarrow() ? WIDTHS.narrow : WIDTHS.wide;
  const { unit, tolerance } = result.feature;
  const off = result.readers.map(({ offPiece }) => offPiece);
  const most = Math.max(tolerance, ...off.flat(2).map(Math.abs)) * 1.1;
  const y = (value: number) => TOP + ((HEIGHT - TOP - BOTTOM) * (most - value)) / (2 * most);
  const column = (width - LEFT - 8) / pieces.length;
  const words = (value: number) => quantityText(value, unit, display, { signed: true, lines: 64, places: 2 });
  return (
    <figure className="min-w-0">
      <figcaption className="text-base leading-tight">
        Each reading, from the mean of its piece; ┄ the tolerance
      </figcaption>
      <svg
        viewBox={`0 0 ${String(width)} ${String(HEIGHT)}`}
        className="w-full"
        role="img"
        aria-label={`Readings of ${String(pieces.length)} pieces by ${String(result.readers.length)} people, at most ${words(Math.max(...off.flat(2).map(Math.abs)))} from the mean of their piece; the tolerance is ${words(tolerance)} to either side. ${result.readers.map(({ fullName, words: reads }) => `${fullName} ${reads}`).join('; ')}.`}
      >
        {[tolerance, 0, -tolerance].map((limit) => (
          <g key={limit}>
            <line
              x1={LEFT}
              x2={width - 8}
              y1={y(limit)}
              y2={y(limit)}
              stroke={limit === 0 ? 'var(--line)' : 'var(--asked)'}
              strokeWidth={limit === 0 ? 1 : 1.75}
              strokeDasharray={limit === 0 ? undefined : '7 5'}
            />
            <text x={LEFT - 8} y={y(limit) + 5} textAnchor="end" fontSize={16} fill="var(--color-base-content)">
              {limit === 0 ? '0' : words(limit)}
            </text>
          </g>
        ))}
        {pieces.map((piece, i) => (
          <g key={piece}>
            {i > 0 && (
              <line
                x1={LEFT + i * column}
                x2={LEFT + i * column}
                y1={TOP}
                y2={HEIGHT - BOTTOM}
                stroke="var(--grid)"
                strokeWidth={1}
              />
            )}
            <text
              x={LEFT + (i + 0.5) * column}
              y={HEIGHT - 9}
              textAnchor="middle"
              fontSize={16}
              fill="var(--color-base-content)"
            >
              {piece}
            </text>
            {off.flatMap((own, reader) =>
              (own[i] ?? []).map((value, round) => (
                <text
                  key={`${String(reader)} ${String(round)}`}
                  x={LEFT + (i + (reader + 1) / (off.length + 1)) * column}
                  y={y(value) + 5}
                  textAnchor="middle"
                  fontSize={14}
                  fill="var(--made)"
                >
                  {READER_MARKS[reader % READER_MARKS.length]}
                </text>
              )),
            )}
          </g>
        ))}
      </svg>
    </figure>
  );
}
