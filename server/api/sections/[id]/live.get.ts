import { createEventStream, getHeader, setResponseHeader, type EventStreamMessage } from 'h3'
import { defineRoute } from '../../../http/defineRoute'
import { mayStill } from '../../../http/mayStill'
import { onFloor } from '../../../http/reader'
import { watchFloor } from '../../../store/floorWatch'

const HEARTBEAT_MS = 15_000

/**
 * Says when a section's floor changes; what it is now, is asked for. A screen that comes back names the last event
 * it had, and is told at once when something has changed since. A person who may no longer look is told nothing more.
 */
export default defineRoute({ who: onFloor, id: 'section' }, async ({ event, id }) => {
  const seen = Number(getHeader(event, 'last-event-id') ?? NaN)
  // A proxy that gathers answers would keep the events to itself.
  setResponseHeader(event, 'x-accel-buffering', 'no')
  const stream = createEventStream(event)
  const push = async (message: EventStreamMessage) => {
    if (await mayStill(event, onFloor, 'section', id)) await stream.push(message)
    else await stream.close()
  }
  const tell = (serial: number) => push({ id: String(serial), event: 'floor', data: String(serial) })
  const leave = watchFloor(id, Number.isFinite(seen) ? seen : null, serial => void tell(serial).catch(() => {}))
  const heart = setInterval(() => void push({ event: 'beat', data: '' }).catch(() => {}), HEARTBEAT_MS)
  stream.onClosed(async () => {
    clearInterval(heart)
    leave()
    await stream.close()
  })
  return stream.send()
})
