/** A name to sign in with, made of somebody's full name: small letters and figures, dots between the words. */
export function signInNameFor(fullName: string): string {
  return fullName
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '.')
    .replace(/^\.+|\.+$/g, '')
    .slice(0, 40)
    .replace(/\.+$/, '');
}
