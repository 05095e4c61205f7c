import { isFlaw, isPlate, passName, passOf, stripOf, type CouponDocument, type Mark, type Pass } from '../coupon'
import { isFixedPipe, sayClock } from '../trade'

/** Where on a coupon marks lie together, so that the advice can name it. */
export interface MarkedPlace {
  /** The pass that all of them are on; null on a pad, and where they are on several. */
  readonly pass: Pass | null
  readonly bead: 'first' | 'last' | null
  /** The hour of a fixed pipe's quarter: 12, 3, 6 or 9. */
  readonly clock: number | null
  /** In words: `on the first bead`, `pass 2, hot`, `at 6 o’clock`; null where they lie all over it. */
  readonly says: string | null
}

const EVERYWHERE: MarkedPlace = { pass: null, bead: null, clock: null, says: null }
/** A pad of fewer beads has no first and last worth naming. */
const FEWEST_BEADS = 3
/** Marks within these degrees of one another are at one place of a pipe: a quarter of it. */
const A_QUARTER = 90

/** The passes that marks lie on; a mark on the root side is of the root pass. */
export function passesOf(document: CouponDocument, marks: readonly Pick<Mark, 'beadId'>[]): Pass[] {
  const { passes = [] } = document
  const lanes = new Map(document.beads.map(bead => [bead.id, bead]))
  const found = new Set(
    marks.flatMap(mark => {
      const lane = lanes.get(mark.beadId)
      if (!lane) return []
      const pass = lane.face === 'root' ? passes.find(one => one.role === 'root') : passOf(document, lane)
      return pass ? [pass.id] : []
    }),
  )
  return passes.filter(pass => found.has(pass.id))
}

/**
 * Where marks lie together. Source: what a fault on one bead, one pass or one quarter says, common practice.
 * @example placeOf(pad, marksOnTheFirstBead).says // 'on the first bead'
 */
export function placeOf(document: CouponDocument, marks: readonly Mark[]): MarkedPlace {
  if (marks.length === 0) return EVERYWHERE
  if (isPlate(document.piece)) return onPad(document, marks)
  const passes = passesOf(document, marks)
  const pass = passes.length === 1 ? passes[0]! : null
  const named = pass && (document.passes?.length ?? 0) > 1 ? passName(document, pass.id) : null
  const clock = clockOf(document, marks)
  const says = [named, clock === null ? null : `at ${sayClock(30 * clock)} o’clock`]
    .filter(part => part !== null)
    .join(', ')
  return { pass, bead: null, clock, says: says === '' ? null : says }
}

function onPad({ beads }: CouponDocument, marks: readonly Mark[]): MarkedPlace {
  if (beads.length < FEWEST_BEADS) return EVERYWHERE
  const on = new Set(marks.map(mark => mark.beadId))
  if (on.size > 1) return EVERYWHERE
  if (on.has(beads[0]!.id)) return { pass: null, bead: 'first', clock: null, says: 'on the first bead' }
  if (on.has(beads.at(-1)!.id)) return { pass: null, bead: 'last', clock: null, says: 'on the last bead' }
  return EVERYWHERE
}

/** The hour of a fixed pipe that all marks lie about, when they lie within a quarter. */
function clockOf(document: CouponDocument, marks: readonly Mark[]): number | null {
  if (!isFixedPipe(document.ticket.position)) return null
  const aroundMm = stripOf(document.piece).lengthMm
  const degrees = marks
    .flatMap(mark => (isFlaw(mark) ? [mark.atMm, mark.toMm] : [mark.atMm]))
    .map(atMm => (360 * atMm) / aroundMm)
    .sort((a, b) => a - b)
  const [low, high] = [degrees[0]!, degrees.at(-1)!]
  return high - low > A_QUARTER ? null : (3 * Math.round((low + high) / 2 / 90)) % 12 || 12
}
