/** Density of steel: 7.85 g/cm³, 0.2836 lb/in³. Source: handbook value. In kg/mm³. */
export const STEEL_KG_PER_MM3 = 7.85e-6

/**
 * Weight of weld metal of one section all along.
 * @param areaMm2 section, mm²
 * @param lengthMm length, mm
 * @returns kg
 * @example weldWeight(20.16, 304.8) // 0.0482: a 1/4 in fillet, one foot, 0.106 lb
 */
export function weldWeight(areaMm2: number, lengthMm: number): number {
  return areaMm2 * lengthMm * STEEL_KG_PER_MM3
}

/**
 * Section of a fillet of equal legs. Source: arithmetic; AWS handbook tables print the flat one.
 * @param legMm leg, mm
 * @param convexity share added for a convex face, 0 to 0.25
 * @returns mm²
 * @example filletArea(6.35) // 20.16
 */
export function filletArea(legMm: number, convexity = 0): number {
  return (legMm ** 2 / 2) * (1 + convexity)
}

/** Throat of a flat fillet of equal legs at a right angle: leg × cos 45°. Millimetres in, millimetres out. */
export function filletThroat(legMm: number): number {
  return legMm * Math.SQRT1_2
}

/** Leg of the flat fillet that has a section: √(2 area). mm² in, mm out. */
export function filletLeg(areaMm2: number): number {
  return Math.sqrt(2 * areaMm2)
}

/** A V-groove in section: thickness, root opening, root face in mm, included angle in degrees, both bevels alike. */
export interface Groove {
  readonly thicknessMm: number
  readonly gapMm: number
  readonly landMm: number
  readonly includedDegrees: number
}

const halfTangent = ({ includedDegrees }: Groove) => Math.tan((includedDegrees / 2) * (Math.PI / 180))

/**
 * Width of a V-groove at its face, mm.
 * @throws RangeError when the land is thicker than the plate
 */
export function grooveFace(groove: Groove): number {
  if (groove.landMm > groove.thicknessMm) throw new RangeError('The land is thicker than the plate')
  return groove.gapMm + 2 * (groove.thicknessMm - groove.landMm) * halfTangent(groove)
}

/**
 * Section of a V-groove filled flush, and of a crown over it: g t + (t − f)² tan(a/2), and ⅔ W h for a parabolic crown.
 * Source: arithmetic.
 * @param crownMm height of the crown, mm
 * @returns mm²
 * @throws RangeError when the land is thicker than the plate
 * @example grooveArea({ thicknessMm: 9.525, gapMm: 3.175, landMm: 3.175, includedDegrees: 60 }) // 53.5: 0.282 lb/ft
 */
export function grooveArea(groove: Groove, crownMm = 0): number {
  const { thicknessMm, gapMm, landMm } = groove
  const face = grooveFace(groove)
  return gapMm * thicknessMm + (thicknessMm - landMm) ** 2 * halfTangent(groove) + (2 / 3) * face * crownMm
}

/**
 * Volume of a V-groove round a pipe: shells 2πr w(r) summed exactly from the bore to the outside, and a crown at
 * the outside.
 * The mean-diameter shortcut reads 1.5 to 3 % low, as the groove is widest at the outside. Source: arithmetic.
 * @param outsideMm outside diameter, mm
 * @param groove its `thicknessMm` is the wall
 * @returns mm³
 * @throws RangeError when the wall fills the pipe or the land is thicker than the wall
 * @example pipeGrooveVolume(60.325, groove) // 4424 for 2 in Sch 80, gap 1/8, land 3/32, 75°: 0.27 in³
 */
export function pipeGrooveVolume(outsideMm: number, groove: Groove, crownMm = 0): number {
  const outer = outsideMm / 2
  const inner = outer - groove.thicknessMm
  if (inner <= 0) throw new RangeError('The wall is as thick as the pipe')
  const bevelFrom = inner + groove.landMm
  const face = grooveFace(groove)
  const gap = Math.PI * groove.gapMm * (outer ** 2 - inner ** 2)
  const bevel =
    4 *
    Math.PI *
    halfTangent(groove) *
    ((outer ** 3 - bevelFrom ** 3) / 3 - (bevelFrom * (outer ** 2 - bevelFrom ** 2)) / 2)
  return gap + bevel + (2 / 3) * face * crownMm * 2 * Math.PI * outer
}
