import { LessonSchema } from '../../../contracts/lesson'
import { HttpProblem } from '../../http/problem'
import { pathId, readJson, route } from '../../http/route'

/** Keeps a lesson and answers with what it says. */
export default route(async (hearth, event) => {
  const lesson = await readJson(event, LessonSchema)
  if (lesson.id !== pathId(event))
    throw new HttpProblem('body-not-understood', [{ path: 'id', message: 'differs from the address' }])
  return hearth.lessons.put(lesson)
})
