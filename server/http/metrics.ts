import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import { progressWaiting } from '../store/progressWaiting'

/** What a school's own monitoring may read: OpenMetrics, no person in it. */
export const metrics = new Registry<typeof Registry.OPENMETRICS_CONTENT_TYPE>()
metrics.setContentType(Registry.OPENMETRICS_CONTENT_TYPE)

// Memory, processor time and how late the event loop runs.
collectDefaultMetrics({ register: metrics })

export const requestSeconds = new Histogram({
  name: 'fusilis_request_seconds',
  help: 'How long a request took, by method, route and status',
  labelNames: ['method', 'route', 'status'] as const,
  buckets: [0.005, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 10],
  registers: [metrics],
})

new Gauge({
  name: 'fusilis_progress_waiting',
  help: 'Students whose progress is to be computed again',
  registers: [metrics],
  async collect() {
    this.set(await progressWaiting())
  },
})
