import type { HouseRules } from '../house'
import { isFlaw, type Bead, type CouponDocument, type Mark } from './document'
import type { Pass } from './pass'
import { cardCurrent, passOf } from './passCard'
import { thicknessOf } from './piece'
import { ticketWindow } from './ticketWindow'
import { travelsForward } from './travel'

type Laid = Pick<CouponDocument, 'piece' | 'ticket' | 'passes' | 'beads'>

/** A stretch of one lane that was run at one current, A; places in mm along the strip. */
interface Stretch {
  readonly beadId: string
  readonly pass: Pass | null
  readonly fromMm: number
  readonly toMm: number
  readonly currentA: number
}

/**
 * All that was run at one current by one card: a pad's beads, or a pass, or what of them came after the panel was
 * turned.
 */
export interface CurrentRun {
  /** Null on a pad. */
  readonly pass: Pass | null
  /** As the panel showed it, A. */
  readonly currentA: number
  /** Its window on that panel, A. */
  readonly lowA: number
  readonly highA: number
  readonly stretches: readonly Stretch[]
}

/**
 * What a coupon was run at, in the order in which it was welded: each current once for a pad, and once for a pass. A
 * panel that was turned on a bead stays so until it is turned again, or the next pass is set.
 * @example currentRuns(pad, rules).map(run => run.currentA) // [125]
 */
export function currentRuns(document: Laid, rules: HouseRules): CurrentRun[] {
  const runs: CurrentRun[] = []
  for (const stretch of stretchesOf(document)) {
    const { pass, currentA } = stretch
    const at = runs.findIndex(run => run.pass?.id === pass?.id && run.currentA === currentA)
    if (at >= 0) runs[at] = { ...runs[at]!, stretches: [...runs[at]!.stretches, stretch] }
    else runs.push({ pass, currentA, ...windowOf(document, pass, rules), stretches: [stretch] })
  }
  return runs
}

function windowOf(document: Laid, pass: Pass | null, rules: HouseRules): Pick<CurrentRun, 'lowA' | 'highA'> {
  const { lowA, highA } = pass
    ? cardCurrent(document, pass, rules)
    : ticketWindow(document.ticket, thicknessOf(document.piece), rules)
  return { lowA, highA }
}

/** The root side is melted by the root pass: it has its current. */
function rootPassOf({ passes = [] }: Laid): Pass | null {
  return passes.find(pass => pass.role === 'root') ?? passes[0] ?? null
}

function stretchesOf(document: Laid): Stretch[] {
  const { ticket, beads, passes = [] } = document
  const now = new Map<string | undefined, number>(passes.map(pass => [pass.id, pass.currentA]))
  now.set(undefined, ticket.currentA)
  return beads
    .filter(bead => bead.face !== 'root')
    .flatMap((bead): Stretch[] => {
      const pass = passOf(document, bead)
      const before = now.get(pass?.id)!
      const { id: beadId, fromMm, toMm, turned } = bead
      if (!turned) return [{ beadId, pass, fromMm, toMm, currentA: before }]
      now.set(pass?.id, turned.currentA)
      const lower = { beadId, pass, fromMm, toMm: turned.atMm }
      const upper = { beadId, pass, fromMm: turned.atMm, toMm }
      const [first, then] = travelsForward(document, bead) ? [lower, upper] : [upper, lower]
      return [
        { ...first, currentA: before },
        { ...then, currentA: turned.currentA },
      ]
    })
}

/**
 * Whether a mark lies on a run; on the root side it lies on what the root pass was run at there.
 * @example isOnRun(document, run, undercutOnTheSecondHalf) // false
 */
export function isOnRun(document: Laid, { stretches }: CurrentRun, mark: Mark): boolean {
  const [from, to] = isFlaw(mark) ? [mark.atMm, mark.toMm] : [mark.atMm, mark.atMm]
  const lane = document.beads.find(bead => bead.id === mark.beadId)
  const root = lane?.face === 'root' ? rootPassOf(document) : null
  return stretches.some(
    stretch =>
      (root ? stretch.pass?.id === root.id : stretch.beadId === mark.beadId) &&
      from <= stretch.toMm &&
      to >= stretch.fromMm,
  )
}

/**
 * The current of a lane over its whole length, A: the mean where the panel was turned on the way.
 * @throws RangeError for a lane of no coupon
 * @example meanCurrent(document, bead) // 120
 */
export function meanCurrent(document: Laid, { id }: Pick<Bead, 'id'>): number {
  const own = stretchesOf(document).filter(stretch => stretch.beadId === id)
  if (own.length === 0) throw new RangeError(`No bead "${id}" that was run`)
  const lengthOf = ({ fromMm, toMm }: Stretch) => toMm - fromMm
  const total = own.reduce((sum, stretch) => sum + lengthOf(stretch), 0)
  return own.reduce((sum, stretch) => sum + stretch.currentA * lengthOf(stretch), 0) / total
}
