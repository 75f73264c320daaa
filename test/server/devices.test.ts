import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { DEVICE_PROTOCOL, DeviceLineSchema, ReadingsRequestSchema, type Reading } from '../../contracts/device'
import { COLOUR_STEPS, type ColourStep } from '../../core/formulation/signs/signIds'
import type { DeviceKind } from '../../core/cook/readings/reading'
import { seededRandom } from '../../core/maths/random/seededRandom'
import { drawTruth } from '../../devices/imaginaryPan'
import {
  cameraReading,
  probeReading,
  scaleReading,
  SOUND_CAMERA,
  SOUND_PROBE,
  SOUND_SCALE,
  type Flaws,
} from '../../devices/simulated'
import { truthAt } from '../../devices/truthAt'
import { openHearth, type Hearth } from '../../server/services/hearth'
import { examplePlan, marked } from '../support/plans'

const plan = examplePlan({}, 'cook-1')
const START = 1_795_000_000_000
let now = START
let folder: string
let hearth: Hearth
beforeEach(async () => {
  now = START
  folder = await mkdtemp(join(tmpdir(), 'yon-hearth-devices-'))
  hearth = await openHearth(folder, { now: () => now, rate: 1 })
  await hearth.cooks.create(plan)
})
afterEach(async () => {
  await hearth.close()
  await rm(folder, { recursive: true, force: true })
})

const STORY = [
  marked(1, 0, 'cook.started'),
  marked(2, 240, 'stage.began', { stage: 'roast' }),
  marked(3, 640, 'stage.began', { stage: 'pour' }),
  marked(4, 700, 'stage.began', { stage: 'take-up' }),
]
async function begin(upTo = STORY.length, id = plan.id): Promise<void> {
  await hearth.append(id, {
    sentAt: now,
    observations: STORY.slice(0, upTo).map(({ sentAt: _s, receivedAt: _r, ...one }) => ({
      ...one,
      id: `${id}-${one.id}`,
      payload: { ...one.payload },
    })),
  })
  await hearth.settled()
}
const kinds = async (id = plan.id) => (await hearth.streams.read(id, 0)).slice(STORY.length).map(one => one.kind)
let number = 0
const take = (
  kind: DeviceKind,
  readings: readonly Reading[],
  more: { cook?: string, device?: string, sentAt?: number } = {},
) =>
  hearth.devices.take({
    device: more.device ?? `a-${kind}`,
    kind,
    ...(more.cook ? { cook: more.cook } : {}),
    sentAt: more.sentAt ?? now,
    readings: [...readings],
  })
/** A device that reads for some seconds, four times a second, an imaginary pan with hidden truths. */
async function reads(
  kind: DeviceKind,
  fromS: number,
  seconds: number,
  flaws: Partial<Flaws> = {},
  empty = false,
  clockOffMs = 0,
) {
  const uniform = seededRandom(9)
  const truth = truthAt(plan, drawTruth(plan, seededRandom(3)), STORY, fromS + seconds)!
  const tare = plan.vessels.pan!.vessel.massG
  let last: Awaited<ReturnType<typeof take>> | null = null
  for (let k = 0; k < seconds * 4; k++) {
    now = START + (fromS + k / 4) * 1000
    const at = now + clockOffMs
    const reading =
      kind === 'scale'
        ? scaleReading(empty ? 0 : tare + truth.contentG, { ...SOUND_SCALE, ...flaws }, uniform, number++, at)
        : kind === 'thermometer'
          ? probeReading(truth.tempC, { ...SOUND_PROBE, ...flaws }, uniform, number++, at)
          : cameraReading(truth, { ...SOUND_CAMERA, ...flaws }, uniform, number++, at)
    last = await take(kind, [reading], { sentAt: at })
  }
  return { last: last!, truth, grossG: tare + truth.contentG }
}
const weights = async () =>
  (await hearth.streams.read(plan.id, 0))
    .filter(one => one.kind === 'weighed')
    .map(one => one.payload as { grossG: number, how: string })

describe('a scale over an imaginary pan', () => {
  it('marks the weight once for one weighing, to within its noise', async () => {
    await begin()
    await reads('scale', 780, 3, {}, true)
    const { grossG } = await reads('scale', 783, 5)
    await reads('scale', 788, 20)
    const found = await weights()
    expect(found).toHaveLength(1)
    expect(Math.abs(found[0]!.grossG - grossG)).toBeLessThan(6)
  })

  it.each([
    ['in ounces', { unit: 'oz' as const }, 'as-read'],
    ['in ounces without saying so', { unit: null }, 'ounces'],
    ['with a trivet on it', { offset: 46 }, 'offset-taken-off'],
    ['with half of its readings lost', { lost: 0.5 }, 'as-read'],
    ['noisier than it should be', { noise: 1.4 }, 'as-read'],
  ])('is understood %s', async (_, flaws, how) => {
    await begin()
    await reads('scale', 780, 3, flaws, true)
    const { grossG } = await reads('scale', 783, 6, flaws)
    const found = await weights()
    expect(found.map(one => one.how)).toEqual([how])
    expect(Math.abs(found[0]!.grossG - grossG)).toBeLessThan(10)
  })

  it('leaves to a person what fits nothing, and a clock that is minutes off does not matter', async () => {
    await begin()
    await reads('scale', 783, 4, { offset: 5000 })
    expect(await kinds()).toEqual(['reading.unsure'])
    await reads('scale', 860, 3, {}, true, 7 * 60_000)
    await reads('scale', 863, 4, {}, false, 7 * 60_000)
    const stored = (await hearth.streams.read(plan.id, 0)).filter(one => one.kind === 'weighed')
    expect(stored).toHaveLength(1)
    expect(Math.abs(stored[0]!.deviceTime - now)).toBeLessThan(4000)
  })
})

describe('a probe and a camera', () => {
  it('mark a temperature no oftener than once a minute, and a colour only when it is another step', async () => {
    await begin(2)
    const { truth } = await reads('thermometer', 600, 20)
    const temperatures = (await hearth.streams.read(plan.id, 0)).filter(one => one.kind === 'temperature')
    expect(temperatures).toHaveLength(1)
    expect(Math.abs(Number(temperatures[0]!.payload.tempC) - truth.tempC)).toBeLessThan(4)
    await reads('camera', 640, 40, { offset: -18 })
    const looks = (await hearth.streams.read(plan.id, 0))
      .filter(one => one.kind === 'looks.like')
      .map(one => one.payload.step)
    expect(looks.length).toBeGreaterThan(0)
    expect(looks).toEqual(
      [...looks].sort((p, q) => COLOUR_STEPS.indexOf(p as ColourStep) - COLOUR_STEPS.indexOf(q as ColourStep)),
    )
  })
})

describe('where a device stands', () => {
  it('is the only cook on the fire, or where it says, or where it was put', async () => {
    const reading = { number: 1, at: now, value: 5, unit: 'g' as const }
    expect((await take('scale', [reading])).cook).toBeNull()
    await begin()
    expect(await take('scale', [{ ...reading, number: 2 }])).toMatchObject({ cook: 'cook-1', vessel: 'pan', taken: 2 })
    await hearth.cooks.create(examplePlan({}, 'cook-2'))
    await begin(1, 'cook-2')
    expect((await take('scale', [{ ...reading, number: 3 }])).cook).toBeNull()
    await hearth.devices.link('a-scale', 'cook-2', 'pan')
    expect((await take('scale', [{ ...reading, number: 4 }])).cook).toBe('cook-2')
    expect((await take('scale', [{ ...reading, number: 5 }], { cook: 'cook-1' })).cook).toBe('cook-1')
    await hearth.devices.link('a-scale', null, null)
    expect((await take('scale', [{ ...reading, number: 6 }])).cook).toBeNull()
    expect(hearth.devices.heard()[0]).toMatchObject({ device: 'a-scale', kind: 'scale' })
  })

  it('takes the same reading once, and readings in any order', async () => {
    await begin()
    const readings = Array.from({ length: 12 }, (_, i): Reading => ({
      number: 100 + i,
      at: now + i * 250,
      value: 98 + (i % 2),
      unit: 'C',
    }))
    now += 3000
    await take('thermometer', [...readings].reverse())
    await take('thermometer', readings)
    expect(await kinds()).toEqual(['temperature'])
  })
})

describe('a device that restarts its numbers', () => {
  const warm = (from: number, atMs: number): Reading[] =>
    Array.from({ length: 12 }, (_, i) => ({ number: from + i, at: atMs + i * 250, value: 98 + (i % 2), unit: 'C' }))

  it('is heard again, whether its clock has gone on or begun anew, and what is only sent again is not', async () => {
    await begin()
    now += 3000
    await take('thermometer', warm(5000, now - 3000))
    expect(await kinds()).toEqual(['temperature'])
    now += 120_000
    await take('thermometer', warm(5000, now - 123_000))
    expect(await kinds()).toEqual(['temperature'])
    // Switched off and on: it numbers from the beginning, its clock has gone on.
    const again = await take('thermometer', warm(0, now - 3000))
    expect(again.taken).toBe(11)
    expect(await kinds()).toEqual(['temperature', 'temperature'])
    // A device without a clock of its own begins in 1970 as well.
    now += 120_000
    await take('thermometer', warm(0, 3_600_000), { sentAt: 3_603_000 })
    expect(await kinds()).toEqual(['temperature', 'temperature', 'temperature'])
    now += 120_000
    await take('thermometer', warm(0, 3_600_000), { sentAt: 3_723_000 })
    expect(await kinds()).toHaveLength(3)
  })
})

describe('the protocol', () => {
  it('refuses what is not of its form, and no line of any form breaks it', () => {
    const base = {
      protocol: DEVICE_PROTOCOL,
      device: 'x',
      kind: 'scale',
      sentAt: now,
      readings: [{ number: 1, at: now, value: 2 }],
    }
    expect(ReadingsRequestSchema.safeParse(base).success).toBe(true)
    for (const bad of [
      { ...base, kind: 'kettle' },
      { ...base, readings: [] },
      { ...base, protocol: 'x/2' },
      { ...base, more: 1 },
      { ...base, readings: [{ number: -1, at: 1, value: 'x' }] },
    ]) {
      expect(ReadingsRequestSchema.safeParse(bad).success).toBe(false)
    }
    fc.assert(fc.property(fc.jsonValue(), value => typeof DeviceLineSchema.safeParse(value).success === 'boolean'))
  })

  it('answers line by line over a wire: hello first, then what was taken, then what is wrong', async () => {
    process.env.HEARTH_DATA = await mkdtemp(join(tmpdir(), 'yon-hearth-wire-'))
    const { hearDevice } = await import('../../server/http/deviceSocket')
    const { theHearth } = await import('../../server/http/theHearth')
    const said: { type: string, code?: string }[] = []
    const wire = { hello: null, send: (line: unknown) => void said.push(line as { type: string, code?: string }) }
    const readings = JSON.stringify({
      type: 'readings',
      sentAt: now,
      readings: [{ number: 1, at: now, value: 20, unit: 'C' }],
    })
    await hearDevice(
      wire,
      `${readings}\n{"type":\n${JSON.stringify({ type: 'hello', protocol: DEVICE_PROTOCOL, device: 'p', kind: 'thermometer' })}\n\n${readings}`,
    )
    await hearDevice(wire, 'x'.repeat(300_000))
    expect(said.map(one => one.code ?? one.type)).toEqual([
      'body-not-understood',
      'not-json',
      'welcome',
      'taken',
      'body-too-large',
    ])
    const opened = await theHearth()
    await opened.close()
    await rm(process.env.HEARTH_DATA, { recursive: true, force: true })
  })
})
