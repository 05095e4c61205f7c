/** A stretch along a bead, mm, `fromMm` not after `toMm`. */
export interface Span {
  readonly fromMm: number
  readonly toMm: number
}

/**
 * Length covered by spans, counting what overlaps once.
 * @returns mm
 * @example unionLength([{ fromMm: 0, toMm: 10 }, { fromMm: 5, toMm: 12 }]) // 12
 */
export function unionLength(spans: readonly Span[]): number {
  const sorted = [...spans].sort((a, b) => a.fromMm - b.fromMm)
  let length = 0
  let reached = -Infinity
  for (const span of sorted) {
    length += Math.max(0, span.toMm - Math.max(span.fromMm, reached))
    reached = Math.max(reached, span.toMm)
  }
  return length
}
