import { createHash, createHmac, randomBytes, timingSafeEqual } from 'node:crypto'
import { Op, type WhereOptions } from 'sequelize'
import type { SessionLine } from '../../contracts/house'
import type { RowOf } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { hashed, matches } from './passphrase'
import { Refusal } from './refusal'
import { rowOf, rowsOf } from '../models/rows'

/** The house network: who may come in. */
export interface House {
  hasPassphrase(): Promise<boolean>
  /** Sets the passphrase and ends every session but the one given. The old one is asked for where there is one. */
  setPassphrase(passphrase: string, old: string | null, keep: string | null): Promise<void>
  /** Lets go of the passphrase and ends every session: for who has the machine and has forgotten it. */
  forgetPassphrase(): Promise<void>
  /** Lets a device in: the secret of its session, to be kept in its cookie. */
  enter(passphrase: string, name: string): Promise<string>
  /** Takes the passphrase from a device that has entered, once more: it is believed for a while. */
  prove(session: string, passphrase: string): Promise<void>
  /** Whether a session was told the passphrase a short while ago. */
  isProven(session: string): Promise<boolean>
  /** A token for a device that has entered, by which it is known again when its session has ended. */
  knownToken(): Promise<string>
  isKnown(token: string): Promise<boolean>
  /** The id of the session a secret belongs to, or null. */
  session(secret: string): Promise<string | null>
  sessions(own: string | null): Promise<SessionLine[]>
  end(id: string): Promise<void>
  /** Hears of sessions that have ended. */
  onEnded(listener: (id: string) => void): void
}

const SETTING = 'passphrase'
const KNOWN_KEY = 'known-key'
/** How long a device that told the passphrase is not asked again, ms. */
export const PROVEN_MS = 15 * 60_000
/** Passphrases that may wait to be looked at; each takes 64 MiB and a good part of a second. */
const MOST_WAITING = 8
/** A session that was not used for so long has ended, ms. */
export const SESSION_MS = 180 * 24 * 3600 * 1000
/** When it was last seen is written this seldom, ms. */
const SEEN_EVERY_MS = 60_000

const digest = (secret: string): string => createHash('sha256').update(secret).digest('hex')
const same = (a: string, b: string): boolean => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))

/**
 * The house of one database.
 *
 * @param database an open database
 * @param clock gives the times of sessions
 * @returns refuses `no-passphrase`, `wrong-passphrase`, and `too-many-tries` where too many wait to be looked at
 */
export function houseOf(database: Database, clock: HearthClock): House {
  const { HouseSetting, Session } = database.models
  const kept = async (): Promise<string | null> => {
    const row = await rowOf(HouseSetting, { where: { name: SETTING } })
    return row ? String(row.value) : null
  }
  // Asked for with every request: read once, and again only after it changed.
  let known: Promise<string | null> | null = null
  const passphrase = (): Promise<string | null> => (known ??= kept())
  const setting = async (name: string, make: () => string): Promise<string> => {
    await HouseSetting.bulkCreate([{ name, value: make() }], { ignoreDuplicates: true })
    return (await rowOf(HouseSetting, { where: { name } }))?.value ?? ''
  }
  const knownKey = (): Promise<string> => setting(KNOWN_KEY, () => randomBytes(32).toString('hex'))
  const ended = new Set<(id: string) => void>()
  const endWhere = async (where: WhereOptions<RowOf<'Session'>>): Promise<void> => {
    const rows = await rowsOf(Session, { where, attributes: ['id'] })
    await Session.destroy({ where })
    for (const { id } of rows) for (const tell of ended) tell(String(id))
  }
  let [looking, waiting]: [Promise<unknown>, number] = [Promise.resolve(), 0]
  /** One passphrase is looked at at a time: guessing may not fill memory and processor. */
  const inTurn = <T>(what: () => Promise<T>): Promise<T> => {
    if (waiting >= MOST_WAITING) throw new Refusal('too-many-tries', 'house')
    waiting++
    const turn = looking.then(what).finally(() => waiting--)
    looking = turn.catch(() => undefined)
    return turn
  }
  const demand = async (text: string): Promise<void> => {
    const right = await passphrase()
    if (right === null) throw new Refusal('no-passphrase', 'house')
    if (!await inTurn(() => matches(text, right))) throw new Refusal('wrong-passphrase', 'house')
  }
  return {
    hasPassphrase: async () => await passphrase() !== null,
    async setPassphrase(text, old, keep) {
      if (await passphrase() !== null) await demand(old ?? '')
      const value = await inTurn(() => hashed(text))
      await HouseSetting.upsert({ name: SETTING, value })
      known = Promise.resolve(value)
      await endWhere(keep === null ? {} : { id: { [Op.ne]: keep } })
    },
    async forgetPassphrase() {
      await HouseSetting.destroy({ where: { name: SETTING } })
      known = Promise.resolve(null)
      await endWhere({})
    },
    async enter(text, name) {
      await demand(text)
      const id = randomBytes(8).toString('hex')
      const secret = `${id}.${randomBytes(24).toString('hex')}`
      await Session.create({
        id,
        secret: digest(secret),
        name,
        createdAt: clock.now(),
        seenAt: clock.now(),
        provenAt: clock.now(),
      })
      return secret
    },
    async prove(session, text) {
      await demand(text)
      await Session.update({ provenAt: clock.now() }, { where: { id: session } })
    },
    async isProven(session) {
      const row = await rowOf(Session, { where: { id: session }, attributes: ['provenAt'] })
      return row !== null && row.provenAt !== null && Math.abs(clock.now() - Number(row.provenAt)) < PROVEN_MS
    },
    async knownToken() {
      const id = randomBytes(8).toString('hex')
      return `${id}.${createHmac('sha256', await knownKey()).update(id).digest('hex')}`
    },
    async isKnown(token) {
      const [id = '', sign = ''] = token.split('.')
      return same(sign, createHmac('sha256', await knownKey()).update(id).digest('hex'))
    },
    async session(secret) {
      const [id = ''] = secret.split('.')
      const row = await rowOf(Session, { where: { id } })
      const now = clock.now()
      if (!row || !same(String(row.secret), digest(secret)) || now - Number(row.seenAt) > SESSION_MS) return null
      if (now - Number(row.seenAt) > SEEN_EVERY_MS) await Session.update({ seenAt: now }, { where: { id } })
      return id
    },
    async sessions(own) {
      const rows = await rowsOf(Session, { order: [['seenAt', 'DESC']] })
      return rows.map(row => ({
        id: String(row.id),
        name: String(row.name),
        createdAt: Number(row.createdAt),
        seenAt: Number(row.seenAt),
        own: row.id === own,
      }))
    },
    end: id => endWhere({ id }),
    onEnded(listener) {
      ended.add(listener)
    },
  }
}
