import { filletThroat } from '../deposit'
import { hasGroove, isFilletPiece, isPlate, stripOf, thicknessOf, type CouponDocument } from '../coupon'
import { heldLength, inches, type LengthUnit, over } from '../units'
import { limitOf, type CriteriaSet, type Criterion, type Sizes } from './criteriaSet'
import { observedOf, observer } from './observed'

/** How one criterion came out: passed, failed, or not to be said, as it was not gauged. */
export interface HeldRow {
  readonly criterion: Criterion
  readonly name: string
  readonly measured: number | null
  readonly limit: number
  readonly outcome: 'pass' | 'fail' | 'not gauged'
  readonly markIds: readonly string[]
}

export interface Held {
  readonly set: CriteriaSet
  readonly rows: readonly HeldRow[]
  readonly outcome: 'pass' | 'fail' | 'not gauged'
}

/**
 * A coupon held against a set of criteria, line by line. Lines that its weld or its thickness has nothing to do
 * with are left out.
 * Source: each line names its own clause; the code in force and the qualified inspector decide.
 * @param unit which of the values that a code prints is meant
 * @example holdAgainst(document, SHIPPED_SETS[0], 'in').outcome // 'pass'
 */
export function holdAgainst(document: CouponDocument, set: CriteriaSet, unit: LengthUnit): Held {
  const sizes = sizesOf(document)
  const observed = observer(document)
  const rows = set.criteria
    .filter(criterion => applies(criterion, document, sizes))
    .map((criterion): HeldRow => {
      const { value, markIds } = observed(criterion.observed)
      const limit = limitFor(criterion, sizes, unit)
      const outcome = value === null ? 'not gauged' : over(value, limit) ? 'fail' : 'pass'
      return {
        criterion,
        name: observedOf(criterion.observed).name,
        measured: value,
        limit,
        outcome,
        markIds: outcome === 'fail' ? markIds : [],
      }
    })
  const outcome = rows.some(row => row.outcome === 'fail')
    ? 'fail'
    : rows.some(row => row.outcome === 'not gauged')
      ? 'not gauged'
      : 'pass'
  return { set, rows, outcome }
}

/**
 * What sets reject of documents of one piece: the lines that apply and their limits are worked out once, and what
 * several sets observe is observed once for all of them.
 * @returns the ids of the sets by which a document fails
 * @example rejecting(document, [welderTest], 'in')(document) // ['d1.1 welder']
 */
export function rejecting(
  document: Pick<CouponDocument, 'piece'>,
  sets: readonly CriteriaSet[],
  unit: LengthUnit,
): (document: CouponDocument) => string[] {
  const sizes = sizesOf(document)
  const lines = sets.flatMap(set =>
    set.criteria
      .filter(criterion => applies(criterion, document, sizes))
      .map(criterion => ({ setId: set.id, observed: criterion.observed, limit: limitFor(criterion, sizes, unit) })),
  )
  const observed = [...new Set(lines.map(line => line.observed))]
  return one => {
    const seen = observer(one)
    const values = new Map(observed.map(id => [id, seen(id).value]))
    const failed = lines.filter(line => {
      const value = values.get(line.observed) ?? null
      return value !== null && over(value, line.limit)
    })
    return [...new Set(failed.map(line => line.setId))]
  }
}

const limitFor = ({ limit }: Criterion, sizes: Sizes, unit: LengthUnit): number => limitOf(limit, sizes, unit)

function sizesOf({ piece }: Pick<CouponDocument, 'piece'>): Sizes {
  const thicknessMm = thicknessOf(piece)
  if (isPlate(piece)) return { thicknessMm, widthMm: inches(1 / 4), throatMm: thicknessMm }
  const throatMm = isFilletPiece(piece) ? filletThroat(piece.legMm) : thicknessMm
  return { thicknessMm, widthMm: stripOf(piece).faceMm, throatMm }
}

/**
 * A pad is judged as a surface: what belongs to a groove or a fillet alone does not apply to it. A square butt is a
 * groove weld.
 */
function applies(
  { appliesTo: { weld, overMm, upToMm } }: Criterion,
  { piece }: Pick<CouponDocument, 'piece'>,
  { thicknessMm }: Sizes,
): boolean {
  if (weld === 'groove' && !hasGroove(piece) && piece.kind !== 'square butt') return false
  if (weld === 'fillet' && !isFilletPiece(piece)) return false
  return (overMm === undefined || over(thicknessMm, overMm)) && (upToMm === undefined || !over(thicknessMm, upToMm))
}

/**
 * What was measured, or what is allowed, in words.
 * @example sayAmount('undercut depth', 0.79375, 'in') // '1/32 in'
 */
export function sayAmount(observed: Criterion['observed'], value: number | null, unit: LengthUnit): string {
  if (value === null) return 'not gauged'
  if (observedOf(observed).counted === 'count') return value === 0 ? 'none' : String(value)
  return value === 0 ? 'none' : heldLength(value, unit)
}
