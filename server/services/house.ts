import { createHash, randomBytes, timingSafeEqual } from 'node:crypto'
import { Op } from 'sequelize'
import type { SessionLine } from '../../contracts/house'
import type { Row } from '../models/models'
import type { HearthClock } from './clock'
import type { Database } from './database'
import { hashed, matches } from './passphrase'
import { Refusal } from './refusal'

/** The house network: who may come in. */
export interface House {
  hasPassphrase(): Promise<boolean>
  /** Sets the passphrase and ends every session but the one given. */
  setPassphrase(passphrase: string, keep: string | null): Promise<void>
  /** Lets a device in: the secret of its session, to be kept in its cookie. */
  enter(passphrase: string, name: string): Promise<string>
  /** The id of the session a secret belongs to, or null. */
  session(secret: string): Promise<string | null>
  sessions(own: string | null): Promise<SessionLine[]>
  end(id: string): Promise<void>
}

const SETTING = 'passphrase'
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
 * @returns refuses `no-passphrase` and `wrong-passphrase`
 */
export function houseOf(database: Database, clock: HearthClock): House {
  const { HouseSetting, Session } = database.models
  const kept = async (): Promise<string | null> => {
    const row = await HouseSetting.findByPk(SETTING, { raw: true }) as unknown as Row | null
    return row ? String(row.value) : null
  }
  // Asked for with every request: read once, and again only after it changed.
  let known: Promise<string | null> | null = null
  const passphrase = (): Promise<string | null> => (known ??= kept())
  return {
    hasPassphrase: async () => await passphrase() !== null,
    async setPassphrase(text, keep) {
      const value = await hashed(text)
      await HouseSetting.upsert({ name: SETTING, value })
      known = Promise.resolve(value)
      await Session.destroy({ where: keep === null ? {} : { id: { [Op.ne]: keep } } })
    },
    async enter(text, name) {
      const right = await passphrase()
      if (right === null) throw new Refusal('no-passphrase', 'house')
      if (!await matches(text, right)) throw new Refusal('wrong-passphrase', 'house')
      const id = randomBytes(8).toString('hex')
      const secret = `${id}.${randomBytes(24).toString('hex')}`
      await Session.create({ id, secret: digest(secret), name, createdAt: clock.now(), seenAt: clock.now() })
      return secret
    },
    async session(secret) {
      const [id = ''] = secret.split('.')
      const row = await Session.findByPk(id, { raw: true }) as unknown as Row | null
      const now = clock.now()
      if (!row || !same(String(row.secret), digest(secret)) || now - Number(row.seenAt) > SESSION_MS) return null
      if (now - Number(row.seenAt) > SEEN_EVERY_MS) await Session.update({ seenAt: now }, { where: { id } })
      return id
    },
    async sessions(own) {
      const rows = await Session.findAll({ order: [['seenAt', 'DESC']], raw: true }) as unknown as Row[]
      return rows.map(row => ({ id: String(row.id), name: String(row.name), createdAt: Number(row.createdAt), seenAt: Number(row.seenAt), own: row.id === own }))
    },
    async end(id) {
      await Session.destroy({ where: { id } })
    },
  }
}
