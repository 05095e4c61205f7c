import { isPlate, passOf, rowOf, stripOf, type Bead, type CouponDocument, type Strip } from '~~/core/coupon'

/**
 * A joint is drawn a pass at a time, as it lay when that layer was done, or with all its passes in rows, one over
 * the other.
 */
export type LaneView = 'one pass' | 'all passes'

/** What of a coupon is drawn: its strip, and the lanes on it at the places where they are drawn. Lengths mm. */
export interface DrawnLanes extends Pick<Strip, 'lengthMm' | 'widthMm' | 'round' | 'lines' | 'members'> {
  readonly beads: readonly Bead[]
  /** Lanes whose marks are shown: what lies under later metal keeps its marks to itself. */
  readonly open: ReadonlySet<string>
  /** Lanes stand in rows that are not to scale across. */
  readonly inRows: boolean
}

/** Share of a row that its lane takes, and how high rows are. */
const ROW_FILLED = 0.72
const ROW_SHARE = 0.46
const ROW_MOST_MM = 16

/** The lanes of a coupon as one of the two views draws them, seen from where the cursor is. */
export function drawnLanes(coupon: CouponDocument, view: LaneView, cursorBeadId: string): DrawnLanes {
  const strip = stripOf(coupon.piece)
  const open = new Set(coupon.beads.map(bead => bead.id))
  if (isPlate(coupon.piece)) return { ...strip, beads: coupon.beads, open, inRows: false }
  return view === 'all passes' ? inRows(coupon, strip, open) : onePass(coupon, strip, cursorBeadId)
}

/**
 * The lane at the cursor alone, both halves of a pipe's pass, as wide as a finger needs it.
 * @param widthMm how wide it is drawn, regardless of its own width
 */
export function laneAlone(coupon: CouponDocument, cursorBeadId: string, widthMm: number): DrawnLanes {
  const { lengthMm, round } = stripOf(coupon.piece)
  const rows = rowsOf(coupon)
  const row = rows.find(({ beads }) => beads.some(bead => bead.id === cursorBeadId)) ?? rows.at(-1)!
  const acrossMm = widthMm / ROW_FILLED
  const beads = row.beads.map(bead => ({ ...bead, offsetMm: acrossMm / 2, widthMm }))
  return {
    ...{ lengthMm, widthMm: acrossMm, round, beads },
    ...{ lines: [], members: null, open: new Set(beads.map(bead => bead.id)), inRows: true },
  }
}

/** Rows of a coupon: one for each pass, one for the root side. */
export function rowsOf({
  beads,
}: Pick<CouponDocument, 'beads'>): { readonly key: string; readonly beads: readonly Bead[] }[] {
  const rows = new Map<string, Bead[]>()
  for (const bead of beads) {
    const key = rowOf(bead)
    rows.set(key, [...(rows.get(key) ?? []), bead])
  }
  return [...rows].map(([key, lanes]) => ({ key, beads: lanes }))
}

function inRows(coupon: CouponDocument, strip: Strip, open: ReadonlySet<string>): DrawnLanes {
  const rows = rowsOf(coupon)
  const pitch = Math.min(ROW_MOST_MM, (strip.lengthMm * ROW_SHARE) / rows.length)
  const beads = rows.flatMap((row, index) =>
    row.beads.map(bead => ({ ...bead, offsetMm: (index + 0.5) * pitch, widthMm: pitch * ROW_FILLED })),
  )
  return {
    lengthMm: strip.lengthMm,
    widthMm: rows.length * pitch,
    round: strip.round,
    lines: [],
    members: null,
    beads,
    open,
    inRows: true,
  }
}

function onePass(coupon: CouponDocument, strip: Strip, cursorBeadId: string): DrawnLanes {
  const at = coupon.beads.find(bead => bead.id === cursorBeadId) ?? coupon.beads.at(-1)!
  const layerOf = (bead: Bead) => passOf(coupon, bead)?.layer ?? 0
  const beads =
    at.face === 'root' ? [at] : coupon.beads.filter(bead => bead.face === at.face && layerOf(bead) <= layerOf(at))
  const open = new Set(beads.filter(bead => layerOf(bead) === layerOf(at)).map(bead => bead.id))
  return { ...strip, beads, open, inRows: false }
}
