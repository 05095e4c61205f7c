import { quantile } from '../../core/statistics'
import { planPad, planStack, type StackPlanner } from '../../core/deposit'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { rodSizeOf } from '../../core/trade'
import { inches } from '../../core/units'
import { ms, timed, times } from './timed'

const FRAME_MS = 1000 / 60
const AIM_MS = 50
const ROUNDS = 200
const { overlap, stopUnderMm, capBeyondMm, reinforcementMm } = DEFAULT_HOUSE_RULES

const onBacking = (thicknessMm: number): StackPlanner => ({
  shape: { kind: 'V', backing: true, groove: { thicknessMm, gapMm: inches(1 / 4), landMm: 0, includedDegrees: 45 } },
  position: '3G',
  coreMm: inches(1 / 8),
  rootCoreMm: inches(1 / 8),
  stringersOnly: true,
  overlap: overlap.high,
  stopUnderMm,
  capBeyondMm,
  reinforcementMm,
})
const thick = onBacking(inches(1))
const thin = onBacking(inches(3 / 8))
const pad = {
  lengthMm: inches(6),
  widthMm: inches(4),
  beadMm: inches(1 / 4),
  overlap: 0.4,
  classification: 'E7018',
  rod: rodSizeOf(inches(1 / 8)),
  currentA: 125,
  volts: 23,
  travelMmPerMin: 250,
  stubMm: inches(2),
}

const taken = { thick: [] as number[], thin: [] as number[], pad: [] as number[] }
for (let n = 0; n < ROUNDS; n++) {
  taken.thick.push(await timed(() => planStack({ ...thick, aims: { [(n % 12) + 1]: (n % 7) / 3 - 1 } })))
  taken.thin.push(await timed(() => planStack({ ...thin, aims: { 2: (n % 7) / 3 - 1 } })))
  taken.pad.push(await timed(() => planPad({ ...pad, currentA: 100 + (n % 50) })))
}
const late = (kind: keyof typeof taken) => quantile(taken[kind].slice(ROUNDS / 10), 0.95)
console.log(
  `replanning a 1 in groove after a drag, beside the page: p95 ${(late('thick') / AIM_MS).toFixed(2)} of 50 ms (${(late('thick') / FRAME_MS).toFixed(2)} of a frame, ${times(late('thick') / late('thin'))} a 3/8 in groove, ${planStack(thick).beads.length} beads)`,
)
console.log(
  `replanning a pad under a slider: p95 ${(late('pad') / FRAME_MS).toFixed(3)} of a frame (${ms(late('pad'))})`,
)
