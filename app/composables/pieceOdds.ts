import type { OutlookCase } from '~~/core/readiness'
import { askReadiness } from './readinessWorker'

const ATTEMPTS = 2000

/** A student's odds at several test pieces, looked up once each; pieces still being looked at have none. */
export function usePieceOdds() {
  const odds = ref<Record<string, number>>({})
  let stop: (() => void) | null = null

  function look(wanted: Readonly<Record<string, OutlookCase>>): void {
    stop?.()
    const ids = Object.keys(wanted).filter(id => odds.value[id] === undefined)
    if (ids.length === 0) return
    stop = askReadiness(
      { ask: 'odds', cases: ids.map(id => wanted[id]!), attempts: ATTEMPTS },
      said => {
        if (said.is === 'odds')
          odds.value = { ...odds.value, ...Object.fromEntries(ids.map((id, n) => [id, said.odds[n]!])) }
      },
      () => {},
    )
  }
  /** Forgets what was looked up: it was another student's. */
  function forget(): void {
    stop?.()
    odds.value = {}
  }

  onBeforeUnmount(() => stop?.())
  return { odds, look, forget }
}
