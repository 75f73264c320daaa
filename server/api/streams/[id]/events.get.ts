import { createEventStream } from 'h3'
import { pathId, route } from '../../../http/route'

/** Pushes what is appended to a stream, as server-sent events. */
export default route((hearth, event) => {
  const stream = pathId(event)
  const push = createEventStream(event)
  const stop = hearth.streams.follow(stream, (observations) => {
    void push.push(JSON.stringify(observations))
  })
  push.onClosed(async () => {
    stop()
    await push.close()
  })
  void push.push(JSON.stringify([]))
  return push.send()
})
