import type { Specimen } from '~~/core/welderTest'

/** A point of the end view of a pipe, 12 o'clock on top, degrees clockwise. */
const at = (radius: number, degrees: number) => {
  const angle = (degrees * Math.PI) / 180
  return `${(radius * Math.sin(angle)).toFixed(2)} ${(-radius * Math.cos(angle)).toFixed(2)}`
}

/**
 * A specimen as it is cut from the wall of a pipe, seen from the end.
 * @param seamMm circumference; lengths mm
 * @example sector({ fromMm: 0, toMm: 90 }, 360, 50, 40) // the quarter from 12 to 3
 */
export function sector(
  { fromMm, toMm }: Pick<Specimen, 'fromMm' | 'toMm'>,
  seamMm: number,
  outer: number,
  inner: number,
): string {
  const [from, to] = [(360 * fromMm) / seamMm, (360 * toMm) / seamMm]
  const large = to - from > 180 ? 1 : 0
  const out = `M${at(outer, from)} A${outer} ${outer} 0 ${large} 1 ${at(outer, to)}`
  return `${out} L${at(inner, to)} A${inner} ${inner} 0 ${large} 0 ${at(inner, from)} Z`
}

/** Where a label stands, outside the pipe in the middle of a specimen. */
export function labelAt(
  { fromMm, toMm }: Pick<Specimen, 'fromMm' | 'toMm'>,
  seamMm: number,
  radius: number,
): { x: number; y: number; degrees: number } {
  const degrees = ((360 * (fromMm + toMm)) / 2 / seamMm + 360) % 360
  const [x, y] = at(radius, degrees).split(' ').map(Number) as [number, number]
  return { x, y, degrees: Math.round(degrees) }
}

/** The stretches of a plate's seam that no specimen is cut from, mm. */
export function leftOver(
  specimens: readonly Pick<Specimen, 'fromMm' | 'toMm'>[],
  seamMm: number,
): { fromMm: number; toMm: number }[] {
  const cuts = [...specimens].sort((a, b) => a.fromMm - b.fromMm)
  const starts = [0, ...cuts.map(cut => cut.toMm)]
  const ends = [...cuts.map(cut => cut.fromMm), seamMm]
  return starts.map((fromMm, n) => ({ fromMm, toMm: ends[n]! })).filter(part => part.toMm - part.fromMm > 0.5)
}
