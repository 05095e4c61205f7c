import { beginOutlook, forecastCoupons, whatHelps, type Forecast, type Help, type Outlook, type OutlookCase } from '~~/core/readiness'

/** What a page asks: a case, how many attempts, and the odds the school wants. */
export interface ReadinessAsked {
  readonly wanted: OutlookCase
  readonly attempts: number
  readonly target: number
}

/** What comes back: how far it is, then everything. */
export type ReadinessSaid =
  | { readonly is: 'under way', readonly share: number }
  | { readonly is: 'done', readonly outlook: Outlook, readonly helps: readonly Help[], readonly forecast: Forecast }

const STEPS = 10
/** What helps, and the forecast, are looked at with fewer attempts than the odds themselves. */
const SHARE = 0.3

self.onmessage = ({ data }: MessageEvent<ReadinessAsked>) => {
  const say = (said: ReadinessSaid) => self.postMessage(said)
  const { wanted, attempts, target } = data
  const run = beginOutlook(wanted)
  for (let step = 1; step <= STEPS; step++) {
    run.run(attempts / STEPS)
    say({ is: 'under way', share: (0.4 * step) / STEPS })
  }
  const helps = whatHelps(wanted, attempts * SHARE)
  say({ is: 'under way', share: 0.75 })
  say({ is: 'done', outlook: run.result(), helps, forecast: forecastCoupons(wanted, target, attempts * SHARE) })
}
