/** What the keys of the fraction pad do to a text. Pure; the text is read by the server like any typed text. */

const FRACTION_AT_END = /\s*\d+\/\d+$/;

/** Puts a digit or a point behind what is there; behind a fraction it begins a new figure. */
export function typeDigit(text: string, digit: string): string {
  return FRACTION_AT_END.test(text) ? digit : text + digit;
}

/** Sets the fraction, replacing the one that is there. */
export function typeFraction(text: string, fraction: string): string {
  const whole = text.replace(FRACTION_AT_END, '').trim();
  return whole === '' ? fraction : `${whole} ${fraction}`;
}

/** Puts a minus before what is there, or takes it away. */
export function typeMinus(text: string): string {
  return text.startsWith('−') ? text.slice(1) : `−${text}`;
}

/** Takes the last step back: a whole fraction, or one digit. */
export function typeBackspace(text: string): string {
  return FRACTION_AT_END.test(text) ? text.replace(FRACTION_AT_END, '') : text.slice(0, -1);
}

/** The fractions of an inch in sixteenths, in lowest terms, in reading order. */
export const SIXTEENTHS: readonly string[] = Array.from({ length: 15 }, (_, i) => {
  let numerator = i + 1;
  let denominator = 16;
  while (numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  return `${String(numerator)}/${String(denominator)}`;
});
