import {
  beginOutlook,
  forecastCoupons,
  whatHelps,
  type Forecast,
  type Help,
  type Outlook,
  type OutlookCase,
} from '~~/core/readiness'

/** What a page asks: everything about one case with the odds the school wants, or the odds alone of several. */
export type ReadinessAsked =
  | { readonly ask: 'everything'; readonly wanted: OutlookCase; readonly attempts: number; readonly target: number }
  | { readonly ask: 'odds'; readonly cases: readonly OutlookCase[]; readonly attempts: number }

/** What comes back: how far it is, then everything, or the odds of each case in their order. */
export type ReadinessSaid =
  | { readonly is: 'under way'; readonly share: number }
  | { readonly is: 'done'; readonly outlook: Outlook; readonly helps: readonly Help[]; readonly forecast: Forecast }
  | { readonly is: 'odds'; readonly odds: readonly SaidOfPiece[] }

/** The odds of one piece, stage by stage, and how sure they are. */
export type SaidOfPiece = Pick<Outlook, 'odds' | 'visual' | 'bends' | 'byCoupons' | 'low' | 'high'>

const STEPS = 10
/** Students whom the evidence allows, on whom each skill is bettered in turn. */
const STUDENTS = 300
/** The forecast is looked at with fewer attempts than the odds themselves. */
const SHARE = 0.3

const say = (said: ReadinessSaid) => self.postMessage(said)

self.onmessage = ({ data }: MessageEvent<ReadinessAsked>) => {
  if (data.ask === 'odds') say({ is: 'odds', odds: data.cases.map(wanted => oddsOf(wanted, data.attempts)) })
  else everything(data)
}

function oddsOf(wanted: OutlookCase, attempts: number): SaidOfPiece {
  const run = beginOutlook(wanted)
  run.run(attempts)
  const { odds, visual, bends, byCoupons, low, high } = run.result()
  return { odds, visual, bends, byCoupons, low, high }
}

function everything({ wanted, attempts, target }: Extract<ReadinessAsked, { ask: 'everything' }>): void {
  const run = beginOutlook(wanted)
  for (let step = 1; step <= STEPS; step++) {
    run.run(attempts / STEPS)
    say({ is: 'under way', share: (0.4 * step) / STEPS })
  }
  const helps = whatHelps(wanted, STUDENTS)
  say({ is: 'under way', share: 0.75 })
  say({ is: 'done', outlook: run.result(), helps, forecast: forecastCoupons(wanted, target, attempts * SHARE) })
}
