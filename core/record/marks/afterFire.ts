import { PLACES, type Place } from './place'
import { LEAST_CUT_MM, MOST_CUT_MM, type Cut } from '../../formulation/tray/cut'
import type { DeepTray } from '../../formulation/tray/trayFill'
import type { Marked } from './marked'
import type { Moment } from './moment'

/** What a finished mass was made into. */
export type Shaping =
  | { readonly way: 'tray', readonly tray: DeepTray & { readonly name: string }, readonly cut: Cut }
  | { readonly way: 'balls', readonly eachG: number }
  | { readonly way: 'bowls', readonly bowlMl: number }

/** Where some of it went. */
export const GIVEN_TO = ['eaten', 'given', 'set-apart', 'nut-free', 'thrown'] as const
export type GivenTo = (typeof GIVEN_TO)[number]

/** How it was liked by those who ate it: they would have it less so, it was right, or more so. */
export const LIKINGS = ['less', 'right', 'more'] as const
export type Liking = (typeof LIKINGS)[number]
/** What is asked. */
export const LIKED_FOR = ['sweetness', 'softness', 'richness'] as const
export type LikedFor = (typeof LIKED_FOR)[number]
export type Liked = Readonly<Partial<Record<LikedFor, Liking>>>

/** A changed copy of the dish that was made of this batch's faults. */
export interface DishChange { readonly dish: string, readonly version: number, readonly fault: string, readonly cause: string }

/** What happened to a batch after the fire. */
export interface AfterFire {
  readonly shaped: Marked<Shaping> | null
  /** Where it was put, by time; `inTime` where only the tap came late, and it was in the cold within its hours. */
  readonly places: readonly (Marked<Place> & { readonly inTime?: boolean })[]
  readonly givenOut: readonly Marked<{ readonly massG: number, readonly to: GivenTo }>[]
  /** When nothing was left, s. */
  readonly goneS: number | null
  readonly liked: Liked
  readonly changed: readonly Marked<DishChange>[]
}
export type AfterDraft = { -readonly [K in keyof AfterFire]: AfterFire[K] extends readonly (infer T)[] ? T[] : AfterFire[K] }

/** Nothing has happened yet. */
export const NOTHING_AFTER: AfterFire = { shaped: null, places: [], givenOut: [], goneS: null, liked: {}, changed: [] }

/** Kinds of observations that say what happened after the fire. */
export const AFTER_KINDS = ['shaped', 'put.away', 'given.out', 'gone', 'liked', 'dish.changed'] as const
export type AfterKind = (typeof AFTER_KINDS)[number]

interface AfterMark { readonly after: AfterDraft, readonly id: string, readonly timeS: number, readonly payload: Moment['payload'] }

const number = (value: unknown, least: number, most: number): number | undefined => (typeof value === 'number' && value >= least && value <= most ? value : undefined)
const one = <T extends string>(of: readonly T[], value: unknown): T | undefined => of.find(known => known === value)

/**
 * How each kind changes what happened after the fire: false where the payload is not what this version can use.
 */
export const APPLY_AFTER: Readonly<Record<AfterKind, (mark: AfterMark) => boolean>> = {
  'shaped': ({ after, id, timeS, payload }) => {
    const what = readShaping(payload)
    if (what) after.shaped = { id, timeS, what }
    return what !== undefined
  },
  'put.away': ({ after, id, timeS, payload }) => {
    const what = one(PLACES, payload.place)
    if (what) after.places.push({ id, timeS, what, ...(payload.inTime === true ? { inTime: true } : {}) })
    return what !== undefined
  },
  'given.out': ({ after, id, timeS, payload }) => {
    const [to, massG] = [one(GIVEN_TO, payload.to), number(payload.massG, 0.1, 100_000)]
    if (to === undefined || massG === undefined) return false
    after.givenOut.push({ id, timeS, what: { massG, to } })
    return true
  },
  'gone': ({ after, timeS }) => {
    after.goneS = timeS
    return true
  },
  'liked': ({ after, payload }) => {
    const told = LIKED_FOR.flatMap((of) => {
      const liking = one(LIKINGS, payload[of])
      return liking ? [[of, liking] as const] : []
    })
    after.liked = { ...after.liked, ...Object.fromEntries(told) }
    return told.length > 0
  },
  'dish.changed': ({ after, id, timeS, payload }) => {
    const { dish, version, fault, cause } = payload
    if (typeof dish !== 'string' || typeof version !== 'number' || typeof fault !== 'string' || typeof cause !== 'string') return false
    after.changed.push({ id, timeS, what: { dish, version, fault, cause } })
    return true
  },
}

function readShaping(payload: Moment['payload']): Shaping | undefined {
  const eachG = number(payload.eachG, 3, 500)
  if (payload.way === 'balls') return eachG === undefined ? undefined : { way: 'balls', eachG }
  const bowlMl = number(payload.bowlMl, 20, 5000)
  if (payload.way === 'bowls') return bowlMl === undefined ? undefined : { way: 'bowls', bowlMl }
  const [tray, cut] = [readTray(payload.tray), readCut(payload.cut)]
  return payload.way === 'tray' && tray && cut ? { way: 'tray', tray, cut } : undefined
}

function readTray(value: unknown): (DeepTray & { readonly name: string }) | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  const given = value as Record<string, unknown>
  const [widthMm, lengthMm, depthMm] = [number(given.widthMm, 50, 1000), number(given.lengthMm, 50, 1000), number(given.depthMm, 5, 200)]
  const shape = one(['round', 'rectangle'], given.shape)
  if (!shape || widthMm === undefined || lengthMm === undefined || depthMm === undefined) return undefined
  return { name: typeof given.name === 'string' ? given.name.slice(0, 60) : '', shape, widthMm, lengthMm, depthMm }
}

function readCut(value: unknown): Cut | undefined {
  if (typeof value !== 'object' || value === null) return undefined
  const given = value as Record<string, unknown>
  const [firstMm, secondMm] = [number(given.firstMm, LEAST_CUT_MM, MOST_CUT_MM), number(given.secondMm, LEAST_CUT_MM, MOST_CUT_MM)]
  const [turnDeg, slantDeg] = [number(given.turnDeg, -90, 90), number(given.slantDeg, 20, 160)]
  return firstMm === undefined || secondMm === undefined || turnDeg === undefined || slantDeg === undefined ? undefined : { firstMm, secondMm, turnDeg, slantDeg }
}
