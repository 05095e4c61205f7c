import type { CouponDocument } from '../../core/coupon'
import type { Stubs } from '../../core/rodRoom'
import type { WelderTest } from '../../core/welderTest'
import type { DayPlan } from '../../contract/dayPlan'
import type { PersonExport } from '../../contract/personData'
import { database, fromJson, rows, toIso } from './database'
import { picturesWithBytes } from './pictures'
import { findSchool } from './school'
import { findStudent } from './students'

type Row = Record<string, string | number | null>
const all = (sql: string, studentId: string) => rows<Row>(database(), sql, [studentId])
const text = (value: Row[string] | undefined) => String(value ?? '')
const moment = (value: Row[string] | undefined) => toIso(text(value))

/** All that is kept about one student; null when there is no such student. */
export async function exportPerson(studentId: string, now: Date): Promise<PersonExport | null> {
  const student = await findStudent(studentId)
  if (!student) return null
  const [
    school,
    [section],
    coupons,
    couponsBefore,
    tests,
    testsBefore,
    readings,
    answers,
    signOffs,
    uses,
    attendance,
    left,
    trail,
    cautions,
    [consent],
    drawn,
    planned,
    pictures,
  ] = await Promise.all([
    findSchool(),
    all('SELECT section.name FROM section JOIN student ON section_id = section.id WHERE student.id = ?', studentId),
    all(
      `SELECT coupon.id, version, saved_at, account.name AS saved_by, document
        FROM coupon JOIN account ON account.id = saved_by WHERE coupon.student_id = ? ORDER BY class_day, coupon.id`,
      studentId,
    ),
    all(
      `SELECT coupon_id AS of_id, coupon_revision.version, coupon_revision.saved_at, coupon_revision.document
        FROM coupon_revision JOIN coupon ON coupon.id = coupon_id
        WHERE student_id = ? ORDER BY coupon_id, coupon_revision.version`,
      studentId,
    ),
    all(
      `SELECT test_record.id, version, saved_at, account.name AS saved_by, document
        FROM test_record JOIN account ON account.id = saved_by
        WHERE test_record.student_id = ? ORDER BY test_day, test_record.id`,
      studentId,
    ),
    all(
      `SELECT test_id AS of_id, test_revision.version, test_revision.saved_at, test_revision.document
        FROM test_revision JOIN test_record ON test_record.id = test_id
        WHERE student_id = ? ORDER BY test_id, test_revision.version`,
      studentId,
    ),
    all(
      `SELECT id, coupon_id, stage, made_at, document FROM blind_reading
        WHERE reader_kind = 'student' AND reader_id = ? ORDER BY made_at, id`,
      studentId,
    ),
    all(
      `SELECT card, said_cause, said_change, answered_at FROM bead_answer
        WHERE reader_kind = 'student' AND reader_id = ? ORDER BY answered_at, id`,
      studentId,
    ),
    all('SELECT * FROM sign_off WHERE student_id = ? ORDER BY signed_at', studentId),
    all('SELECT * FROM process_use WHERE student_id = ? ORDER BY used_on', studentId),
    all('SELECT * FROM attendance_note WHERE student_id = ? ORDER BY class_day, noted_at', studentId),
    all('SELECT says, left_by, left_at FROM remark WHERE student_id = ? ORDER BY left_at', studentId),
    all(
      `SELECT trail.at, trail.did, account.name AS who FROM trail LEFT JOIN account ON account.id = account_id
        WHERE trail.student_id = ? ORDER BY trail.id`,
      studentId,
    ),
    all('SELECT says, read_at, said_by FROM caution_read WHERE student_id = ? ORDER BY read_at, says', studentId),
    all('SELECT of_age_on, given_on, given_by FROM guardian_consent WHERE student_id = ?', studentId),
    all(
      `SELECT classification, kind, rod_movement.rods, stubs, why, noted_by, noted_at
        FROM rod_movement JOIN rod_lot ON rod_lot.id = lot_id WHERE student_id = ? ORDER BY noted_at, rod_movement.id`,
      studentId,
    ),
    all(
      `SELECT class_day, plan FROM day_plan AS newest
        WHERE JSON_SEARCH(plan, 'one', ?) IS NOT NULL AND version =
          (SELECT MAX(version) FROM day_plan
            WHERE section_id = newest.section_id AND class_day = newest.class_day)
        ORDER BY class_day`,
      studentId,
    ),
    picturesWithBytes(studentId),
  ])
  const kept = <Document>(found: readonly Row[], before: readonly Row[]) =>
    found.map(row => ({
      id: text(row.id),
      version: Number(row.version),
      savedAt: moment(row.saved_at),
      savedBy: text(row.saved_by),
      document: fromJson<Document>(row.document),
      before: before
        .filter(one => one.of_id === row.id)
        .map(one => ({
          version: Number(one.version),
          savedAt: moment(one.saved_at),
          document: fromJson<Document>(one.document),
        })),
    }))
  return {
    format: 'fusilis-person',
    version: 1,
    school: school?.name ?? '',
    made: now.toISOString(),
    student: { ...student, section: text(section?.name) },
    coupons: kept<CouponDocument>(coupons, couponsBefore),
    tests: kept<WelderTest>(tests, testsBefore),
    pictures,
    blindReadings: readings.map(row => ({
      id: text(row.id),
      couponId: text(row.coupon_id),
      stage: text(row.stage),
      madeAt: moment(row.made_at),
      document: fromJson<CouponDocument>(row.document),
    })),
    beadAnswers: answers.map(row => ({
      card: text(row.card),
      saidCause: text(row.said_cause),
      saidChange: text(row.said_change),
      answeredAt: moment(row.answered_at),
    })),
    signOffs: signOffs.map(row => ({
      rungId: text(row.rung_id),
      stood: text(row.stood),
      why: text(row.why),
      by: text(row.signed_by),
      at: moment(row.signed_at),
      takenBackAt: row.taken_back_at ? moment(row.taken_back_at) : null,
    })),
    processUses: uses.map(row => ({
      process: text(row.process),
      kind: text(row.kind),
      usedOn: text(row.used_on),
      witness: text(row.witness),
    })),
    attendance: attendance.map(row => ({
      classDay: text(row.class_day),
      came: row.came === null ? null : text(row.came).slice(0, 5),
      left: row.left_at === null ? null : text(row.left_at).slice(0, 5),
      absent: row.absent === 1,
      why: text(row.why),
      by: text(row.noted_by),
      at: moment(row.noted_at),
    })),
    cautionsRead: cautions.map(row => ({ says: text(row.says), by: text(row.said_by), at: moment(row.read_at) })),
    guardianConsent: consent
      ? {
          ofAgeOn: text(consent.of_age_on),
          givenOn: consent.given_on === null ? null : text(consent.given_on),
          givenBy: text(consent.given_by),
        }
      : null,
    rods: drawn.map(row => ({
      classification: text(row.classification),
      what: text(row.kind),
      rods: Number(row.rods),
      stubs: row.stubs === null ? null : fromJson<Stubs>(row.stubs),
      why: text(row.why),
      by: text(row.noted_by),
      at: moment(row.noted_at),
    })),
    planned: planned.flatMap(row =>
      fromJson<DayPlan>(row.plan)
        .lines.filter(line => line.studentId === studentId)
        .map(({ rungId, booth, from, minutes }) => ({ classDay: text(row.class_day), rungId, booth, from, minutes })),
    ),
    remarks: left.map(row => ({ says: text(row.says), by: text(row.left_by), at: moment(row.left_at) })),
    trail: trail.map(row => ({
      at: moment(row.at),
      who: row.who === null ? 'a tablet' : text(row.who),
      did: text(row.did),
    })),
  }
}
