/** The lines of a tape: pure, in inches. */

export interface TapeLine {
  inches: number;
  /** 0 is the longest line (a whole inch or ten millimetres), each next level half as important. */
  level: number;
  /** Written at the line, where there is room for it. */
  label?: string;
  /** A whole foot: drawn bolder. */
  foot?: boolean;
}

const LEAST_GAP_PX = 4;

/**
 * The lines that fit on a tape at a scale: never closer than a few pixels, never finer than the tape's division.
 *
 * @param divisionIn distance of its finest lines; a metric division is recognised by its size
 */
export function tapeLines(lengthIn: number, divisionIn: number, pixelsPerInch: number): TapeLine[] {
  return isMetric(divisionIn) ? metricLines(lengthIn, pixelsPerInch) : inchLines(lengthIn, divisionIn, pixelsPerInch);
}

export function isMetric(divisionIn: number): boolean {
  return Math.abs(divisionIn * 25.4 - Math.round(divisionIn * 25.4)) < 1e-6 && divisionIn > 0;
}

/** The division of the tape that somebody holds: one in their own unit, as fine as the exercise's where that is in it. */
export function divisionFor(divisionIn: number, unit: 'in' | 'mm'): number {
  if (unit === 'mm') {
    return isMetric(divisionIn) ? divisionIn : 1 / 25.4;
  }
  return isMetric(divisionIn) ? 1 / 16 : divisionIn;
}

function inchLines(lengthIn: number, divisionIn: number, pixelsPerInch: number): TapeLine[] {
  let lines = 1;
  while (lines < Math.round(1 / (divisionIn || 1 / 16)) && pixelsPerInch / (lines * 2) >= LEAST_GAP_PX) {
    lines *= 2;
  }
  const labelEvery = [1, 2, 3, 6, 12].find((inches) => inches * pixelsPerInch >= 30) ?? 12;
  const result: TapeLine[] = [];
  for (let i = 0; i <= Math.floor(lengthIn * lines + 1e-9); i++) {
    let level = 0;
    for (let step = lines; i % step !== 0; step /= 2) {
      level++;
    }
    const inches = i / lines;
    const line: TapeLine = { inches, level };
    if (level === 0 && inches % labelEvery === 0 && inches > 0) {
      line.label = String(inches);
      line.foot = inches % 12 === 0;
    }
    result.push(line);
  }
  return result;
}

function metricLines(lengthIn: number, pixelsPerInch: number): TapeLine[] {
  const perMillimetre = pixelsPerInch / 25.4;
  const step = [1, 5, 10, 50].find((millimetres) => millimetres * perMillimetre >= LEAST_GAP_PX) ?? 100;
  const labelEvery = [10, 50, 100, 200].find((millimetres) => millimetres * perMillimetre >= 34) ?? 500;
  const result: TapeLine[] = [];
  for (let millimetres = 0; millimetres <= lengthIn * 25.4 + 1e-9; millimetres += step) {
    const line: TapeLine = {
      inches: millimetres / 25.4,
      level: millimetres % 10 === 0 ? 0 : millimetres % 5 === 0 ? 1 : 3,
    };
    if (millimetres % labelEvery === 0 && millimetres > 0) {
      line.label = String(millimetres);
    }
    result.push(line);
  }
  return result;
}
