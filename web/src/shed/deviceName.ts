const SYSTEMS = [
  ['Android', /Android/],
  ['iPhone or iPad', /iPhone|iPad/],
  ['Windows', /Windows/],
  ['Mac', /Macintosh/],
  ['Linux', /Linux|X11/],
] as const;

// In this order: later ones call themselves by the earlier ones' names as well.
const BROWSERS = [
  ['Firefox', /Firefox\//],
  ['Edge', /Edg\//],
  ['Chromium or its like', /Chrom(e|ium)\//],
  ['Safari', /Safari\//],
] as const;

/** What a browser says of itself, in two words. */
export function deviceName(said: string): string {
  const system = SYSTEMS.find(([, sign]) => sign.test(said))?.[0];
  const browser = BROWSERS.find(([, sign]) => sign.test(said))?.[0];
  return [browser, system].filter((part) => part !== undefined).join(' on ') || 'A device';
}
