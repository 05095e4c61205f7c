import { BOOK_WEEKS } from '../../contract/rodRoom'
import type { Pass } from '../../core/coupon'
import { kindOf, type CouponsRun } from '../../core/rodRoom'
import { database, fromJson, rows } from './database'
import { within } from './within'

interface RunRow {
  student_id: string
  class_day: string
  rung: string
  mock: number
  classification: string
  diameter_mm: string
  rods: string
  passes: unknown
  coupons: number
}

/** What a rod room may hold of a pass: a covered electrode, not a bare rod. */
const isDrawn = ({ process }: Pass) => process === 'SMAW'

/**
 * The coupons of the last weeks, for as long as the rods’ book is told, by whose they were and how they were run.
 * @param taught sections whose students may be told of; null for all
 */
export async function couponsRun(taught: readonly string[] | null): Promise<CouponsRun[]> {
  const own = within('student.section_id', taught)
  const found = await rows<RunRow>(
    database(),
    `SELECT student_id, class_day, JSON_VALUE(document, '$.ticket.rung') AS rung,
      JSON_VALUE(document, '$.mock') AS mock, JSON_VALUE(document, '$.ticket.classification') AS classification,
      JSON_VALUE(document, '$.ticket.diameterMm') AS diameter_mm, JSON_VALUE(document, '$.ticket.rods') AS rods,
      JSON_EXTRACT(document, '$.passes') AS passes,
      COUNT(*) AS coupons
    FROM coupon JOIN student ON student.id = student_id
    WHERE class_day > UTC_DATE() - INTERVAL ${BOOK_WEEKS} WEEK AND ${own.sql}
    GROUP BY student_id, class_day, rung, mock, classification, diameter_mm, rods, passes`,
    own.values,
  )
  return found.map(row => ({
    studentId: row.student_id,
    classDay: row.class_day,
    rung: row.rung,
    mock: Number(row.mock) === 1,
    kinds: kindsOf(row),
    coupons: Number(row.coupons),
  }))
}

/** The rods of each pass of a joint; on a pad, those of the ticket; on a stub day, none that are drawn. */
function kindsOf({ passes, classification, diameter_mm, rods }: RunRow): string[] {
  if (rods === 'stubs') return []
  const drawn =
    passes === null ? [{ classification, diameterMm: Number(diameter_mm) }] : fromJson<Pass[]>(passes).filter(isDrawn)
  return [...new Set(drawn.map(kindOf))]
}
