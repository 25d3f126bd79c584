import {
  browserSupportsWebAuthn,
  startAuthentication,
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser'
import { client, unwrap } from '@/api/client'

/** Why no passkey can be used here, as a sentence; undefined when it can. Browsers want a name, not a number, and TLS. */
export function whyNoPasskeys(place: Location = window.location): string | undefined {
  if (/^[\d.]+$|^\[/.test(place.hostname)) {
    return `Passkeys need a name instead of ${place.hostname}; on this machine, localhost will do.`
  }
  if (!window.isSecureContext) {
    return 'Passkeys need a connection by https.'
  }
  return browserSupportsWebAuthn() ? undefined : 'This browser knows no passkeys.'
}

/** Has this device, or another one, make a passkey; answers what proves it. */
export async function makePasskey(currentPassword: string) {
  const asked = await unwrap(client.POST('/api/passkeys/begin', { body: { currentPassword } }))
  const optionsJSON = asked.options as unknown as PublicKeyCredentialCreationOptionsJSON
  const credential = await inWords(() => startRegistration({ optionsJSON }))
  return { handle: asked.handle, credential: { ...credential } }
}

/** Signs in with a passkey of this browser. */
export async function signInWithPasskey() {
  const asked = await unwrap(client.POST('/api/session/passkey/begin'))
  const optionsJSON = asked.options as unknown as PublicKeyCredentialRequestOptionsJSON
  const credential = await inWords(() => startAuthentication({ optionsJSON }))
  const body = { handle: asked.handle, credential: { ...credential } }
  return unwrap(client.POST('/api/session/passkey', { body }))
}

async function inWords<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (error) {
    const name = error instanceof Error ? error.name : ''
    if (name === 'InvalidStateError') {
      throw new Error('This device has a passkey for this account already.', { cause: error })
    }
    if (name === 'NotAllowedError' || name === 'AbortError') {
      throw new Error('No passkey was given; it was cancelled, or there is none here.', {
        cause: error,
      })
    }
    throw error
  }
}
