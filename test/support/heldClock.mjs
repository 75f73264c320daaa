// A clock that stands until it is told to move on: loaded before a server whose cook waits for hand and forecast.
// What the server starts beside it goes by the true clock.
delete process.env.NODE_OPTIONS
let now = Date.now()
Date.now = () => now
process.on('message', ({ ms }) => {
  now += ms
  process.send({ now })
})
// The channel alone does not keep the server up.
process.channel.unref()
