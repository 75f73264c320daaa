import { defineEventHandler } from 'h3'
import { atTheDoor } from '../http/door'
import { sendProblem } from '../http/problem'

/** What has not passed the front door (the development server has none) is asked here, before any route. */
export default defineEventHandler(async (event) => {
  const code = await atTheDoor(event.node.req)
  if (code) return sendProblem(event, code)
})
