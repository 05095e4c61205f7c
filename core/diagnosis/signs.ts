import type { CouponDocument, TryKind } from '../coupon'
import { isGauge, isPlate, isTry } from '../coupon'
import type { HouseRules } from '../house'
import { flawSigns } from './flawSigns'
import { gaugeSigns, hasOwnWidth } from './gaugeSigns'
import { laid, padsOf, type SeenSigns, type Sign } from './sign'
import { SIGNS, signOf, type LookedFor, type SignId } from './signTable'
import { trySigns } from './trySigns'

/**
 * The signs on a coupon, each with the marks that show it, and the answers to what was asked.
 * A sign is read by its pattern: which toe, at starts or everywhere, on one bead or growing from bead to bead.
 * Source: common practice.
 */
export function signsOf(document: CouponDocument, rules: HouseRules): SeenSigns {
  const signs = merged([
    ...flawSigns(document),
    ...trySigns(document),
    ...gaugeSigns(document, rules),
    ...answered(document, 'yes'),
  ])
  const found = new Set(signs.map(sign => sign.id))
  const denied = new Set(answered(document, 'no').map(sign => sign.id))
  // Where nothing shows, what is told is read alone: that the coupon is sound says that the trouble is slight, not that
  // it is not there.
  const looked = signs.length > 0 && signs.every(sign => sign.told) ? NOTHING : lookedAt(document)
  const missing = SIGNS.filter(({ id }) => !found.has(id))
  const byLook = missing.filter(({ lookedFor }) => looked.has(lookedFor)).map(sign => sign.id)
  const byWord = missing.filter(({ id, lookedFor }) => denied.has(id) && !looked.has(lookedFor)).map(sign => sign.id)
  return { signs, pads: padsOf(document), absent: [...byLook, ...byWord], denied: byWord }
}

const NOTHING: ReadonlySet<LookedFor> = new Set()

/** What was marked and gauged, or gauged and answered, is one sign. */
function merged(signs: readonly Sign[]): Sign[] {
  const byId = new Map<SignId, Sign>()
  for (const sign of signs) {
    const { id } = sign
    const before = byId.get(id)
    byId.set(
      id,
      before
        ? { ...before, markIds: [...before.markIds, ...sign.markIds], share: Math.max(before.share, sign.share) }
        : sign,
    )
  }
  return [...byId.values()]
}

const answered = ({ answers = {} }: CouponDocument, wanted: 'yes' | 'no'): Sign[] =>
  Object.entries(answers)
    .filter(([, answer]) => answer === wanted)
    .map(([id]) => ({ id: signOf(id).id, markIds: [], share: 1, told: true as const }))

/** What there was to look at on this coupon. */
function lookedAt(document: CouponDocument): ReadonlySet<LookedFor> {
  const looked = new Set<LookedFor>(['always'])
  const tried = (...kinds: TryKind[]) => document.marks.some(mark => isTry(mark) && kinds.includes(mark.kind))
  const read = (...of: string[]) => document.marks.some(mark => isGauge(mark) && of.includes(mark.of))
  const plate = isPlate(document.piece)
  if (tried('start')) looked.add('starts')
  if (tried('restart', 'tie-in')) looked.add('restarts')
  if (tried('end')) looked.add('ends')
  if (laid(document).length > 1) looked.add('laps')
  if (document.marks.some(mark => isGauge(mark) && mark.of === 'width' && hasOwnWidth(document, mark)))
    looked.add('widths')
  if (read('upper leg') && read('lower leg')) looked.add('legs')
  if (plate && document.beads.length >= 4) looked.add('rows')
  if (!plate) looked.add('joints')
  if (document.beads.some(bead => bead.face === 'root')) looked.add('root')
  return looked
}
