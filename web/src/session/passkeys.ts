import { api, body, type Schemas } from '../api/client';

/** Whether this browser, at this address, can do it: on https, or on this machine by the name localhost. */
export function canPasskeys(): boolean {
  return (
    window.isSecureContext &&
    typeof PublicKeyCredential === 'function' &&
    'parseCreationOptionsFromJSON' in PublicKeyCredential &&
    // An address of figures is no name that a key can belong to.
    !/^[\d.]+$|:/.test(window.location.hostname)
  );
}

/** Has the device make a key, and keeps it. */
export async function makePasskey(label: string): Promise<void> {
  const { question, options } = await body(api.POST('/api/me/passkeys'));
  const made = await navigator.credentials.create({
    publicKey: PublicKeyCredential.parseCreationOptionsFromJSON(
      options as unknown as PublicKeyCredentialCreationOptionsJSON,
    ),
  });
  await body(api.PUT('/api/me/passkeys', { body: { question, label, credential: answered(made) } }));
}

/** Has the device show a key, and says whose it is. */
export async function showPasskey(): Promise<Schemas['Me']> {
  const { question, options } = await body(api.POST('/api/session/passkey/question'));
  const shown = await navigator.credentials.get({
    publicKey: PublicKeyCredential.parseRequestOptionsFromJSON(
      options as unknown as PublicKeyCredentialRequestOptionsJSON,
    ),
  });
  return body(api.POST('/api/session/passkey', { body: { question, credential: answered(shown) } }));
}

function answered(credential: Credential | null): Record<string, never> {
  if (!(credential instanceof PublicKeyCredential)) {
    throw new Error('The device gave no key.');
  }
  return credential.toJSON() as unknown as Record<string, never>;
}

/** What to say of what went wrong: of the server's its words, and of the device that nothing came of it. */
export function passkeyWords(error: Error): string {
  return error.name === 'NotAllowedError' || error.name === 'AbortError'
    ? 'Nothing was shown: the device was not asked to the end, or has no passkey for this address.'
    : error.message;
}
