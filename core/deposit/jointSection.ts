import { filletArea, grooveArea, type Groove } from './weldMetal'

/** What is to be filled, in section. Lengths mm, angles degrees. A fillet is turned so that its face lies level. */
export type JointShape =
  | { readonly kind: 'V'; readonly groove: Groove; readonly backing: boolean }
  | { readonly kind: 'double V'; readonly groove: Groove }
  | {
      readonly kind: 'U'
      readonly thicknessMm: number
      readonly gapMm: number
      readonly landMm: number
      readonly radiusMm: number
      readonly bevelDegrees: number
    }
  | { readonly kind: 'fillet'; readonly legMm: number; readonly thicknessMm: number }

/**
 * A joint as a surface to lay beads on: height of what is there, sampled across. y = 0 is flush (for a fillet, the
 * face of the wanted leg),
 * and down is negative; x = 0 is the middle of the joint.
 */
export interface JointSection {
  readonly gridMm: number
  readonly leftMm: number
  /** Height of the bare joint at each sample. */
  readonly floor: Float64Array
  /** Where the joint meets the plate's face, mm to either side of the middle. */
  readonly edgeMm: number
  /** Depth from flush to the root, mm. */
  readonly depthMm: number
  /** Section to be filled flush, mm², by a closed form of its own. */
  readonly areaMm2: number
}

const GRID_MM = 0.1
/** Plate drawn and welded on beyond each edge, mm. */
const BESIDE_MM = 12
const tangent = (degrees: number) => Math.tan((degrees * Math.PI) / 180)

/**
 * The surface of a joint.
 * @throws RangeError when its sizes do not go together
 * @example jointSection({ kind: 'V', groove: { thicknessMm: 12, gapMm: 3.2, landMm: 2.4, includedDegrees: 60 },
 *   backing: false }).edgeMm // 7.1
 */
export function jointSection(shape: JointShape): JointSection {
  const { edgeMm, depthMm, areaMm2, height } = profileOf(shape)
  const leftMm = -Math.ceil((edgeMm + BESIDE_MM) / GRID_MM) * GRID_MM
  const floor = new Float64Array(Math.round((-2 * leftMm) / GRID_MM) + 1)
  for (let n = 0; n < floor.length; n++) floor[n] = meanAbout(height, leftMm + n * GRID_MM)
  return { gridMm: GRID_MM, leftMm, floor, edgeMm, depthMm, areaMm2 }
}

const SUBSAMPLES = 16
/** A sample stands for its cell: its height is the mean across it, so that a plumb land keeps its area. */
function meanAbout(height: Profile['height'], x: number): number {
  let sum = 0
  for (let n = 0; n < SUBSAMPLES; n++) sum += height(Math.abs(x + ((n + 0.5) / SUBSAMPLES - 0.5) * GRID_MM))
  return sum / SUBSAMPLES
}

interface Profile {
  readonly edgeMm: number
  readonly depthMm: number
  readonly areaMm2: number
  /** Height at a distance from the middle; all shapes here are alike on both sides. */
  readonly height: (fromMiddleMm: number) => number
}

function profileOf(shape: JointShape): Profile {
  if (shape.kind === 'V') return vProfile(shape.groove)
  if (shape.kind === 'double V') {
    const half = { ...shape.groove, thicknessMm: (shape.groove.thicknessMm + shape.groove.landMm) / 2 }
    return vProfile(half)
  }
  if (shape.kind === 'U') return uProfile(shape)
  if (!(shape.legMm > 0 && shape.legMm <= 2 * shape.thicknessMm))
    throw new RangeError('A leg is more than 0 and at most twice the plate')
  const depthMm = shape.legMm * Math.SQRT1_2
  return { edgeMm: depthMm, depthMm, areaMm2: filletArea(shape.legMm), height: x => x - depthMm }
}

/** One side of a V: straight land, then the bevel. */
function vProfile({ thicknessMm, gapMm, landMm, includedDegrees }: Groove): Profile {
  if (!(thicknessMm > 0 && gapMm >= 0 && landMm >= 0 && includedDegrees > 0 && includedDegrees < 160))
    throw new RangeError('A groove has a plate, and an angle over 0 and under 160 degrees')
  if (landMm >= thicknessMm) throw new RangeError('The land is thinner than the plate')
  const slope = tangent(includedDegrees / 2)
  const half = gapMm / 2
  return {
    edgeMm: half + (thicknessMm - landMm) * slope,
    depthMm: thicknessMm,
    areaMm2: grooveArea({ thicknessMm, gapMm, landMm, includedDegrees }),
    height: x => (x <= half ? -thicknessMm : Math.min(0, -thicknessMm + landMm + (x - half) / slope)),
  }
}

/** A U: a round root of radius r on a land, then a straight bevel that leaves the round at its own angle. */
function uProfile({ thicknessMm, gapMm, landMm, radiusMm, bevelDegrees }: Extract<JointShape, { kind: 'U' }>): Profile {
  const slope = tangent(bevelDegrees)
  const angle = (bevelDegrees * Math.PI) / 180
  const half = gapMm / 2
  // The round begins level at the land and ends where its tangent is the bevel: as high as r (1 − sin b), as far
  // out as r cos b.
  const roundHigh = radiusMm * (1 - Math.sin(angle))
  const roundOut = radiusMm * Math.cos(angle)
  const rest = thicknessMm - landMm - roundHigh
  if (!(radiusMm > 0 && bevelDegrees > 0 && bevelDegrees < 60 && rest > 0))
    throw new RangeError(
      'A U has a radius that fits in the plate above its land, and a bevel over 0 and under 60 degrees',
    )
  const edgeMm = half + roundOut + rest * slope
  // Under the round's own arc: a quarter circle less its last part, by the circle's sector and triangle.
  const underRound =
    radiusMm * roundOut - (radiusMm ** 2 * (Math.PI / 2 - angle)) / 2 - (roundOut * radiusMm * Math.sin(angle)) / 2
  const sideArea = roundOut * (thicknessMm - landMm) - underRound + (rest ** 2 * slope) / 2
  return {
    edgeMm,
    depthMm: thicknessMm,
    areaMm2: gapMm * thicknessMm + 2 * sideArea,
    height: x => {
      if (x <= half) return -thicknessMm
      const out = x - half
      const base = -thicknessMm + landMm
      if (out <= roundOut) return base + radiusMm - Math.sqrt(radiusMm ** 2 - out ** 2)
      return Math.min(0, base + roundHigh + (out - roundOut) / slope)
    },
  }
}
