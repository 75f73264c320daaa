import { defineWebSocketHandler } from 'h3'
import { hearDevice, problem, socketGuard, type DeviceWire } from '../../http/deviceSocket'

const wires = new Map<string, DeviceWire & { heard: Promise<void> }>()

/** Devices speak here: JSON lines, answered line by line in order. See docs/formats.md. */
export default defineWebSocketHandler({
  open(peer) {
    const wire = { hello: null, send: (line: unknown) => void peer.send(JSON.stringify(line)), heard: Promise.resolve() }
    wires.set(peer.id, wire)
    wire.heard = socketGuard(peer.remoteAddress, peer.request.headers as Headers).then((code) => {
      if (!code) return
      wires.delete(peer.id)
      wire.send(problem(code))
      peer.close(1008, code)
    })
  },
  message(peer, message) {
    const wire = wires.get(peer.id)
    if (wire) wire.heard = wire.heard.then(() => (wires.has(peer.id) ? hearDevice(wire, message.text()) : undefined))
  },
  close(peer) {
    wires.delete(peer.id)
  },
  error(peer) {
    wires.delete(peer.id)
  },
})
