import { LooseAppendSchema, type AppendAnswer } from '../../../../contracts/observation'
import { HttpProblem } from '../../../http/problem'
import { pathId, readJson, route } from '../../../http/route'
import { sortedMarks } from '../../../http/sortedMarks'

/** Appends to a stream; the answer comes once it is on disk, and says what can never be. */
export default route(async (hearth, event): Promise<AppendAnswer> => {
  const stream = pathId(event)
  const { sentAt, observations } = await readJson(event, LooseAppendSchema)
  const { good, refused } = sortedMarks(observations)
  if (good.length === 0)
    throw new HttpProblem(
      'body-not-understood',
      refused.slice(0, 30).map((one, i) => ({ path: `observations.${i}.${one.path}`, message: one.message })),
    )
  return { acknowledged: await hearth.append(stream, { sentAt, observations: [...good] }), refused: [...refused] }
})
