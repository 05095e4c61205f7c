import { mean, quantile } from '../statistics'
import type { Pixels } from './layPicture'

/** Where a bead is looked for on a laid picture: lengths mm, from its left end and its upper edge. */
export interface BeadSought {
  readonly fromMm: number
  readonly toMm: number
  readonly middleMm: number
  readonly widthMm: number
}

/** Both toes of a bead at one place along it, mm from the upper edge. */
export interface ToesAt {
  readonly atMm: number
  readonly upperMm: number
  readonly lowerMm: number
}

/** What a picture shows of a bead. Lengths mm. */
export interface BeadSeen {
  readonly toes: readonly ToesAt[]
  readonly widthMm: number
  /** Standard deviation of its width along it. */
  readonly unevenMm: number
  /** Farthest that its middle strays from a straight line. */
  readonly straysMm: number
  /** Share of its length at which both toes stand out from what lies about them, 0 to 1. */
  readonly sure: number
}

/** Less of a bead than this tells nothing of its width, share of its length. */
export const LEAST_SURE = 0.6

/** One column is looked at each half millimetre; ripples are evened out over some. A toe is a line this wide. */
const STEP_MM = 0.5
const ALONG_MM = 1.6
const ACROSS_MM = 0.8
/** A toe lies within these shares of the bead's expected width from its middle. */
const NEAREST = 0.2
const FARTHEST = 0.95
/** What it costs a toe to wander by a pixel from one column to the next, of what a clear toe is worth. */
const WANDER = 0.012
/** A toe stands out where it is darker by this, of 255, and by this many times what noise alone does. */
const LEAST_DARKER = 4
const STANDS_OUT = 3.5

/**
 * Finds the two toes of a bead along a picture that was laid out to scale: the dark line between bead and plate, or
 * between two beads, followed along the seam by dynamic programming, so that spatter and a ripple do not draw it off.
 * Shadow that changes slowly has no part in it. A toe that is no darker than what lies beside it is not seen.
 * @param picture laid out by `layPicture`
 * @param sought where the drawing has the bead, mm of what was laid out
 * @returns null where too little of it is seen
 */
export function beadEdges(picture: Pixels, pxPerMm: number, sought: BeadSought): BeadSeen | null {
  const columns = Math.floor((sought.toMm - sought.fromMm) / STEP_MM)
  if (columns < 8) return null
  const ats = Array.from({ length: columns }, (_, n) => sought.fromMm + (n + 0.5) * STEP_MM)
  const profiles = ats.map(atMm => profileAt(picture, pxPerMm, atMm))
  const near = NEAREST * sought.widthMm
  const far = FARTHEST * sought.widthMm
  const toe = (from: number, to: number) =>
    bestPath(profiles, Math.max(1, Math.round(from * pxPerMm)), Math.min(picture.height - 2, Math.round(to * pxPerMm)))
  const upper = toe(sought.middleMm - far, sought.middleMm - near)
  const lower = toe(sought.middleMm + near, sought.middleMm + far)
  if (!upper || !lower) return null
  const toes = ats.map((atMm, n) => ({
    atMm,
    upperMm: upper.rows[n]! / pxPerMm,
    lowerMm: lower.rows[n]! / pxPerMm,
  }))
  const clear = ats.map((_, n) => upper.standsOut[n]! && lower.standsOut[n]!)
  const sure = clear.filter(Boolean).length / columns
  if (sure < LEAST_SURE) return null
  const seen = toes.filter((_, n) => clear[n])
  const widths = seen.map(({ upperMm, lowerMm }) => lowerMm - upperMm)
  const widthMm = mean(widths)
  return {
    toes,
    widthMm,
    unevenMm: Math.sqrt(mean(widths.map(width => (width - widthMm) ** 2))),
    straysMm: farthestOffLine(seen.map(({ atMm, upperMm, lowerMm }) => [atMm, (upperMm + lowerMm) / 2])),
    sure,
  }
}

interface Profile {
  /** How much darker each row is than what lies on both sides of it, of 255. */
  readonly darker: Float64Array
  /** How much a row strays by noise alone, of 255: from row to row a weld changes little. */
  readonly noise: number
}

/** A line across the seam, evened out along it; 0 where the picture shows nothing. */
function profileAt({ data, width, height }: Pixels, pxPerMm: number, atMm: number): Profile {
  const half = Math.max(1, Math.round((ALONG_MM * pxPerMm) / 2))
  const middle = Math.round(atMm * pxPerMm)
  const [from, to] = [Math.max(0, middle - half), Math.min(width - 1, middle + half)]
  const brightness = Float64Array.from({ length: height }, (_, row) => {
    let [sum, shown] = [0, 0]
    for (let column = from; column <= to; column++) {
      const at = (row * width + column) * 4
      if (data[at + 3]! < 128) continue
      // Luma of ITU-R BT.601.
      sum += 0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!
      shown++
    }
    return shown > 0 ? sum / shown : Number.NaN
  })
  const reach = Math.max(1, Math.round(ACROSS_MM * pxPerMm))
  const darker = Float64Array.from({ length: height }, (_, row) => {
    const [above, below] = [brightness[row - reach], brightness[row + reach]]
    const by = Math.min(above ?? Number.NaN, below ?? Number.NaN) - brightness[row]!
    return by > 0 ? by : 0
  })
  const steps = Array.from(brightness.subarray(1), (value, row) => Math.abs(value - brightness[row]!)).filter(
    step => !Number.isNaN(step),
  )
  // A normal variable strays from its like by 0.95 of its deviation in the middle of all cases.
  return { darker, noise: steps.length > 0 ? quantile(steps, 0.5) / 0.95 : Infinity }
}

interface ToePath {
  readonly rows: readonly number[]
  readonly standsOut: readonly boolean[]
}

/** The darkest row of each column, no farther from its neighbours than that is worth. */
function bestPath(profiles: readonly Profile[], from: number, to: number): ToePath | null {
  const rows = to - from + 1
  if (rows < 3) return null
  const window = profiles.map(({ darker }) => darker.slice(from, to + 1))
  const clear = quantile(
    window.map(column => Math.max(...column)),
    0.5,
  )
  if (!(clear > 0)) return null
  let worth = Float64Array.from(window[0]!, value => value / clear)
  const came: Int32Array[] = []
  for (const column of window.slice(1)) {
    const next = new Float64Array(rows)
    const back = new Int32Array(rows)
    for (let row = 0; row < rows; row++) {
      let best = -Infinity
      for (let before = Math.max(0, row - MOST_STEP); before <= Math.min(rows - 1, row + MOST_STEP); before++) {
        const value = worth[before]! - WANDER * (row - before) ** 2
        if (value > best) {
          best = value
          back[row] = before
        }
      }
      next[row] = best + column[row]! / clear
    }
    worth = next
    came.push(back)
  }
  let row = worth.indexOf(Math.max(...worth))
  const path = [row]
  for (const back of came.reverse()) {
    row = back[row]!
    path.unshift(row)
  }
  return {
    rows: path.map((at, n) => from + within(window[n]!, at) + 0.5),
    standsOut: path.map((at, n) => window[n]![at]! > Math.max(LEAST_DARKER, STANDS_OUT * profiles[n]!.noise)),
  }
}

/** Farthest that a toe moves across from one column to the next, px. */
const MOST_STEP = 6

/** The top of a parabola through a greatest value and its neighbours, in rows. */
function within(column: Float64Array, at: number): number {
  const [before, here, after] = [column[at - 1], column[at]!, column[at + 1]]
  if (before === undefined || after === undefined) return at
  const bend = before - 2 * here + after
  return bend < 0 ? at + Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : at
}

function farthestOffLine(points: readonly (readonly [number, number])[]): number {
  const [mx, my] = [mean(points.map(([x]) => x)), mean(points.map(([, y]) => y))]
  const spread = points.reduce((sum, [x]) => sum + (x - mx) ** 2, 0)
  const slope = spread > 0 ? points.reduce((sum, [x, y]) => sum + (x - mx) * (y - my), 0) / spread : 0
  return Math.max(...points.map(([x, y]) => Math.abs(y - my - slope * (x - mx))))
}
