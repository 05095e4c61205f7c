import { processesOf, type CodeBook, type TestPosition } from '../../core/qualification'
import {
  bendsOf,
  saidByCoupons,
  sidePassed,
  testStanding,
  withOpenings,
  type WelderTest,
  type TestState,
} from '../../core/welderTest'
import type { Process } from '../../core/trade'
import type {
  KeptUse,
  ProcessUseSave,
  SavedWelderTest,
  TestBay,
  WelderTestSave,
  TestSummary,
} from '../../contract/welderTests'
import { COUPONS } from './coupons'
import {
  database,
  fromJson,
  insertRow,
  inTransaction,
  rows,
  run,
  toDateTime,
  toIso,
  updateRow,
  type Queries,
} from './database'
import { amendDocument, rowOf, saveDocument, type DocumentKind, type SaveOutcome, type Saver } from './savedDocument'
import { within } from './within'

interface TestRow {
  id: string
  version: number
  document: unknown
  student: string
  saved_at: string
  saved_by: string
}

const SELECT_TEST = `SELECT test_record.id, version, document, student.name AS student, saved_at,
  account.name AS saved_by
  FROM test_record JOIN student ON student.id = test_record.student_id
    JOIN account ON account.id = test_record.saved_by`
const toTest = (row: TestRow): SavedWelderTest => ({
  id: row.id,
  version: row.version,
  document: fromJson(row.document),
  student: row.student,
  savedAt: toIso(row.saved_at),
  savedBy: row.saved_by,
})

export async function findTest(id: string, on: Queries = database()): Promise<SavedWelderTest | null> {
  const [row] = await rows<TestRow>(on, `${SELECT_TEST} WHERE test_record.id = ?`, [id])
  return row ? toTest(row) : null
}

/** How welder tests are kept. */
const TESTS = (book: CodeBook): DocumentKind<WelderTest, SavedWelderTest> => ({
  table: 'test_record',
  revisions: 'test_revision',
  key: 'test_id',
  find: findTest,
  write: async (on, next, before) => {
    const row = { ...derivedRow(next.document, book), ...rowOf(next) }
    if (before) await updateRow(on, 'test_record', next.id, row)
    else await insertRow(on, 'test_record', { id: next.id, ...row })
    await amendDocument(
      on,
      COUPONS,
      next.document.couponId,
      coupon => withOpenings(coupon, next.document, book),
      'what the bends of its test laid open',
      next.by,
    )
    return (await findTest(next.id, on))!
  },
})

/**
 * Saves a test whole; the one before it is kept, and what its bends laid open is marked on its coupon in the same
 * transaction.
 */
export function saveTest(
  id: string,
  { baseVersion, document }: WelderTestSave,
  book: CodeBook,
  by: Saver,
): Promise<SaveOutcome<SavedWelderTest>> {
  return saveDocument(TESTS(book), id, { baseVersion, document, why: '' }, by)
}

/** What can be counted of a test, beside its document. */
function derivedRow(document: WelderTest, book: CodeBook) {
  const { test, ticket, retest } = document
  const { bent, opened } = bendsOf(document, book)
  const byCoupons = document.said && saidByCoupons(document.said)
  return {
    student_id: document.studentId,
    book_id: document.book.id,
    book_version: document.book.version,
    position: test.position,
    piece_name: document.pieceName,
    classification: ticket.classification,
    processes: processesOf(test).join(' '),
    test_day: document.testDay,
    state: testStanding(document, book).state,
    odds: document.odds,
    coupons_visual: byCoupons?.visual ?? null,
    coupons_face: byCoupons?.face ?? null,
    coupons_root: byCoupons?.root ?? null,
    coupons_bends: byCoupons?.bends ?? null,
    visual_passed: document.visual === null ? null : document.visual.outcome === 'passes',
    face_passed: sidePassed(document.visual, 'face'),
    root_passed: sidePassed(document.visual, 'root'),
    retest_of: retest?.of ?? null,
    retest_pieces: retest?.pieces ?? null,
    bent,
    opened,
  }
}

/**
 * Calls a test off that was only planned. False when there is no such version, or it has begun: what was welded is
 * kept.
 */
export async function callOffTest(id: string, version: number): Promise<boolean> {
  return inTransaction(database(), async on => {
    const [row] = await rows<{ state: TestState; version: number }>(
      on,
      'SELECT state, version FROM test_record WHERE id = ? FOR UPDATE',
      [id],
    )
    if (row?.state !== 'planned' || row.version !== version) return false
    await run(on, 'DELETE FROM test_revision WHERE test_id = ?', [id])
    await run(on, 'DELETE FROM test_record WHERE id = ?', [id])
    return true
  })
}

interface SummaryRow {
  id: string
  student_id: string
  student: string
  here: number
  book_id: string
  book_version: number
  piece_name: string
  position: TestPosition
  classification: string
  processes: string
  test_day: string
  state: TestState
  odds: number | null
  retest_of: string | null
  retest_pieces: number | null
  bent: number
  opened: number
}
const toSummary = (row: SummaryRow): TestSummary => ({
  id: row.id,
  studentId: row.student_id,
  student: row.student,
  here: row.here === 1,
  book: { id: row.book_id, version: row.book_version },
  pieceName: row.piece_name,
  position: row.position,
  classification: row.classification,
  processes: row.processes.split(' ') as Process[],
  testDay: row.test_day,
  state: row.state,
  odds: row.odds,
  retest: row.retest_of === null ? null : { of: row.retest_of, pieces: row.retest_pieces ?? 1 },
  bent: row.bent,
  opened: row.opened,
})

interface UseRow {
  id: string
  student_id: string
  student: string
  process: Process
  kind: KeptUse['kind']
  used_on: string
  witness: string
}

/** More tests than a school takes in its years of records. */
const MOST = 20_000

/** Tests and uses, newest first; of one student when that is asked. */
export async function testBay(of: { studentId: string } | { sectionIds: readonly string[] | null }): Promise<TestBay> {
  const { sql, values } =
    'studentId' in of ? { sql: 'student.id = ?', values: [of.studentId] } : within('student.section_id', of.sectionIds)
  const [tests, uses] = await Promise.all([
    rows<SummaryRow>(
      database(),
      `SELECT test_record.id, student_id, student.name AS student, student.active AS here, book_id, book_version,
        piece_name, position, classification, processes, test_day, state, odds, retest_of, retest_pieces, bent, opened
      FROM test_record JOIN student ON student.id = test_record.student_id WHERE ${sql}
        ORDER BY test_day DESC, test_record.id DESC LIMIT ${MOST}`,
      values,
    ),
    rows<UseRow>(
      database(),
      `SELECT process_use.id, student_id, student.name AS student, process, kind, used_on, witness
      FROM process_use JOIN student ON student.id = process_use.student_id WHERE ${sql}
        ORDER BY used_on DESC LIMIT ${MOST}`,
      values,
    ),
  ])
  return {
    tests: tests.map(toSummary),
    uses: uses.map((row): KeptUse => ({
      id: row.id,
      studentId: row.student_id,
      student: row.student,
      process: row.process,
      kind: row.kind,
      usedOn: row.used_on,
      witness: row.witness,
    })),
  }
}

/** Notes a use of a process; the same again is one use. */
export async function addProcessUse(
  id: string,
  { studentId, process, kind, usedOn, witness }: ProcessUseSave,
  by: { name: string; now: Date },
): Promise<void> {
  await run(
    database(),
    `INSERT IGNORE INTO process_use (id, student_id, process, kind, used_on, witness, noted_by, noted_at)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [id, studentId, process, kind, usedOn, witness, by.name, toDateTime(by.now)],
  )
}
