import type { LengthUnit } from '../units'
import type { Clause, FamilyId } from './codeFamily'
import { isOver, isUnder, printed, type Printed, type Size } from './printedSize'

/** Something open on the convex face of a bend. Its greatest length in the unit it was measured in. */
export interface Opening {
  readonly length: number
  /** At a corner of the strip. */
  readonly corner: boolean
  /** What it plainly comes from; null when nothing can be seen. */
  readonly from: 'slag' | 'lack of fusion' | null
}

export type BendOutcome = 'passes' | 'fails' | 'another specimen'

/** How a bend is judged, with what decided it. */
export interface BendVerdict extends Clause {
  readonly outcome: BendOutcome
  readonly reasons: readonly string[]
}

const EIGHTH = printed(1 / 8, 3)
const SUM = printed(3 / 8, 10)
const COUNTED_OVER = printed(1 / 32, 1)
const CORNER = printed(1 / 4, 6)

/**
 * Judges one bend specimen by a family's rules; at a limit it passes, except where the code says "or more".
 * @param wallMm of a pipeline coupon, in the same unit; half of it may be the limit
 * @example bendVerdict('structural', 'in', [{ length: 1 / 8, corner: false, from: null }], null).outcome // 'passes'
 */
export function bendVerdict(family: FamilyId, unit: LengthUnit, openings: readonly Opening[], wall: number | null): BendVerdict {
  const size = (length: number): Size => ({ unit, value: length })
  const say = (limit: Printed) => (unit === 'in' ? { 0.125: '1/8 in', 0.375: '3/8 in', 0.25: '1/4 in' }[limit.in] ?? `${limit.in} in` : `${limit.mm} mm`)
  const innocent = (opening: Opening) => opening.corner && opening.from === null
  const failed = (reasons: string[], clause: string): BendVerdict => ({ outcome: reasons.length > 0 ? 'fails' : 'passes', reasons, clause, remembered: 'sure' })
  switch (family) {
    case 'structural': {
      const clause = '4.9.3.3 (2015), 6.10.3.3 (2020)'
      const reasons = openings.filter(opening => !innocent(opening) && isOver(size(opening.length), EIGHTH)).map(opening => `An opening over ${say(EIGHTH)}${opening.corner ? ` at a corner, from ${opening.from}` : ''}`)
      const sum = openings.filter(opening => !innocent(opening) && isOver(size(opening.length), COUNTED_OVER)).reduce((total, opening) => total + opening.length, 0)
      if (isOver(size(sum), SUM)) reasons.push(`Openings sum to more than ${say(SUM)}`)
      if (reasons.length === 0 && openings.some(opening => innocent(opening) && isOver(size(opening.length), CORNER)))
        return { outcome: 'another specimen', reasons: [`A corner crack over ${say(CORNER)} with no slag or lack of fusion: another strip of the same weld`], clause, remembered: 'sure' }
      return failed(reasons, clause)
    }
    case 'pressure':
      return failed(openings.filter(opening => !innocent(opening) && isOver(size(opening.length), EIGHTH)).map(() => `An open discontinuity over ${say(EIGHTH)}`), 'QW-163')
    case 'ISO': {
      const counted = openings.filter(opening => !innocent(opening))
      const reasons = counted.filter(opening => !isUnder(size(opening.length), EIGHTH)).map(() => `An opening of ${say(EIGHTH)} or more`)
      const sum = counted.filter(opening => !isUnder(size(opening.length), COUNTED_OVER) && isUnder(size(opening.length), EIGHTH)).reduce((total, opening) => total + opening.length, 0)
      if (isOver(size(sum), SUM)) reasons.push(`Openings of 1 to 3 mm sum to more than ${say(SUM)}`)
      return failed(reasons, '6.5.4, bend test')
    }
    case 'pipeline': {
      const half = wall === null ? Infinity : wall / 2
      const limit = Math.min(EIGHTH[unit], half)
      const bad = openings.filter(opening => (opening.corner && opening.from === null ? !isUnder(size(opening.length), CORNER) : opening.length > limit + 1e-6))
      return failed(bad.map(() => `An imperfection over ${half < EIGHTH[unit] ? 'half the wall' : say(EIGHTH)}`), '5.6.4.3')
    }
  }
}
