import type { HouseRules } from '~~/core/house'
import { positionOf } from '~~/core/trade'
import { settingsCard, type SetUpCase, type SettingsCard } from '~~/core/setup'
import type { Student } from '~~/contract/people'

/** One A6 card for one booth: the case as this student runs it, and the address of that booth's next coupon. */
export interface BoothCard {
  readonly id: string
  readonly student: string
  readonly booth: number | null
  readonly hand: 'right' | 'left'
  /** `E7018 · 1/8`. */
  readonly rod: string
  readonly wanted: SetUpCase
  readonly card: SettingsCard
  readonly address: string
}

/** A left-hander's case travels the other way, as the first way learned. */
function caseFor(wanted: SetUpCase, hand: 'right' | 'left'): SetUpCase {
  if (!positionOf(wanted.position).travel.includes('right to left')) return wanted
  return { ...wanted, travel: hand === 'left' ? 'right to left' : 'left to right' }
}

/**
 * Cards for a set of students, in the order of their booths.
 * @param origin where this school's Fusilis is reached, as in `http://shop.local:3000`
 */
export function boothCards(
  students: readonly Student[],
  wanted: SetUpCase,
  rod: string,
  rules: HouseRules,
  origin: string,
): BoothCard[] {
  return [...students]
    .sort((a, b) => (a.booth ?? 1e4) - (b.booth ?? 1e4))
    .map(student => {
      const own = caseFor(wanted, student.hand)
      const place = student.booth === null ? `student=${student.id}` : `booth=${student.booth}`
      return {
        id: student.id,
        student: student.name,
        booth: student.booth,
        hand: student.hand,
        rod,
        wanted: own,
        card: settingsCard(own, rules),
        address: `${origin}/bench?section=${student.sectionId}&${place}`,
      }
    })
}
