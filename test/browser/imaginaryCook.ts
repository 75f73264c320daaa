import { expect, type Page } from '@playwright/test'
import type { MemberValues } from '../../core/process/belief/memberValues'
import { doneIndex } from '../../core/formulation/dish/doneIndex'
import { boundaryIndex } from '../../core/formulation/dish/boundaryIndex'
import { mainLine } from '../../core/formulation/dish/mainLine'
import { COLOUR_STEPS, type ColourStep, type SignId } from '../../core/formulation/signs/signIds'
import type { Observation } from '../../core/record/marks/observation'
import type { CookPlan } from '../../core/record/plan/plan'
import { replay } from '../../core/record/replay/replay'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { drawTruth, runImaginary, signAt } from '../../devices/imaginaryPan'
import { get } from './cookAlong'

/** What the screen shows at one look. */
interface Look {
  readonly stage: string
  readonly now: number
  readonly forecastS: number
  readonly cue: string
  readonly end: string
  readonly actions: readonly string[]
  readonly finished: boolean
}

/** A window of the screen, s since the start. */
type Shown = readonly [number, number]

/** How an imaginary cook went. */
export interface Cooked {
  readonly done: readonly string[]
  /**
   * The end's window by the first forecast after the turning point, and by the first one in the last stage before it,
   * s.
   */
  readonly atTurn: Shown | null
  readonly atLast: Shown | null
  /** When the pan left the fire, s. */
  readonly endS: number
  readonly observations: readonly Observation[]
  readonly plan: CookPlan
}

/**
 * Something done once, when a stage is reached, and a certain action is offered where one is named: a mistake, a
 * repair.
 */
export interface Episode {
  readonly stage: string
  readonly offered?: string
  act(page: Page, look: Look): Promise<void>
}

/** Where and how it is cooked: `moveOn` moves both clocks on, real ms at the clock's rate. */
export interface Kitchen { readonly page: Page, readonly rate: number, moveOn(ms: number): Promise<void> }

/** A hand goes on when the screen says so. */
const GOES_ON = new Set(['burnt', 'take-out', 'pour-now', 'next', 'enrich-soon', 'off-now', 'rested', 'pour-stop'])
/**
 * The hand looks at the screen this often, s of the cook: nothing is marked earlier than it shows, or later than this.
 */
export const LOOKS_EVERY_S = 45
/** A cook that takes longer than this has got stuck somewhere, real ms. */
const MOST_MS = 240_000

/**
 * Cooks a whole dish over an imaginary pan with hidden truths: whatever is done is done because the screen offers it,
 * and a sign is marked when the pan shows it. The clock stands while the hand looks and the forecast is worked out:
 * what is worked out in a second of a kitchen would come minutes late in a cook that runs hundreds of times faster.
 *
 * @param kitchen page on the fire screen before the fire is lit, and what moves the clock
 * @param seed of the hidden truths
 * @param episodes what is done beside, each once
 * @returns how it went
 */
export async function cookImaginary(
  { page, rate, moveOn }: Kitchen,
  seed: number,
  episodes: readonly Episode[] = [],
): Promise<Cooked> {
  const id = page.url().split('/').pop()!
  await expect(page.locator('[data-action="start"]')).toBeVisible()
  await expect.poll(async () => (await get(page, `/api/cooks/${id}`)).status()).toBe(200)
  const { plan } = (await (await get(page, `/api/cooks/${id}`)).json()) as { plan: CookPlan }
  const truth = drawTruth(plan, seededRandom(seed))
  const line = mainLine(plan.dish)
  const [turn, end] = [boundaryIndex(plan.dish, plan.dish.keystone), doneIndex(plan.dish)]
  const done: string[] = []
  const open = [...episodes]
  let [atTurn, atLast]: [Shown | null, Shown | null] = [null, null]
  const until = Date.now() + MOST_MS
  let look = await lookAt(page)
  for (; Date.now() < until; look = await lookAt(page)) {
    const observations = await stored(page, id)
    if (look.finished && observations.some(one => one.kind === 'cook.finished')) {
      return {
        done,
        endS: replay(plan, observations).stageStarts[end] ?? Number.NaN,
        atTurn,
        atLast,
        observations,
        plan,
      }
    }
    const at = line.findIndex(stage => stage.id === look.stage)
    if (look.end && at >= turn && at < end && replay(plan, observations).stage === at) {
      const window = look.end.split('-').map(Number) as [number, number]
      atTurn ??= window
      if (at === end - 1) atLast ??= window
    }
    const episode = open.findIndex(
      one => one.stage === look.stage && (one.offered === undefined || look.actions.includes(one.offered)),
    )
    if (episode >= 0) {
      await open.splice(episode, 1)[0]!.act(page, look)
      await thoughtOver(page)
      continue
    }
    const step = choose(look, plan, truth, observations)
    if (step === null) {
      await moveOn((LOOKS_EVERY_S * 1000) / rate)
      await expect
        .poll(async () => (await lookAt(page)).now, { intervals: [10] })
        .toBeGreaterThanOrEqual(look.now + LOOKS_EVERY_S - 1)
      continue
    }
    if (!(await tap(page, look.actions[step.place] ?? ''))) continue
    done.push(look.actions[step.place] ?? '')
    if (step.colour !== null) await page.keyboard.press(String(step.colour + 1))
    await waitForChange(page, look)
    await thoughtOver(page)
  }
  throw new Error(`The cook did not end: ${done.join(', ')}; it stood at ${JSON.stringify(look)}`)
}

/** Waits until a whole forecast knows of this moment, and what was marked is kept. */
async function thoughtOver(page: Page): Promise<void> {
  await expect.poll(async () => {
    const { forecastS, now, finished } = await lookAt(page)
    return finished || forecastS >= now - 1
  }, { intervals: [10] }).toBe(true)
  await expect(page.getByText('kept on the hearth')).toBeVisible()
}

async function lookAt(page: Page): Promise<Look> {
  return page.evaluate(() => {
    const main = document.querySelector<HTMLElement>('main#main')!
    return {
      stage: main.dataset.stage ?? '',
      now: Number(main.dataset.now),
      forecastS: Number(main.dataset.forecast),
      cue: main.dataset.cue ?? '',
      end: main.dataset.end ?? '',
      actions: [...document.querySelectorAll<HTMLElement>('[data-action]')].map(one => one.dataset.action ?? ''),
      finished: main.dataset.cue === 'finished',
    }
  })
}

/**
 * Taps an action if it is still offered. At this speed another may have come into its place since it was looked at.
 *
 * @param page on the fire screen
 * @param code of the action
 * @returns false where it is gone
 */
export async function tap(page: Page, code: string): Promise<boolean> {
  return page.evaluate((wanted) => {
    const button = [...document.querySelectorAll<HTMLButtonElement>('[data-action]')].find(
      one => one.dataset.action === wanted && !one.disabled,
    )
    button?.click()
    return button !== undefined
  }, code)
}

async function waitForChange(page: Page, before: Look): Promise<void> {
  for (let i = 0; i < 12; i++) {
    const now = await lookAt(page)
    if (now.stage !== before.stage || now.cue !== before.cue || now.actions.join() !== before.actions.join()) return
    await page.waitForTimeout(15)
  }
}

async function stored(page: Page, id: string): Promise<Observation[]> {
  return ((await (await get(page, `/api/streams/${id}/observations`)).json()) as { observations: Observation[] })
    .observations
}

interface Step { readonly place: number, readonly colour: number | null }

/** What a hand at the stove does at this look: the first offered action that is true of the pan. */
function choose(look: Look, plan: CookPlan, truth: MemberValues, observations: readonly Observation[]): Step | null {
  const record = runImaginary(plan, truth, observations, look.now)
  const shown = (sign: SignId): boolean => signAt(record, sign) <= look.now
  for (const [place, code] of look.actions.entries()) {
    const [kind, id = ''] = code.split('.')
    if (kind === 'start' || kind === 'light' || kind === 'turn') return { place, colour: null }
    if (kind === 'sign' && shown(id as SignId)) return { place, colour: null }
    if (kind === 'uptake' && id === 'quickly' && !observations.some(one => one.kind === 'uptake.seen'))
      return { place, colour: null }
    if (kind === 'ready' && shown(readySign(plan, id))) return { place, colour: null }
    if (kind === 'looks') {
      const step = wanted(plan, look.stage)
      const seen = [...COLOUR_STEPS].reverse().find(one => shown(one))
      if (step && seen && COLOUR_STEPS.indexOf(seen) >= COLOUR_STEPS.indexOf(step))
        return { place, colour: COLOUR_STEPS.indexOf(seen) }
    }
    if (kind === 'asked')
      return stageOver(plan, look, shown)
        ? { place, colour: null }
        : { place: look.actions.indexOf('asked-not'), colour: null }
    if ((kind === 'begin' || kind === 'finish') && goesOn(plan, look, shown)) return { place, colour: null }
  }
  return null
}

function wanted(plan: CookPlan, stage: string): ColourStep | null {
  const until = mainLine(plan.dish).find(one => one.id === stage)?.until
  return until && 'sign' in until ? COLOUR_STEPS.find(step => step === until.sign) ?? null : null
}

function readySign(plan: CookPlan, stage: string): SignId {
  const until = plan.dish.stages.find(one => one.id === stage)?.until
  return (until && 'sign' in until ? until.sign : 'boil') as SignId
}

function stageOver(plan: CookPlan, look: Look, shown: (sign: SignId) => boolean): boolean {
  const until = mainLine(plan.dish).find(one => one.id === look.stage)?.until
  return !until || 'minutes' in until || shown(until.sign as SignId)
}

/** The screen says to go on, or a pour has had its time. */
function goesOn(plan: CookPlan, look: Look, shown: (sign: SignId) => boolean): boolean {
  if (GOES_ON.has(look.cue)) return true
  if (look.cue === 'late') return stageOver(plan, look, shown)
  const stage = mainLine(plan.dish).find(one => one.id === look.stage)
  if (stage?.does === 'pour')
    return 'minutes' in stage.until
      ? look.cue !== 'pouring' || !(stage.watch ?? []).includes('in-parts')
      : shown(stage.until.sign as SignId)
  return look.cue === 'enrich' && stageOver(plan, look, shown)
}

/** The clock is so many times faster, and waits for hand and forecast. */
export const RATE = 600

/** Takes a dish from Measure to the fire. */
export async function atTheFire(page: Page, dish: string): Promise<void> {
  await page.goto(`/measure?dish=${dish}`)
  await page.getByRole('button', { name: 'Take it to the fire' }).click()
  await page.waitForURL(/\/fire\//)
}
