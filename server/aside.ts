// Works beside the process that serves, over the file of its database: jobs asked and answered by messages (forked), an
// export
// written to standard output, or a file taken in from standard input and answered there.
import { constants, setPriority } from 'node:os'
import { z } from 'zod'
import { AsideJobSchema } from '../contracts/aside'
import { IntakeWishSchema } from '../contracts/backup'
import { writeExport } from './services/exports'
import { takeFile } from './services/intake'
import { doJob } from './services/jobs'
import { Refusal } from './services/refusal'

z.config({ jitless: true })
// Whoever taps comes first; a system that knows no priorities is as good.
try {
  setPriority(constants.priority.PRIORITY_LOW)
}
catch {
  // Then as it is.
}
// Nothing outlives the server it works for: what it has not finished is not done behind the back of the next one.
process.on('disconnect', () => process.exit(1))
process.channel?.unref()
const [, , file = '', way, wish = ''] = process.argv

async function replied(what: () => Promise<unknown>): Promise<object> {
  try {
    return { answer: await what() }
  }
  catch (error) {
    return error instanceof Refusal
      ? { refused: { code: error.code, about: error.about } }
      : { failed: error instanceof Error ? (error.stack ?? error.message) : String(error) }
  }
}

// Who wanted it may have gone: then it is not written on, and there is nothing to say.
if (way === 'out') await writeExport(file, wish, process.stdout).catch(() => process.exit(1))
else if (way === 'into') {
  process.stdout.write(
    JSON.stringify(await replied(() => takeFile(file, IntakeWishSchema.parse(JSON.parse(wish)), process.stdin))),
    () => process.exit(0),
  )
}
else {
  process.channel?.ref()
  process.on('message', (job: unknown) => void replied(() => doJob(file, AsideJobSchema.parse(job)))
    // Who asked may be gone: then nobody waits for it.
    .then(reply => process.send?.(reply, undefined, undefined, () => undefined)))
}
