import { daysAfter, type ClassDay } from '../../core/calendar'
import {
  addTallies,
  blindCopy,
  compareReadings,
  ownCopy,
  tallyOf,
  type Outcome,
  type Tally,
} from '../../core/agreement'
import { runAgain, type CouponDocument } from '../../core/coupon'
import { readerMarks } from '../../core/progress'
import { schoolCurves } from './schoolCurves'
import type { Me } from '../../contract/people'
import type {
  BlindReading,
  OpenToRead,
  ReadersAgreement,
  BlindReadingSave,
  BlindReadingSummary,
  Stage,
} from '../../contract/blindReadings'
import { database, fromJson, isDuplicate, rows, run, toDateTime, toIso } from './database'
import { findStudent } from './students'
import { within } from './within'

/** Who reads: a student of the school, or an instructor by the account. */
export interface Reader {
  readonly kind: 'student' | 'instructor'
  readonly id: string
}

interface ReadingRow {
  id: string
  coupon_id: string
  reader_kind: Reader['kind']
  reader_id: string
  reader: string
  stage: Stage
  document: unknown
  made_at: string
}

const READING = `
  SELECT blind_reading.id, blind_reading.coupon_id, reader_kind, reader_id,
    COALESCE(account.name, student.name) AS reader, stage, blind_reading.document, made_at
  FROM blind_reading LEFT JOIN account ON account.id = reader_id AND reader_kind = 'instructor'
    LEFT JOIN student ON student.id = reader_id AND reader_kind = 'student'`

const toReading = (row: ReadingRow): BlindReading => ({
  id: row.id,
  couponId: row.coupon_id,
  stage: row.stage,
  document: fromJson(row.document),
  madeAt: toIso(row.made_at),
  reader: { kind: row.reader_kind, id: row.reader_id, name: row.reader },
})

/** Keeps a reading. The same again is one reading; null when this reader has read the coupon at this stage already. */
export async function keepBlindReading(
  id: string,
  { couponId, stage, document }: BlindReadingSave,
  reader: Reader,
  now: Date,
): Promise<BlindReading | null> {
  try {
    await run(
      database(),
      `INSERT INTO blind_reading
        (id, coupon_id, student_id, reader_kind, reader_id, stage, class_day, document, made_at)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      [
        id,
        couponId,
        document.studentId,
        reader.kind,
        reader.id,
        stage,
        document.classDay,
        JSON.stringify(document),
        toDateTime(now),
      ],
    )
  } catch (error) {
    if (!isDuplicate(error)) throw error
  }
  const [row] = await rows<ReadingRow>(database(), `${READING} WHERE blind_reading.id = ? AND reader_id = ?`, [
    id,
    reader.id,
  ])
  return row ? toReading(row) : null
}

/** How many readings a student handed in within a day, of other coupons that no instructor has read. */
export async function readingsInHand(studentId: string, couponId: string): Promise<number> {
  const [row] = await rows<{ n: number }>(
    database(),
    `SELECT COUNT(DISTINCT coupon_id) AS n FROM blind_reading WHERE reader_id = ? AND coupon_id <> ?
      AND made_at > UTC_TIMESTAMP(3) - INTERVAL 1 DAY
      AND NOT EXISTS (SELECT 1 FROM coupon WHERE coupon.id = blind_reading.coupon_id)`,
    [studentId, couponId],
  )
  return row!.n
}

/** Readings of a coupon, oldest first. */
export async function blindReadingsOf(couponId: string): Promise<BlindReading[]> {
  return (
    await rows<ReadingRow>(database(), `${READING} WHERE blind_reading.coupon_id = ? ORDER BY made_at`, [couponId])
  ).map(toReading)
}

const OUTCOMES: readonly Outcome[] = ['found', 'missed', 'imagined', 'misjudged']

function summaryOf(
  reference: CouponDocument,
  reading: CouponDocument,
): { outcomes: Record<Outcome, number>; tally: Tally } {
  const compared = compareReadings(reference, reading)
  const count = (outcome: Outcome) => compared.filter(row => row.outcome === outcome).length
  return {
    outcomes: Object.fromEntries(OUTCOMES.map(outcome => [outcome, count(outcome)])) as Record<Outcome, number>,
    tally: tallyOf(reference, reading),
  }
}

/** How many readings back a record looks. */
const MOST_READINGS = 60

/** How a student's own readings agreed with the instructor's, oldest first. */
export async function ownBlindReadings(studentId: string): Promise<BlindReadingSummary[]> {
  const found = await rows<{
    id: string
    coupon_id: string
    class_day: string
    stage: Stage
    reading: unknown
    reference: unknown
  }>(
    database(),
    `
    SELECT blind_reading.id, blind_reading.coupon_id, blind_reading.class_day, stage,
      blind_reading.document AS reading, coupon.document AS reference
    FROM blind_reading JOIN coupon ON coupon.id = blind_reading.coupon_id
    WHERE blind_reading.student_id = ? AND reader_kind = 'student' ORDER BY made_at DESC LIMIT ${MOST_READINGS}`,
    [studentId],
  )
  return found.reverse().map(row => {
    const reference = fromJson<CouponDocument>(row.reference)
    return {
      id: row.id,
      couponId: row.coupon_id,
      classDay: row.class_day,
      stage: row.stage,
      rung: reference.ticket.rung,
      ...summaryOf(reference, fromJson(row.reading)),
    }
  })
}

const OF_LATE_DAYS = 7
const MOST_OPEN = 8

/** What a student may read blind; null when there is no such student. */
export async function openToRead(studentId: string, today: ClassDay): Promise<OpenToRead | null> {
  const student = await findStudent(studentId)
  if (!student) return null
  const since = daysAfter(today, -OF_LATE_DAYS)
  const found = await rows<{
    id: string
    class_day: string
    saved_at: string
    document: unknown
    seen: number
    stages: string | null
  }>(
    database(),
    `
    SELECT coupon.id, coupon.class_day, coupon.saved_at, coupon.document, student_saw_at IS NOT NULL AS seen, (
      SELECT GROUP_CONCAT(stage) FROM blind_reading WHERE blind_reading.coupon_id = coupon.id
        AND reader_id = coupon.student_id) AS stages
    FROM coupon WHERE student_id = ? ORDER BY class_day DESC, id DESC LIMIT ${MOST_OPEN}`,
    [studentId],
  )
  const coupons = found.map(row => ({
    couponId: row.id,
    classDay: row.class_day,
    at: toIso(row.saved_at),
    document: fromJson<CouponDocument>(row.document),
    read: (row.stages?.split(',') ?? []) as Stage[],
    own: false,
    seen: row.seen === 1,
  }))
  const unread = await rows<{ coupon_id: string; class_day: string; made_at: string; document: unknown }>(
    database(),
    `
    SELECT coupon_id, class_day, made_at, document FROM blind_reading AS own WHERE student_id = ?
      AND reader_kind = 'student' AND stage = 'before chipping' AND class_day >= ?
      AND NOT EXISTS (SELECT 1 FROM coupon WHERE coupon.id = own.coupon_id)
      AND NOT EXISTS (SELECT 1 FROM blind_reading AS clean WHERE clean.coupon_id = own.coupon_id
        AND clean.reader_id = own.reader_id AND clean.stage = 'after chipping')
    ORDER BY made_at DESC`,
    [studentId, since],
  )
  const inHand = unread.map(row => ({
    couponId: row.coupon_id,
    classDay: row.class_day,
    at: toIso(row.made_at),
    document: fromJson<CouponDocument>(row.document),
    read: ['before chipping'] as Stage[],
    own: true,
    seen: false,
  }))
  return {
    student,
    next: coupons[0] ? runAgain(coupons[0].document) : null,
    coupons: [...inHand, ...coupons]
      .filter(({ classDay, read, seen }) => classDay >= since && !seen && !read.includes('after chipping'))
      .map(({ own, seen: _, ...coupon }) => ({ ...coupon, document: (own ? ownCopy : blindCopy)(coupon.document) })),
  }
}

/** How much each of those marks who have read coupons of these sections, first or blind. */
async function marksOfReaders({ sql, values }: ReturnType<typeof within>): Promise<ReadersAgreement['marks']> {
  const [{ curves, wrong }, readers] = await Promise.all([
    schoolCurves(),
    rows<{ id: string; name: string }>(
      database(),
      `SELECT account.id, account.name FROM account WHERE EXISTS (
        SELECT 1 FROM coupon JOIN student ON student.id = coupon.student_id
        WHERE coupon.saved_by = account.id AND ${sql})
      OR EXISTS (
        SELECT 1 FROM blind_reading JOIN student ON student.id = blind_reading.student_id
        WHERE reader_kind = 'instructor' AND reader_id = account.id AND ${sql})`,
      [...values, ...values],
    ),
  ])
  const names = new Map(readers.map(({ id, name }) => [id, name]))
  return readerMarks(curves, wrong).flatMap(({ reader, ...marks }) => {
    const name = names.get(reader)
    return name === undefined ? [] : [{ name, ...marks }]
  })
}

const MOST_PAIRED = 400
const MOST_WAITING = 6

/** How the school's instructors agree with one another, and the newest coupons that only one of them has read. */
export async function readersAgreement(me: Pick<Me, 'id' | 'sectionIds'>): Promise<ReadersAgreement> {
  const { sql, values } = within('student.section_id', me.sectionIds)
  const found = await rows<{ first: string; second: string; reading: unknown; reference: unknown }>(
    database(),
    `
    SELECT saver.name AS first, reader.name AS second, blind_reading.document AS reading, coupon.document AS reference
    FROM blind_reading JOIN coupon ON coupon.id = blind_reading.coupon_id
      JOIN account AS saver ON saver.id = coupon.saved_by JOIN account AS reader ON reader.id = reader_id
      JOIN student ON student.id = coupon.student_id
    WHERE reader_kind = 'instructor' AND ${sql} ORDER BY made_at DESC LIMIT ${MOST_PAIRED}`,
    values,
  )
  const pairs = new Map<string, { first: string; second: string; tallies: Tally[] }>()
  for (const row of found) {
    const pair = pairs.get(`${row.first}\n${row.second}`) ?? { first: row.first, second: row.second, tallies: [] }
    pair.tallies.push(tallyOf(fromJson(row.reference), fromJson(row.reading)))
    pairs.set(`${row.first}\n${row.second}`, pair)
  }
  const waiting = await rows<{ id: string; class_day: string; student: string; saved_by: string; rung: string }>(
    database(),
    `
    SELECT STRAIGHT_JOIN coupon.id, coupon.class_day, student.name AS student, account.name AS saved_by,
      JSON_VALUE(coupon.document, '$.ticket.rung') AS rung
    FROM coupon JOIN student ON student.id = coupon.student_id JOIN account ON account.id = coupon.saved_by
    WHERE coupon.saved_by <> ? AND student.active AND ${sql}
      AND NOT EXISTS (SELECT 1 FROM blind_reading WHERE coupon_id = coupon.id AND reader_kind = 'instructor')
    ORDER BY coupon.id DESC LIMIT ${MOST_WAITING}`,
    [me.id, ...values],
  )
  return {
    pairs: [...pairs.values()].map(({ first, second, tallies }) => ({
      first,
      second,
      coupons: tallies.length,
      tallies: addTallies(tallies),
    })),
    marks: await marksOfReaders({ sql, values }),
    waiting: waiting.map(row => ({
      couponId: row.id,
      classDay: row.class_day,
      student: row.student,
      rung: row.rung,
      readBy: row.saved_by,
    })),
  }
}
