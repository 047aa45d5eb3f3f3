/**
 * How quantities are written on screen. Formatting only: the same rules as the core's TapeDivision and Angle, held to them
 * by the cases in figures.cases.json, which both sides test.
 */

export type DisplayUnit = 'in' | 'mm';

/** A figure taken apart for setting its fraction as one glyph group. */
export interface FigureParts {
  sign: '' | '+' | '−';
  whole: string;
  /** Such as 3/8; empty where there is none. */
  fraction: string;
  /** Such as mm or °; empty for inches, which go without saying here. */
  unit: string;
}

/** Inches to the nearest 1/lines, in lowest terms. */
export function inchParts(inches: number, lines: number, signed = false): FigureParts {
  const total = Math.round(Math.abs(inches) * lines + 1e-9);
  const whole = Math.floor(total / lines);
  let numerator = total % lines;
  let denominator = lines;
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  return {
    sign: sign(total === 0 ? 0 : inches, signed),
    whole: whole === 0 && numerator > 0 ? '' : String(whole),
    fraction: numerator === 0 ? '' : `${String(numerator)}/${String(denominator)}`,
    unit: '',
  };
}

/** Inches as millimetres to so many places. */
export function millimetreParts(inches: number, places: number, signed = false): FigureParts {
  return decimalParts(inches * 25.4, places, 'mm', signed);
}

/** Degrees to the nearest tenth. */
export function degreeParts(degrees: number, signed = false): FigureParts {
  return decimalParts(degrees, 1, '°', signed);
}

function decimalParts(value: number, places: number, unit: string, signed: boolean): FigureParts {
  const scale = 10 ** places;
  const rounded = Math.round(Math.abs(value) * scale + 1e-9) / scale;
  return { sign: sign(rounded === 0 ? 0 : value, signed), whole: String(rounded), fraction: '', unit };
}

function sign(value: number, signed: boolean): FigureParts['sign'] {
  if (value < 0) {
    return '−';
  }
  return signed && value > 0 ? '+' : '';
}

export function partsToText(parts: FigureParts): string {
  const figure = [parts.whole, parts.fraction].filter((part) => part !== '').join(' ');
  const unit = parts.unit === 'mm' ? ' mm' : parts.unit;
  return `${parts.sign}${figure}${unit}`;
}

/** A quantity of the interface in the reader's unit. Deviations are signed and shown finer than tape lines. */
export function quantityParts(
  value: number,
  unit: 'in' | 'deg',
  display: DisplayUnit,
  options: { signed?: boolean; lines?: number } = {},
): FigureParts {
  const signed = options.signed ?? false;
  if (unit === 'deg') {
    return degreeParts(value, signed);
  }
  if (display === 'mm') {
    return millimetreParts(value, signed ? 1 : 0, signed);
  }
  return inchParts(value, options.lines ?? (signed ? 32 : 16), signed);
}

export function quantityText(...args: Parameters<typeof quantityParts>): string {
  return partsToText(quantityParts(...args));
}
