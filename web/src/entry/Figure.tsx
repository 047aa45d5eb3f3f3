import { useDisplayUnit } from '../frame/signedIn';
import { type FigureParts, type FigureUnit, type Fineness, partsToText, quantityParts, spaced } from './figures';

interface FigureProps {
  value: number;
  unit: FigureUnit;
  signed?: boolean;
  /** Finer than the lines of a tape: for what was calculated. */
  fine?: boolean;
  /** As finely as the other values on its line, so that they agree. */
  shown?: Fineness | undefined;
  className?: string;
}

/** A quantity in running text, its fraction set as one. */
export function Figure({ value, unit, signed = false, fine = false, shown, className = '' }: FigureProps) {
  const parts = quantityParts(value, unit, useDisplayUnit(), { signed, ...(fine ? { lines: 32 } : {}), ...shown });
  return (
    <span className={`figures whitespace-nowrap ${className}`}>
      <FigureRun parts={parts} />
    </span>
  );
}

/** The same within a drawing: tspans for a text element. */
export function FigureSpans({ parts }: { parts: FigureParts }) {
  return (
    <>
      {parts.sign}
      {parts.whole}
      {parts.fraction !== '' && (
        <tspan className="fraction" dx={parts.whole === '' ? 0 : '0.16em'}>
          {parts.fraction}
        </tspan>
      )}
      {parts.unit !== '' && <tspan>{spaced(parts.unit)}</tspan>}
    </>
  );
}

function FigureRun({ parts }: { parts: FigureParts }) {
  if (parts.fraction === '') {
    return <>{partsToText(parts)}</>;
  }
  return (
    <>
      {parts.sign}
      {parts.whole}
      {parts.whole !== '' && ' '}
      <span className="fraction">{parts.fraction}</span>
      {parts.unit}
    </>
  );
}
