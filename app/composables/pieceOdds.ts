import type { OutlookCase } from '~~/core/readiness'
import type { SaidOfPiece } from '~/workers/readiness'
import { askReadiness } from './readinessWorker'

const ATTEMPTS = 2000

/** A student's odds at several test pieces, looked up once each; pieces still being looked at have none. */
export function usePieceOdds() {
  const said = ref<Record<string, SaidOfPiece>>({})
  let stop: (() => void) | null = null

  function look(wanted: Readonly<Record<string, OutlookCase>>): void {
    stop?.()
    const ids = Object.keys(wanted).filter(id => said.value[id] === undefined)
    if (ids.length === 0) return
    stop = askReadiness(
      { ask: 'odds', cases: ids.map(id => wanted[id]!), attempts: ATTEMPTS },
      answer => {
        if (answer.is === 'odds')
          said.value = { ...said.value, ...Object.fromEntries(ids.map((id, n) => [id, answer.odds[n]!])) }
      },
      () => {},
    )
  }
  /** Forgets what was looked up: it was another student's. */
  function forget(): void {
    stop?.()
    said.value = {}
  }

  onBeforeUnmount(() => stop?.())
  return { said, look, forget }
}
