import type { ProblemCode } from '../contracts/problem'

/** Title, status and sentence of every problem: what happened, what is safe, what to do. */
export const PROBLEMS: Readonly<
  Record<ProblemCode, { readonly status: number, readonly title: string, readonly detail: string }>
> = {
  'body-not-understood': {
    status: 400,
    title: 'Some of this was not understood',
    detail: 'Nothing was stored. Correct the fields named here and send it again.',
  },
  'not-json': { status: 400, title: 'This is not JSON', detail: 'Nothing was stored. Send a JSON body.' },
  'body-too-large': { status: 413, title: 'This is too large', detail: 'Nothing was stored. Send less at a time.' },
  'not-found': { status: 404, title: 'There is nothing here', detail: 'Nothing was changed. Check the address.' },
  'method-not-allowed': { status: 405, title: 'This cannot be done here', detail: 'Nothing was changed.' },
  'already-different': {
    status: 409,
    title: 'Something else stands under this name',
    detail: 'Nothing was changed. What stands there is kept; send yours under a new id or version.',
  },
  'changed-meanwhile': {
    status: 409,
    title: 'Another device has changed this meanwhile',
    detail: 'Nothing was changed; what stands on the hearth is kept. It is read again: do the last thing once more.',
  },
  'enter-first': {
    status: 401,
    title: 'This device has not entered the house',
    detail: "Nothing was changed; what is marked here is kept. Enter the household's passphrase and it goes on.",
  },
  'wrong-passphrase': {
    status: 403,
    title: 'That is not the passphrase',
    detail:
      'Nothing was changed. Try again. Who has forgotten it starts the hearth once with --forget-passphrase, on the machine it runs on.',
  },
  'too-many-tries': {
    status: 429,
    title: 'Too many tries',
    detail: 'Nothing was changed. Wait a few minutes, then try again.',
  },
  'too-fast': {
    status: 429,
    title: 'Too much at once',
    detail: 'Nothing was stored of this; what was acknowledged before is safe. It is sent again by itself.',
  },
  'wrong-host': {
    status: 421,
    title: 'The hearth does not go by this name',
    detail: 'Nothing was changed. Use one of the addresses the hearth shows, or name this one in HEARTH_HOSTS.',
  },
  'other-origin': {
    status: 403,
    title: 'Another page asked for this',
    detail: "Nothing was changed. Open the hearth's own page and do it there.",
  },
  'not-from-here': {
    status: 403,
    title: 'This can be done on the hearth itself only',
    detail: 'Nothing was changed. Open it on the machine the hearth runs on.',
  },
  'no-passphrase': {
    status: 403,
    title: 'The house has no passphrase yet',
    detail: 'Nothing was changed. Set one on the machine the hearth runs on: Kitchen, House network.',
  },
  'prove-again': {
    status: 403,
    title: 'Say the passphrase once more',
    detail:
      "Nothing was changed. This takes something away, or puts something in its place: say the household's passphrase on this device, and it is done.",
  },
  'too-many-streams': {
    status: 429,
    title: 'Too many pages listen at once',
    detail:
      'Nothing was changed and nothing is lost. Close a page of the hearth on this device; it is tried again by itself.',
  },
  'body-too-slow': { status: 408, title: 'This came too slowly', detail: 'Nothing was stored of it. Send it again.' },
  'not-readable': {
    status: 422,
    title: 'This cannot be read here',
    detail:
      'It stands in the house as it was put there and is kept; this version cannot show it. Nothing was changed. A backup carries it along.',
  },
  'busy': {
    status: 503,
    title: 'The hearth is busy for a moment',
    detail: 'Nothing was stored of this; what was acknowledged before is safe. It is sent again by itself.',
  },
  'disk-full': {
    status: 507,
    title: 'The disk of the hearth is full',
    detail:
      'Nothing was stored of this; what was acknowledged before is safe, and marks are kept on this device. Make room on the machine the hearth runs on; it is sent again by itself.',
  },
  'not-a-photo': {
    status: 422,
    title: 'This is not a photograph',
    detail: 'Only a JPEG of at most 600 kB and 1600 px is kept. Nothing was changed; take a smaller one.',
  },
  'too-many-addresses': {
    status: 409,
    title: 'There are twenty already',
    detail: 'A house gives out twenty addresses of its calendar. Nothing was changed; take one back first.',
  },
  'too-many-photos': {
    status: 409,
    title: 'There are twelve already',
    detail: 'A batch keeps twelve photographs. Nothing was changed; remove one first.',
  },
  'not-a-backup': {
    status: 422,
    title: 'This file cannot be read',
    detail: 'It is cut, changed or from elsewhere. Nothing was changed in this house. Try another copy of it.',
  },
  'house-not-empty': {
    status: 409,
    title: 'This house is not empty',
    detail:
      'A backup takes the place of everything that is here. Nothing was changed. Say that what stands here is to be put aside as a copy, and it is restored; or restore it into an empty folder (HEARTH_DATA).',
  },
  'went-wrong': {
    status: 500,
    title: 'Something went wrong on the hearth',
    detail: 'What was acknowledged before is safe. Try again; if it goes on, restart the hearth.',
  },
}
