import { Anything, ask, Refused } from '../clients/api'

/**
 * Enters the house from this device; everything is read anew once it is in.
 *
 * @param passphrase as it was typed
 * @param name what this device is called in the list of those that entered
 * @returns what stands against it, in a sentence; it does not return where it was let in
 */
export async function enterHouse(passphrase: string, name: string): Promise<string> {
  try {
    await ask('POST', '/house/enter', Anything, { passphrase, name })
    // What waits here is kept in this device's storage; a fresh page sends it.
    location.reload()
    return ''
  }
  catch (error) {
    return error instanceof Refused
      ? `${error.problem.title}. ${error.problem.detail}`
      : 'The hearth cannot be reached. What is marked here is kept. Try again.'
  }
}
