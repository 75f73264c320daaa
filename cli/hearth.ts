import { text } from 'node:stream/consumers'
import { z } from 'zod'
import { readFile } from 'node:fs/promises'
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { isMainThread, parentPort, workerData } from 'node:worker_threads'
import { DaySchema } from '../contracts/day'
import { CoreError } from '../core/error'
import { boilcheck, flameplan, forecast, learn, syrup } from './forecasting'
import { FULL, judge, QUICK } from './judge/judge'
import { judgeSlice, type Slice } from './judge/slice'
import { amounts, scale, stages, swap } from './measuring'
import { REFUSALS } from '../words/refusals'

/** A verb of the command line: what it does, and what it prints as JSON. */
interface Verb {
  readonly says: string
  run(args: readonly string[]): Promise<unknown>
}

/** Verbs by name; later ones are added here. */
const VERBS: Readonly<Record<string, Verb>> = {
  forecast: {
    says: 'forecast FILE   forecasts a cook from its plan and what was marked (docs/formats.md)',
    run: async ([file]) => forecast(await readJson(file)),
  },
  boilcheck: {
    says: 'boilcheck FILE  power and losses of a mark from a pan of water brought to the boil',
    run: async ([file]) => boilcheck(await readJson(file)),
  },
  learn: { says: 'learn FILE      what a finished cook teaches', run: async ([file]) => learn(await readJson(file)) },
  syrup: {
    says: 'syrup FILE      strength of a syrup by temperature, weight or time; what it sets to',
    run: async ([file]) => syrup(await readJson(file)),
  },
  flameplan: {
    says: 'flameplan FILE  the flames of a roast, for a colour, a patience and a risk',
    run: async ([file]) => flameplan(await readJson(file)),
  },
  judge: {
    says: 'judge [--quick] [--json]   holds the forecast against imaginary cooks (docs/model.md)',
    run: async args =>
      judge(
        args.includes('--quick') ? QUICK : FULL,
        Math.min(2, availableParallelism()),
        fileURLToPath(import.meta.url),
      ),
  },
  'judge-learning': {
    says: 'judge-learning [HOUSEHOLDS]   lets imaginary households cook a dish seven times and says how good each forecast was (docs/model.md)',
    run: async ([households]) => (await import('./judge/judgeLearning')).judgeLearning(Number(households ?? 100)),
  },
  'judge-faults': {
    says: 'judge-faults [--quick]   hides a cause in imaginary batches and looks for it (docs/model.md)',
    run: async (args) => {
      const { FULL_FAULTS, judgeFaults, QUICK_FAULTS } = await import('./faults/judgeFaults')
      return judgeFaults(args.includes('--quick') ? QUICK_FAULTS : FULL_FAULTS)
    },
  },
  'judge-plans': {
    says: 'judge-plans [--json] [--seconds S] [--no-tries] [FOLDER | --invented DISHES]   plans every day of a folder (test/days), or eight invented ones, and says how good the plans are (docs/planning.md)',
    run: async (args) => {
      const { judgeInvented, judgePlans } = await import('./plans/judgePlans')
      const words = args.filter(arg => arg !== '--json' && arg !== '--no-tries')
      const taken = (flag: string): string | undefined => {
        const at = words.indexOf(flag)
        return at < 0 ? undefined : words.splice(at, 2)[1]
      }
      const seconds = taken('--seconds')
      const invented = taken('--invented')
      if (invented !== undefined) return judgeInvented(Number(invented), 8, Number(seconds ?? 10))
      return judgePlans(words[0] ?? 'test/days', Number(seconds ?? 20), !args.includes('--no-tries'))
    },
  },
  plan: {
    says: 'plan FILE       plans one day: starts, what it costs, its bound, what does not fit',
    run: async ([file]) => {
      const { judgeDay } = await import('./plans/judgePlans')
      return judgeDay(DaySchema.parse(await readJson(file)), 10)
    },
  },
  amounts: {
    says: 'amounts FILE    measures a dish out: amounts, liquid account, what comes of it',
    run: async ([file]) => amounts(await readJson(file)),
  },
  scale: {
    says: 'scale FILE      scales a dish to what is wanted, or to marks the household owns',
    run: async ([file]) => scale(await readJson(file)),
  },
  swap: {
    says: 'swap FILE       swaps an ingredient and keeps the balance; says what cannot be kept',
    run: async ([file]) => swap(await readJson(file)),
  },
  devices: {
    says: 'devices --cook ID [--url U] [--unit oz|none] [--offset G] [--lost SHARE] [--seed N]   stand-ins for scale, probe and camera over an imaginary pan',
    run: async (args) => {
      const { runStandIns, standInsOf } = await import('./devices')
      return runStandIns(standInsOf(flagsOf(args)), line => console.error(line))
    },
  },
  stages: {
    says: 'stages FILE     the stages that follow from a dish and its choices',
    run: async ([file]) => stages(await readJson(file)),
  },
}

/** `--name value` pairs. */
function flagsOf(args: readonly string[]): Record<string, string | undefined> {
  const flags: Record<string, string | undefined> = {}
  for (let i = 0; i + 1 < args.length; i += 2) flags[(args[i] ?? '').replace(/^--/, '')] = args[i + 1]
  return flags
}

async function readJson(file: string | undefined): Promise<unknown> {
  if (file === undefined)
    throw new CoreError('not-understood', 'hearth.file', { wanted: 'a file, or - for standard input' })
  return JSON.parse(file === '-' ? await text(process.stdin) : await readFile(file, 'utf8'))
}

async function main([name, ...args]: readonly string[]): Promise<number> {
  const verb = name === undefined ? undefined : VERBS[name]
  if (verb && args.includes('--help')) {
    console.error(verb.says)
    return 0
  }
  if (!verb) {
    console.error(
      `Yon Hearth, the command line. Verbs:\n${Object.values(VERBS)
        .map(one => `  ${one.says}`)
        .join('\n')}`,
    )
    return name === undefined || name === 'help' || name === '--help' ? 0 : 2
  }
  try {
    process.stdout.write(`${JSON.stringify(await verb.run(args), null, 2)}\n`)
    return 0
  }
  catch (error) {
    console.error(sayRefusal(error))
    return 1
  }
}

/** What happened, in a sentence; nothing is ever changed by the command line. */
function sayRefusal(error: unknown): string {
  if (error instanceof CoreError) return `${REFUSALS[error.code]} (${error.path} ${JSON.stringify(error.limits)})`
  if (error instanceof SyntaxError) return `This is not JSON: ${error.message}. Nothing was changed.`
  if (error instanceof z.ZodError) {
    return `The file does not have the form it should (docs/schemas). Nothing was changed.\n${error.issues
      .slice(0, 20)
      .map(issue => `  ${issue.path.map(String).join('.')}: ${issue.message}`)
      .join('\n')}`
  }
  return `${error instanceof Error ? error.message : String(error)} Nothing was changed.`
}

if (!isMainThread && z.object({ judge: z.literal(true) }).safeParse(workerData).success)
  parentPort?.on('message', (slice: Slice) => parentPort?.postMessage(judgeSlice(slice)))
else process.exitCode = await main(process.argv.slice(2))
