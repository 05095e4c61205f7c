import type { ClimbCoupon } from '../../core/ladder'
import { elementOf, type ElementId } from '../../core/grading'
import { triedOf, type Tried } from '../../core/progress'
import type { PositionId, RodFamily, Travel, Work } from '../../core/trade'
import type { Verdict } from '../../core/coupon'
import { database, fromJson, rows } from './database'

interface EvidenceRow {
  student_id: string
  coupon_id: string
  class_day: string
  rung: string | null
  rung_id: string | null
  verdict: Verdict
  hand: 'right' | 'left' | null
  travel: Travel | null
  mock: number | null
  saved_by: string
  usual_hand: 'right' | 'left'
  work: Work
  position: PositionId
  rod_family: RodFamily
  element: ElementId
  tried: number
  sound: number
  rejected: unknown
}

const COLUMNS = `evidence.student_id, evidence.coupon_id, evidence.class_day, coupon.rung, coupon.rung_id,
  coupon.verdict, coupon.hand, coupon.travel, coupon.mock, coupon.saved_by, student.hand AS usual_hand, evidence.work,
  evidence.position, evidence.rod_family, evidence.element, evidence.tried, evidence.sound, evidence.rejected`
const JOINED = 'evidence JOIN coupon ON coupon.id = evidence.coupon_id JOIN student ON student.id = evidence.student_id'

/** What one student tried, and the coupons as the ladder sees them, oldest first. */
export interface History {
  readonly tried: readonly Tried[]
  readonly coupons: readonly ClimbCoupon[]
}

/** How far back progress looks: a hand is not what it was five hundred coupons ago. */
const MOST_COUPONS = 500

/** Each student's newest coupons, counted. */
export async function historiesOf(studentIds: readonly string[]): Promise<Map<string, History>> {
  const found = await Promise.all(studentIds.map(newestOf))
  return new Map(studentIds.map((id, n) => [id, { tried: found[n]!.flatMap(toTried), coupons: toCoupons(found[n]!) }]))
}

const newestOf = (studentId: string) =>
  rows<EvidenceRow>(
    database(),
    `
    SELECT ${COLUMNS} FROM (
      SELECT id FROM coupon WHERE student_id = ? ORDER BY class_day DESC, id DESC LIMIT ${MOST_COUPONS}) AS newest
    STRAIGHT_JOIN coupon ON coupon.id = newest.id
    JOIN evidence ON evidence.student_id = coupon.student_id AND evidence.coupon_id = coupon.id
    JOIN student ON student.id = coupon.student_id
    ORDER BY evidence.class_day, evidence.coupon_id, evidence.element`,
    [studentId],
  )

/** What the whole school tried of late, a list a student: what its curves are fitted to. */
export async function schoolHistory(mostCoupons: number): Promise<Tried[][]> {
  const found = await rows<EvidenceRow>(
    database(),
    `
    SELECT ${COLUMNS} FROM ${JOINED}
    WHERE coupon.id >= COALESCE(
      (SELECT id FROM coupon ORDER BY id DESC LIMIT 1 OFFSET ${Math.round(mostCoupons)}),
      '00000000-0000-0000-0000-000000000000')
    ORDER BY evidence.student_id, evidence.class_day, evidence.coupon_id, evidence.element`,
  )
  const students = new Map<string, Tried[]>()
  for (const row of found) {
    const own = students.get(row.student_id) ?? []
    own.push(...toTried(row))
    students.set(row.student_id, own)
  }
  return [...students.values()]
}

const toTried = (row: EvidenceRow): Tried[] =>
  triedOf(
    { ...row, rodFamily: row.rod_family },
    {
      couponId: row.coupon_id,
      classDay: row.class_day,
      hand: row.hand ?? row.usual_hand,
      usualHand: row.usual_hand,
      travel: row.travel,
      mock: row.mock === 1,
      reader: row.saved_by,
    },
    row.rejected === null ? {} : fromJson<Record<string, number>>(row.rejected),
  )

function toCoupons(found: readonly EvidenceRow[]): ClimbCoupon[] {
  const coupons = new Map<
    string,
    Omit<ClimbCoupon, 'tries'> & { tries: Record<string, { tried: number; sound: number }> }
  >()
  for (const row of found) {
    const coupon = coupons.get(row.coupon_id) ?? {
      rung: row.rung ?? '',
      ...(row.rung_id ? { rungId: row.rung_id } : {}),
      classDay: row.class_day,
      good: row.verdict === 'move on',
      tries: {},
    }
    if (elementOf(row.element).counted === 'tries') {
      const before = coupon.tries[row.element] ?? { tried: 0, sound: 0 }
      coupon.tries[row.element] = { tried: before.tried + row.tried, sound: before.sound + row.sound }
    }
    coupons.set(row.coupon_id, coupon)
  }
  return [...coupons.values()]
}
