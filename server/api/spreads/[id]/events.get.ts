import { createEventStream } from 'h3'
import { pathId, route } from '../../../http/route'

/** Pushes the revision of a day whenever it changes, as server-sent events. */
export default route((hearth, event) => {
  const push = createEventStream(event)
  const stop = hearth.spreads.follow(pathId(event), (spread) => {
    void push.push(String(spread.revision))
  })
  push.onClosed(async () => {
    stop()
    await push.close()
  })
  void push.push('0')
  return push.send()
})
