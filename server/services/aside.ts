import { fork, spawn, type ChildProcess } from 'node:child_process'
import type { Readable, Writable } from 'node:stream'
import { ASIDE_ANSWERS, type AsideAnswers, type AsideJob } from '../../contracts/aside'
import type { ExportWish, IntakeWish } from '../../contracts/backup'
import { exportStream } from './exports'
import { takeFile } from './intake'
import { doJob } from './jobs'
import { Refusal } from './refusal'

/** Where work is done that would hold up the process that serves. */
export interface Aside {
  /** Works a job out; those of one kind one after the other. */
  ask<K extends AsideJob['kind']>(
    job: Extract<AsideJob, { readonly kind: K }>,
    budgetMs: number,
  ): Promise<AsideAnswers[K]>
  /** Writes an export; who no longer wants it destroys the stream. */
  out(wish: ExportWish): Readable
  /** Takes a file in, and answers with what came of it. */
  into(wish: IntakeWish, file: Readable): Promise<unknown>
  end(): void
}

/** A job took longer than it may, or what worked on it ended. */
export class AsideFailed extends Error {
  constructor(readonly why: 'too-long' | 'ended' | 'failed', said = '') {
    super(`${why}${said ? `: ${said}` : ''}`)
    this.name = 'AsideFailed'
  }
}

/**
 * The same work in this very process: for the command line and for tests.
 *
 * @param file the database
 * @returns where it is done
 */
export function inlineAside(file: string): Aside {
  return {
    ask: async <K extends AsideJob['kind']>(job: Extract<AsideJob, { readonly kind: K }>) =>
      (await doJob(file, job)) as AsideAnswers[K],
    out: wish => exportStream(file, wish),
    into: (wish, given) => takeFile(file, wish, given),
    end: () => undefined,
  }
}

/** A process that had nothing to do for so long ends, ms. */
const IDLE_MS = 60_000

interface Waiting {
  readonly job: AsideJob
  readonly budgetMs: number
  readonly done: (answer: unknown) => void
  readonly fail: (error: Error) => void
}
type Reply =
  | { readonly answer: unknown }
  | { readonly refused: { readonly code: Refusal['code'], readonly about: string } }
  | { readonly failed: string }

/**
 * Work in processes of their own, one for each kind of job, started when there is something to do. A job that takes
 * longer than its budget ends with its process; the database is only read there, so nothing is lost by it.
 *
 * @param program the built program that works jobs out
 * @param file the database
 * @returns where it is done
 */
export function processAside(program: string, file: string): Aside {
  const lanes = new Map<AsideJob['kind'], Lane>()
  const children = new Set<ChildProcess>()
  let ended = false
  return {
    async ask<K extends AsideJob['kind']>(job: Extract<AsideJob, { readonly kind: K }>, budgetMs: number) {
      if (ended) throw new AsideFailed('ended')
      const lane = lanes.get(job.kind) ?? new Lane(program, file)
      lanes.set(job.kind, lane)
      return ASIDE_ANSWERS[job.kind].parse(await lane.ask(job, budgetMs)) as AsideAnswers[K]
    },
    out(wish) {
      const child = beside([program, file, 'out', JSON.stringify(wish)])
      child.stdin.end()
      children.add(child)
      // An end that is none cuts the connection: half a file must not pass for a whole one.
      child.on('exit', (code) => {
        children.delete(child)
        if (code !== 0) child.stdout.destroy(new AsideFailed('ended'))
      })
      child.on('error', error => child.stdout.destroy(error))
      child.stdout.on('close', () => child.kill('SIGKILL'))
      return child.stdout
    },
    async into(wish, given) {
      const child = beside([program, file, 'into', JSON.stringify(wish)])
      children.add(child)
      const said = new Promise<string>((done, fail) => {
        let text = ''
        child.stdout.setEncoding('utf8').on('data', (part: string) => {
          text += part
        })
        child.on('close', () => {
          children.delete(child)
          done(text)
        }).on('error', fail)
      })
      // What it has seen enough of it no longer reads: that is no failure, it has said why.
      given.pipe(child.stdin)
      child.stdin.on('error', () => undefined)
      const cut = (): void => void child.kill('SIGKILL')
      given.on('aborted', cut).on('error', cut)
      try {
        return answerIn(await said)
      }
      finally {
        given.off('aborted', cut).off('error', cut).unpipe(child.stdin)
      }
    },
    end() {
      ended = true
      for (const lane of lanes.values()) lane.end()
      for (const child of children) child.kill('SIGKILL')
    },
  }
}

/** A process with its standard streams, and with a channel: by its end it knows that the server has gone. */
function beside(args: readonly string[]): ChildProcess & { readonly stdin: Writable, readonly stdout: Readable } {
  const child = spawn(process.execPath, args, { stdio: ['pipe', 'pipe', 'inherit', 'ipc'] })
  const { stdin, stdout } = child
  if (!stdin || !stdout) throw new AsideFailed('failed', 'no streams')
  return Object.assign(child, { stdin, stdout })
}

function answerIn(text: string): unknown {
  if (text === '') throw new AsideFailed('ended')
  const reply: Reply = JSON.parse(text)
  if ('answer' in reply) return reply.answer
  throw 'refused' in reply
    ? new Refusal(reply.refused.code, reply.refused.about)
    : new AsideFailed('failed', reply.failed)
}

/** One process and what waits for it. */
class Lane {
  private child: ChildProcess | null = null
  private waiting: Waiting[] = []
  private running: Waiting | null = null
  private timer: ReturnType<typeof setTimeout> | null = null

  constructor(private readonly program: string, private readonly file: string) {}

  ask(job: AsideJob, budgetMs: number): Promise<unknown> {
    return new Promise((done, fail) => {
      this.waiting.push({ job, budgetMs, done, fail })
      this.next()
    })
  }

  end(): void {
    for (const one of this.waiting.splice(0)) one.fail(new AsideFailed('ended'))
    this.drop(new AsideFailed('ended'))
  }

  private next(): void {
    if (this.running) return
    const one = this.waiting.shift()
    if (this.timer) clearTimeout(this.timer)
    if (!one) {
      this.timer = setTimeout(() => this.drop(null), IDLE_MS)
      this.timer.unref()
      return
    }
    this.running = one
    this.child ??= this.started()
    this.timer = setTimeout(() => this.drop(new AsideFailed('too-long')), one.budgetMs)
    this.child.send(one.job)
  }

  private started(): ChildProcess {
    const child = fork(this.program, [this.file], { stdio: ['ignore', 'ignore', 'inherit', 'ipc'], execArgv: [] })
    child.on('message', (reply: Reply) => {
      const one = this.running
      this.running = null
      if ('answer' in reply) one?.done(reply.answer)
      else
        one?.fail(
          'refused' in reply
            ? new Refusal(reply.refused.code, reply.refused.about)
            : new AsideFailed('failed', reply.failed),
        )
      this.next()
    })
    child.on('exit', () => {
      if (this.child === child) this.drop(new AsideFailed('ended'))
    })
    child.on('error', () => undefined)
    return child
  }

  /** Lets the process go, with what it worked on; what waits goes to the next one. */
  private drop(error: Error | null): void {
    const [child, one] = [this.child, this.running]
    this.child = null
    this.running = null
    if (this.timer) clearTimeout(this.timer)
    this.timer = null
    child?.removeAllListeners('message')
    child?.kill('SIGKILL')
    if (one) one.fail(error ?? new AsideFailed('ended'))
    if (one && this.waiting.length > 0) this.next()
  }
}
