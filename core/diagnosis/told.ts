import { isPlate, showsRoot, type CouponDocument } from '../coupon'
import { familyOf } from '../trade'
import { isLevel } from './level'
import { HAS_AN_EDGE } from './priors'
import { SIGNS, type SignId, type SignRow } from './signTable'

/** What only some pieces and rods can tell: where it makes sense to say it. The rest may be said of any coupon. */
const ONLY_WHERE: Readonly<Partial<Record<SignId, (document: CouponDocument) => boolean>>> = {
  'keyhole grew': ({ piece }) => showsRoot(piece),
  'keyhole closed': ({ piece }) => showsRoot(piece),
  'puddle one side': ({ piece }) => !isPlate(piece),
  'ripples off step': ({ ticket }) => familyOf(ticket.classification) === 'cellulosic',
  'slag ran ahead': ({ ticket }) => familyOf(ticket.classification) !== 'cellulosic',
  'slag runny': ({ ticket }) => familyOf(ticket.classification) !== 'cellulosic',
  'edge melted': ({ piece }) => HAS_AN_EDGE.has(piece.kind),
  'runs off level': isLevel,
}

/**
 * What leaves no mark and can only be told: the signs that matter for this piece, rod and position, in the order of the
 * table. Source: common practice.
 * @example toldSigns(pad).some(sign => sign.id === 'keyhole grew') // false
 */
export const toldSigns = (document: CouponDocument): readonly SignRow[] =>
  SIGNS.filter(({ id, lookedFor }) => lookedFor === 'asked' && (ONLY_WHERE[id]?.(document) ?? true))
