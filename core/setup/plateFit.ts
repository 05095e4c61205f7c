import { electrodeOf, rodSizeOf } from '../trade'
import { inches } from '../units'

/** Least plate for a rod, mm, by size; low-hydrogen rods ask for more. Source: common practice. */
const LEAST: Readonly<Record<string, { readonly any: number; readonly lowHydrogen: number }>> = {
  // So thin only rutile rods are made.
  '1/16': { any: 1, lowHydrogen: 1 },
  '5/64': { any: 1.5, lowHydrogen: 1.5 },
  '3/32': { any: 2, lowHydrogen: inches(1 / 8) },
  '1/8': { any: 2, lowHydrogen: inches(1 / 4) },
  '5/32': { any: 5, lowHydrogen: inches(1 / 4) },
  '3/16': { any: 12, lowHydrogen: 12 },
}

/**
 * The thinnest plate that a rod suits.
 * @param diameterMm core diameter, mm
 * @returns mm
 * @example leastPlate('E7018', 3.175) // 6.35
 */
export function leastPlate(classification: string, diameterMm: number): number {
  const row = LEAST[rodSizeOf(diameterMm).soldFor]!
  return electrodeOf(classification).family === 'low hydrogen' ? row.lowHydrogen : row.any
}

/**
 * Rods that suit a plate. Source: common practice; position and joint may want smaller.
 * @param thicknessMm plate, mm
 * @returns core diameters from and to, mm
 * @example rodsForPlate(9.5) // { lowMm: 3.2, highMm: 4 }
 */
export function rodsForPlate(thicknessMm: number): { readonly lowMm: number; readonly highMm: number } {
  if (thicknessMm < 1.5) return { lowMm: 1.6, highMm: 2 }
  if (thicknessMm < 2) return { lowMm: 2, highMm: 2.5 }
  if (thicknessMm < 5) return { lowMm: 2.5, highMm: 3.2 }
  if (thicknessMm <= 12) return { lowMm: 3.2, highMm: 4 }
  return { lowMm: 4, highMm: 5 }
}
