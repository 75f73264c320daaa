import { defineEventHandler } from 'h3'
import { houseGuard } from '../http/houseGuard'
import { sendProblem } from '../http/problem'

/** Every request passes the guard first. */
export default defineEventHandler(async (event) => {
  const code = await houseGuard(event)
  if (code) return sendProblem(event, code)
})
