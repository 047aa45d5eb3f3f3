/**
 * How quantities are written on screen. Formatting only: the same rules as the core's TapeDivision and Angle, held to them
 * by the cases in figures.cases.json, which both sides test.
 */

export type DisplayUnit = 'in' | 'mm';

/** What a number of the interface is in. */
export type FigureUnit = 'in' | 'deg' | 'percent';

/** What a text for such a number is read as. */
export type QuantityKind = 'length' | 'angle' | 'percentage';

export function kindOfUnit(unit: FigureUnit): QuantityKind {
  return { in: 'length', deg: 'angle', percent: 'percentage' }[unit] as QuantityKind;
}

export function unitOfKind(kind: QuantityKind): FigureUnit {
  return { length: 'in', angle: 'deg', percentage: 'percent' }[kind] as FigureUnit;
}

/** A figure taken apart for setting its fraction as one glyph group. */
export interface FigureParts {
  sign: '' | '+' | '−';
  whole: string;
  /** Such as 3/8; empty where there is none. */
  fraction: string;
  /** Such as mm, % or °; empty for inches, which go without saying here. */
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

/** Degrees to so many places. */
export function degreeParts(degrees: number, signed = false, places = 1): FigureParts {
  return decimalParts(degrees, places, '°', signed);
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

/** A unit as it follows its figure: only the sign for degrees stands close to it. */
export function spaced(unit: string): string {
  return unit === '' || unit === '°' ? unit : ` ${unit}`;
}

export function partsToText(parts: FigureParts): string {
  const figure = [parts.whole, parts.fraction].filter((part) => part !== '').join(' ');
  const unit = spaced(parts.unit);
  return `${parts.sign}${figure}${unit}`;
}

/** How finely a quantity is shown: lines of an inch, places of a millimetre or of a degree. */
export interface Fineness {
  lines?: number;
  places?: number;
}

/** A quantity of the interface in the reader's unit. Deviations are signed and shown finer than tape lines. */
export function quantityParts(
  value: number,
  unit: FigureUnit,
  display: DisplayUnit,
  options: { signed?: boolean } & Fineness = {},
): FigureParts {
  const signed = options.signed ?? false;
  if (unit === 'deg') {
    return degreeParts(value, signed, options.places);
  }
  if (unit === 'percent') {
    return decimalParts(value, options.places ?? 1, '%', signed);
  }
  if (display === 'mm') {
    return millimetreParts(value, options.places ?? (signed ? 1 : 0), signed);
  }
  return inchParts(value, options.lines ?? (signed ? 32 : 16), signed);
}

/** Values that stand on one line: what a reading is held to, the reading, and how far it is off. */
export interface OneLine {
  target: number;
  read: number;
  off: number;
}

/** What a screen can tell apart: a thousandth of the smallest step that is shown. */
const SAME = 1e-3;

/**
 * How finely three values are shown so that they agree: target and deviation give the reading. Lengths at the lines of a tape
 * only if all of them are lines; else one place more, and one more, until they do.
 */
export function agreeing({ target, read, off }: OneLine, unit: FigureUnit, display: DisplayUnit): Fineness {
  const inches = unit === 'in' && display === 'in';
  const scale = unit === 'in' && display === 'mm' ? 25.4 : 1;
  const steps = inches ? [16, 32, 64, 128] : unit === 'in' ? [1, 10, 100, 1000] : [10, 100];
  const round = (value: number, step: number) => Math.sign(value) * Math.round(Math.abs(value) * scale * step + 1e-9);
  const isOn = (value: number, step: number) =>
    Math.abs(Math.abs(value) * scale * step - Math.abs(round(value, step))) < SAME;
  const agrees = (step: number, i: number) =>
    round(read, step) - round(target, step) === round(off, step) &&
    (i > 0 || unit !== 'in' || [target, read, off].every((value) => isOn(value, step)));
  const step = steps.find(agrees) ?? steps.at(-1) ?? 16;
  return inches ? { lines: step } : { places: Math.round(Math.log10(step)) };
}

export function quantityText(...args: Parameters<typeof quantityParts>): string {
  return partsToText(quantityParts(...args));
}

/** A length without rounding it to a tape: a fraction if it is one, else decimals. */
export function exactText(inches: number, unit: DisplayUnit): string {
  if (unit === 'mm') {
    return partsToText(millimetreParts(inches, 3));
  }
  const sixtyFourths = inches * 64;
  return Math.abs(sixtyFourths - Math.round(sixtyFourths)) < 1e-6
    ? partsToText(inchParts(inches, 64))
    : String(Math.round(inches * 1e4) / 1e4);
}
