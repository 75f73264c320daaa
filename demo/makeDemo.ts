import { STARTER_DISHES } from '../book/dishes'
import { INGREDIENTS } from '../book/ingredients'
import type { Evidence } from '../core/materials/belief/reading'
import { stageDish } from '../core/formulation/stages/stageDish'
import { editedDish } from '../core/cook/faults/dishEdit'
import { openHearth, type Hearth } from '../server/services/hearth'
import { stock } from '../server/services/stock'
import { cookBatch } from './cookBatch'
import { boilOnce } from './boilOnce'
import { lampEvening } from './lampEvening'
import { cookOtherBatch, OTHER_BATCHES } from './otherBatch'
import { DEMO_BATCHES, DEMO_KITCHEN, demoStore, EATEN_UP } from './house'

const DAY_MS = 86_400_000
/** From this minute of a day on its evening is late. */
const LATE_MIN = 20 * 60
/** The house did its boil check so long ago. */
const BOILED_DAYS_AGO = 29

/**
 * Makes the demo house in a folder: its kitchen, its dish, and past batches cooked by the real model against hidden
 * truths, each planned with what the ones before it had taught.
 *
 * @param folder where the database is to lie
 * @param todayMs any moment of today, ms since 1970; the batches lie before it
 */
export async function makeDemo(folder: string, todayMs: number): Promise<void> {
  let nowMs = todayMs - 365 * DAY_MS
  const hearth = await openHearth(folder, { now: () => nowMs, rate: 1 })
  for (const measure of DEMO_KITCHEN.measures) await hearth.kitchens.put('measures', measure)
  for (const pan of DEMO_KITCHEN.pans) await hearth.kitchens.put('pans', pan)
  for (const fire of DEMO_KITCHEN.fires) await hearth.kitchens.put('fires', fire)
  for (const tray of DEMO_KITCHEN.trays) await hearth.kitchens.put('trays', tray)
  for (const correction of DEMO_KITCHEN.corrections) await hearth.kitchens.put('corrections', correction)
  for (const settings of DEMO_KITCHEN.settings) await hearth.kitchens.put('settings', settings)
  for (const item of demoStore(Math.floor(todayMs / DAY_MS))) await hearth.kitchens.put('store', item)
  await stock(hearth)
  const dish = stageDish(await hearth.dishes.one(STARTER_DISHES[0]!.id))
  const midnight = Math.floor(todayMs / DAY_MS) * DAY_MS
  const at = (batch: { readonly daysAgo: number, readonly hour: number }, i: number): number =>
    Number.isInteger(batch.daysAgo)
      ? midnight - batch.daysAgo * DAY_MS + batch.hour * 3_600_000 + i * 7 * 60_000
      : todayMs - batch.daysAgo * DAY_MS
  const days = [
    ...DEMO_BATCHES.map((batch, i) => ({
      startedAt: at(batch, i),
      after: batch.after ?? EATEN_UP,
      cook: (evidence: readonly Evidence[], startedAt: number) => cookBatch(dish, batch, evidence, startedAt, 401 + i),
    })),
    ...OTHER_BATCHES.map((batch, i) => ({
      startedAt: at(batch, i),
      after: batch.after ?? EATEN_UP,
      cook: async (evidence: readonly Evidence[], startedAt: number) =>
        cookOtherBatch(stageDish(await hearth.dishes.one(batch.dish)), batch, evidence, startedAt, 701 + i),
    })),
  ].sort((p, q) => p.startedAt - q.startedAt)
  let boiled = false
  const boilAt = midnight - BOILED_DAYS_AGO * DAY_MS + 10 * 3_600_000
  for (const { startedAt, cook, after } of days) {
    if (startedAt > boilAt && !boiled) {
      boiled = true
      nowMs = boilAt
      await hearth.lessons.put(boilOnce(boilAt))
    }
    const cooked = await cook((await hearth.lessons.learned()).evidence, startedAt)
    nowMs = startedAt
    await hearth.cooks.create(cooked.plan)
    for (const observation of cooked.observations) {
      nowMs = observation.deviceTime + 300
      await hearth.append(cooked.plan.id, { sentAt: observation.deviceTime, observations: [observation] })
    }
    await hearth.settled()
    const endedAt = cooked.observations.at(-1)!.deviceTime
    for (const [i, [hours, kind, payload]] of after.entries()) {
      nowMs = Math.round(endedAt + hours * 3_600_000)
      if (nowMs > todayMs) continue
      if (kind === 'dish.changed') await changeDish(hearth, String(payload.dish))
      await hearth.append(cooked.plan.id, {
        sentAt: nowMs,
        observations: [
          {
            id: `${cooked.plan.id}-after-${i}`,
            device: 'kitchen-tablet',
            number: 900 + i,
            deviceTime: nowMs,
            kind,
            payload,
          },
        ],
      })
    }
    await hearth.settled()
  }
  nowMs = todayMs
  // Late in the evening its soaking would begin in minutes: the day is then a day later, so that it is seen before it
  // is on.
  const sooner = minuteOfDay(todayMs) < LATE_MIN
  const eve = localDate(sooner ? todayMs : todayMs + DAY_MS)
  await hearth.spreads.put(
    lampEvening(
      DEMO_KITCHEN,
      (await hearth.lessons.learned()).evidence,
      eve,
      minuteOfDay(todayMs) - (sooner ? 0 : 1440),
    ),
  )
  await hearth.close()
}

/** Minute of the day of a moment where the hearth stands. */
function minuteOfDay(ms: number): number {
  const day = new Date(ms)
  return day.getHours() * 60 + day.getMinutes()
}

/** Calendar date of a moment where the hearth stands, ISO 8601. */
function localDate(ms: number): string {
  const day = new Date(ms)
  return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`
}

/** The changed copy that the house made of a dish: it stands longer after the turn. */
async function changeDish(hearth: Hearth, id: string): Promise<void> {
  const card = await hearth.dishes.one(id)
  const next = editedDish(
    card,
    { kind: 'minutes', stages: ['milk', 'sweeten', 'enrich'], times: 1.2 },
    ingredient => INGREDIENTS.find(row => row.id === ingredient)!,
    '20 % more usual minutes after the turn',
  )
  if (next) await hearth.dishes.add(next)
}

const folder = process.argv[2]
if (folder !== undefined && process.argv[1]?.endsWith('makeDemo.ts')) {
  await makeDemo(folder, Date.now()).catch((error: unknown) => {
    console.error(error instanceof Error ? error.message : String(error))
    process.exit(1)
  })
}
