import { isPipe, isPlate, showsRoot, thicknessOf, type CouponDocument } from '../coupon'
import { familyOf } from '../trade'
import { inches, over } from '../units'
import { isLevel } from './level'
import { HAS_AN_EDGE } from './priors'
import { SIGNS, type SignId, type SignRow } from './signTable'

/** Plate up to this shows the heat on its back. Common practice: 1/4 in. */
const SHOWS_HEAT_MM = inches(1 / 4)
const hasABack = ({ piece }: CouponDocument) =>
  !isPipe(piece) && !showsRoot(piece) && !over(thicknessOf(piece), SHOWS_HEAT_MM)

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
  'sparks in front': ({ piece }) => showsRoot(piece),
  'rod lit again': ({ ticket }) => ticket.rods === 'new',
  'plate dirty': ({ fitUp }) => fitUp?.surface === undefined,
  'back cold': hasABack,
  'back burnt': hasABack,
  'whip sideways': ({ ticket }) => familyOf(ticket.classification) === 'cellulosic',
}

/**
 * What leaves no mark and can only be told: the signs that matter for this piece, rod and position, in the order of the
 * table. Source: common practice.
 * @example toldSigns(pad).some(sign => sign.id === 'keyhole grew') // false
 */
export const toldSigns = (document: CouponDocument): readonly SignRow[] =>
  SIGNS.filter(({ id, lookedFor }) => lookedFor === 'asked' && (ONLY_WHERE[id]?.(document) ?? true))
