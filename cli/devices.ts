import { isOneOf } from '../core/records'
import WebSocket from 'ws'
import { z } from 'zod'
import { ClockSchema } from '../contracts/clock'
import { CookSchema, type Cook } from '../contracts/cook'
import { DEVICE_PROTOCOL, type Reading, type ReadingsRequest } from '../contracts/device'
import type { DeviceKind, ReadingUnit } from '../core/cook/readings/reading'
import { replay } from '../core/record/replay/replay'
import { mainVessel } from '../core/formulation/dish/mainVessel'
import { seededRandom } from '../core/maths/random/seededRandom'
import { drawTruth } from '../devices/imaginaryPan'
import {
  cameraReading,
  probeReading,
  scaleReading,
  SOUND_CAMERA,
  SOUND_PROBE,
  SOUND_SCALE,
  type Flaws,
} from '../devices/simulated'
import { truthAt } from '../devices/truthAt'

/** What the stand-ins are asked to do. */
export interface StandIns {
  readonly url: string
  readonly cook: string
  readonly seed: number
  readonly scale: Partial<Flaws>
  /** Real seconds after which they stop; they stop by themselves when the cook is finished. */
  readonly forS: number
  /** How often each reads, real ms. */
  readonly everyMs: number
}

/** On a scale the pan is set down for four readings of twelve and lifted off again. */
const TURN = 12
const ON_FROM = 5
const ON_TO = 11

/**
 * Runs a scale, a probe and a camera over an imaginary pan with hidden truths: the scale and the probe speak lines over
 * the WebSocket, the camera posts.
 *
 * @param wish which cook, and how the scale falls short
 * @param say told what was marked
 * @returns how many readings were sent, and the kinds of marks that came of them
 */
export async function runStandIns(
  wish: StandIns,
  say: (line: string) => void,
): Promise<{ readonly sent: number, readonly marked: Readonly<Record<string, number>> }> {
  const get = async <S extends z.ZodType>(path: string, schema: S): Promise<z.infer<S>> =>
    schema.parse(await (await fetch(`${wish.url}/api${path}`)).json())
  const uniform = seededRandom(wish.seed)
  let cook: Cook = await get(`/cooks/${wish.cook}`, CookSchema)
  const truth = drawTruth(cook.plan, uniform)
  const marked: Record<string, number> = {}
  const count = (kinds: readonly string[]): void => {
    for (const kind of kinds) {
      marked[kind] = (marked[kind] ?? 0) + 1
      say(`marked: ${kind}`)
    }
  }
  const wires = { scale: await wire(wish, 'scale', count), thermometer: await wire(wish, 'thermometer', count) }
  const tareG = cook.plan.vessels[mainVessel(cook.plan.dish)]?.vessel.massG ?? 0
  const until = Date.now() + wish.forS * 1000
  let sent = 0
  for (let turn = 0; Date.now() < until; turn++) {
    const { now } = await get('/clock', ClockSchema)
    if (turn % 4 === 0) cook = await get(`/cooks/${wish.cook}`, CookSchema)
    const state = replay(cook.plan, cook.observations)
    if (state.finishedS !== null) break
    const here =
      state.startedMs === null ? null : truthAt(cook.plan, truth, cook.observations, (now - state.startedMs) / 1000)
    if (here) {
      const onIt = turn % TURN >= ON_FROM && turn % TURN < ON_TO ? tareG + here.contentG : 0
      wires.scale([scaleReading(onIt, { ...SOUND_SCALE, ...wish.scale }, uniform, turn, now)], now)
      wires.thermometer([probeReading(here.tempC, SOUND_PROBE, uniform, turn, now)], now)
      count(await post(wish, cameraReading(here, SOUND_CAMERA, uniform, turn, now), now))
      sent += 3
    }
    await new Promise(done => setTimeout(done, wish.everyMs))
  }
  wires.scale(null, 0)
  wires.thermometer(null, 0)
  return { sent, marked }
}

const AnswerSchema = z.looseObject({ type: z.string().optional(), marked: z.array(z.string()).optional() })

/** A device on the WebSocket; it is sent readings, or null to close. */
async function wire(
  wish: StandIns,
  kind: DeviceKind,
  marked: (kinds: readonly string[]) => void,
): Promise<(readings: readonly Reading[] | null, sentAt: number) => void> {
  const socket = new WebSocket(`${wish.url.replace(/^http/, 'ws')}/api/devices/socket`)
  await new Promise<void>((open, fail) => {
    socket.once('open', open)
    socket.once('error', fail)
  })
  socket.on('message', (data: Buffer) => marked(AnswerSchema.parse(JSON.parse(data.toString('utf8'))).marked ?? []))
  socket.send(
    JSON.stringify({
      type: 'hello',
      protocol: DEVICE_PROTOCOL,
      device: `stand-in-${kind}`,
      kind,
      name: `stand-in ${kind}`,
      cook: wish.cook,
    }),
  )
  return (readings, sentAt) => {
    if (readings === null) socket.close()
    else if (socket.readyState === WebSocket.OPEN) socket.send(JSON.stringify({ type: 'readings', sentAt, readings }))
  }
}

async function post(wish: StandIns, reading: Reading, sentAt: number): Promise<readonly string[]> {
  const body: ReadingsRequest = {
    protocol: DEVICE_PROTOCOL,
    device: 'stand-in-camera',
    kind: 'camera',
    cook: wish.cook,
    sentAt,
    readings: [reading],
  }
  const answer = await fetch(`${wish.url}/api/devices/readings`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  return answer.ok ? AnswerSchema.parse(await answer.json()).marked ?? [] : []
}

const UNITS = ['g', 'kg', 'oz', 'lb'] as const satisfies readonly ReadingUnit[]

/**
 * Reads the flags of the command.
 *
 * @param flags `--cook`, `--url`, `--seed`, `--unit`, `--offset`, `--lost`, `--seconds`, `--every`
 * @returns what to do
 * @throws Error with a sentence where a flag makes no sense
 */
export function standInsOf(flags: Readonly<Record<string, string | undefined>>): StandIns {
  const { cook, unit } = flags
  if (!cook)
    throw new Error('Which cook? Give --cook and the id from the address of its fire screen. Nothing was sent.')
  if (unit !== undefined && unit !== 'none' && !isOneOf(UNITS, unit))
    throw new Error(`--unit is ${unit}; it can be ${UNITS.join(', ')} or none. Nothing was sent.`)
  const number = (name: string, usual: number): number => {
    const value = flags[name] === undefined ? usual : Number(flags[name])
    if (!Number.isFinite(value)) throw new Error(`--${name} is ${flags[name]}, which is no number. Nothing was sent.`)
    return value
  }
  return {
    url: (flags.url ?? 'http://127.0.0.1:3000').replace(/\/$/, ''),
    cook,
    seed: number('seed', 7),
    forS: number('seconds', 3600),
    everyMs: number('every', 500),
    scale: {
      ...(unit === undefined ? {} : { unit: unit === 'none' ? null : unit }),
      offset: number('offset', 0),
      lost: number('lost', SOUND_SCALE.lost),
    },
  }
}
