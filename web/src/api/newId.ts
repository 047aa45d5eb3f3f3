/**
 * An id that nobody else has made. Browsers offer one of their own only where the address is a secure one; the figures that no one
 * can guess they have everywhere.
 */
export function newId(): string {
  if ('randomUUID' in crypto) {
    return crypto.randomUUID();
  }
  const bytes = (crypto as Crypto).getRandomValues(new Uint8Array(16));
  // Version 4, of random figures, in the usual variant.
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}
