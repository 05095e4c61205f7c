import {
  isFlaw,
  isTry,
  newFlaw,
  type Bead,
  type CouponDocument,
  type FlawMark,
  type Mark,
  type Pass,
  type TryMark,
} from '../coupon'
import { inches } from '../units'
import type { DiscontinuityId } from '../trade'
import type { Opening, OpeningKind } from './bendVerdict'
import { isBend, type Specimen } from './specimens'

/** Where in the weld an opening of a bend came from. Places along the seam, mm. */
export interface OpeningOrigin {
  readonly atMm: number
  /** Lanes of the layer that was stretched there, the ones beside each other together. */
  readonly lanes: readonly Bead[]
  readonly passes: readonly Pass[]
  /** The start, restart, tie-in or end within half an inch of it; null when it lies in the run of the bead. */
  readonly near: TryMark | null
}

/** A try this near is the one that an opening came from. Common practice. */
const NEAR_MM = inches(1 / 2)

/**
 * Lays an opening back on the coupon: a face bend stretches the cap, a root bend the root, a side bend the layer at
 * that depth.
 * @example originOf(coupon, rootBend, opening).passes[0].role // 'root'
 */
export function originOf(coupon: CouponDocument, specimen: Specimen, opening: Opening): OpeningOrigin {
  const seamMm = Math.max(...coupon.beads.map(bead => bead.toMm))
  const atMm = (((specimen.fromMm + opening.atMm) % seamMm) + seamMm) % seamMm
  const passes = coupon.passes ?? []
  const layers = [...new Set(passes.filter(pass => pass.face === 'face').map(pass => pass.layer))].sort((a, b) => a - b)
  const layer = layers[layerAt(specimen, opening, layers.length)]
  const own = passes.filter(pass => pass.face === 'face' && pass.layer === layer)
  const lanes = coupon.beads.filter(
    bead =>
      bead.face !== 'root' && own.some(pass => pass.id === bead.passId) && atMm >= bead.fromMm && atMm <= bead.toMm,
  )
  const tries = coupon.marks
    .filter(isTry)
    .filter(mark => lanes.some(lane => lane.id === mark.beadId))
    .sort((a, b) => Math.abs(a.atMm - atMm) - Math.abs(b.atMm - atMm))
  return { atMm, lanes, passes: own, near: tries[0] && Math.abs(tries[0].atMm - atMm) <= NEAR_MM ? tries[0] : null }
}

function layerAt({ kind }: Specimen, { depth }: Opening, layers: number): number {
  if (kind === 'root') return 0
  if (kind === 'face' || depth === null) return layers - 1
  return Math.min(layers - 1, Math.max(0, Math.floor((1 - depth) * layers)))
}

/**
 * Where an opening came from, in words. @example sayOrigin(originOf(coupon, bend, opening)) // 'hot pass, at a
 * restart'
 */
export function sayOrigin({ passes, near }: OpeningOrigin): string {
  const [first] = passes
  if (!first) return 'not to be laid back'
  const place = !near ? 'in the run of the bead' : near.kind === 'end' ? 'at an end' : `at a ${near.kind}`
  if (first.role === 'single') return `the pass, ${place}`
  return `${first.role}${first.role === 'root' || first.role === 'hot' ? ' pass' : ''}, ${place}`
}

/** What an opening is on the coupon; one that shows nothing it comes from is none. */
const AS_FLAW: Readonly<Record<OpeningKind, DiscontinuityId | null>> = {
  'opening': null,
  'crack': 'crack',
  'slag': 'slag',
  'lack of fusion': 'incomplete fusion',
  'porosity': 'porosity',
}

/** Whether a mark lies where a bend laid something open. */
export const isBendMark = (mark: Mark): boolean => isFlaw(mark) && mark.found === 'bend'

/**
 * The coupon with what its bends laid open marked where it lay, so that causes and rates know of it; what an
 * earlier record of the same bends had marked goes.
 * Openings that show nothing they come from are no flaws of the coupon.
 * @param lengthMm turns a measured opening into mm
 * @example withBendMarks(coupon, [{ specimen, openings }], inches).marks.filter(isBendMark)
 */
export function withBendMarks(
  coupon: CouponDocument,
  bends: readonly { readonly specimen: Specimen; readonly openings: readonly Opening[] }[],
  lengthMm: (length: number) => number,
): CouponDocument {
  const found = bends
    .filter(({ specimen }) => isBend(specimen.kind))
    .flatMap(({ specimen, openings }) =>
      openings.flatMap((opening, n): FlawMark[] => {
        const flaw = AS_FLAW[opening.kind]
        const { lanes, atMm } = originOf(coupon, specimen, opening)
        const lane = lanes[0]
        if (!flaw || !lane) return []
        const mark = newFlaw(coupon, `bend ${specimen.id} ${n + 1}`, flaw, { beadId: lane.id, atMm })
        const half = lengthMm(opening.length) / 2
        return [
          {
            ...mark,
            atMm: mark.toMm === mark.atMm ? atMm : Math.max(lane.fromMm, atMm - half),
            toMm: mark.toMm === mark.atMm ? atMm : Math.min(lane.toMm, atMm + half),
            found: 'bend',
          },
        ]
      }),
    )
  const others = coupon.marks.filter(mark => !isBendMark(mark))
  return found.length === 0 && others.length === coupon.marks.length
    ? coupon
    : { ...coupon, marks: [...others, ...found] }
}
