import { cardCases } from '~~/core/coupon'
import { firstOfRung, type PlannedCoupon } from '~~/core/dayPlan'
import type { HouseRules } from '~~/core/house'
import type { LadderRung } from '~~/core/ladder'
import { settingsCard } from '~~/core/setup'
import { rodSizeOf } from '~~/core/trade'
import type { Student } from '~~/contract/people'
import type { BoothCard } from './boothCards'

interface CardsOf {
  readonly students: readonly Pick<Student, 'id' | 'name' | 'hand'>[]
  readonly rungs: readonly LadderRung[]
  readonly rules: HouseRules
  readonly sectionId: string
  readonly origin: string
}

/**
 * The settings cards that a plan is welded by, booth by booth in the order in which they are run: one for each pass
 * that is set otherwise, once for a student's rung however often it is run; each code opens that rung on the Bench.
 * @param origin where this school's Fusilis is reached, as in `http://shop.local:3000`
 */
export function planCards(lines: readonly PlannedCoupon[], of: CardsOf): BoothCard[] {
  const inOrder = [...lines].sort((a, b) => a.booth - b.booth || a.from - b.from)
  const firsts = inOrder.filter(
    (line, n) => !inOrder.slice(0, n).some(one => one.studentId === line.studentId && one.rungId === line.rungId),
  )
  return firsts.flatMap(line => cardsOfLine(line, of))
}

function cardsOfLine(line: PlannedCoupon, { students, rungs, rules, sectionId, origin }: CardsOf): BoothCard[] {
  const student = students.find(one => one.id === line.studentId)
  const rung = rungs.find(one => one.id === line.rungId)
  if (!student || !rung) return []
  const coupon = firstOfRung(rung, student.hand, rules)
  const query = new URLSearchParams({ section: sectionId, student: student.id, rung: rung.id })
  return cardCases(coupon).map((wanted, n) => ({
    id: `${student.id} ${rung.id} ${n}`,
    student: student.name,
    booth: line.booth,
    hand: coupon.ticket.hand,
    rod: `${wanted.classification} · ${rodSizeOf(wanted.diameterMm).name}`,
    wanted,
    card: settingsCard(wanted, rules),
    address: `${origin}/bench?${query}`,
  }))
}
