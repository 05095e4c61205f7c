import { isTry, type CouponDocument } from '../coupon'

/**
 * What a restart is sound in, or not. Source: practice limits of the house (height, width and line within 1/16 in,
 * and clean).
 */
export type RestartQuality = 'height' | 'width' | 'line' | 'clean'

/** Of which quality each fault is; an unfilled gap is a want of height. */
const QUALITY_OF: Readonly<Record<string, RestartQuality>> = {
  'high': 'height',
  'low': 'height',
  'gap': 'height',
  'wide': 'width',
  'narrow': 'width',
  'off line': 'line',
  'slag': 'clean',
  'pinholes': 'clean',
}

export interface RestartQualities {
  readonly tried: number
  /** Restarts and tie-ins that failed in each quality; one that was given no fault is in none. */
  readonly failed: Readonly<Record<RestartQuality, readonly string[]>>
}

/**
 * In what the restarts and tie-ins of a coupon fail.
 * @returns how many were tried, and the marks that failed in each quality
 * @example restartQualities(document).failed.height.length // 2
 */
export function restartQualities(document: CouponDocument): RestartQualities {
  const joins = document.marks.filter(isTry).filter(mark => mark.kind === 'restart' || mark.kind === 'tie-in')
  const failed: Record<RestartQuality, string[]> = { height: [], width: [], line: [], clean: [] }
  for (const mark of joins) {
    const quality = mark.degree === 'sound' ? undefined : QUALITY_OF[mark.fault ?? '']
    if (quality) failed[quality].push(mark.id)
  }
  return { tried: joins.length, failed }
}
