import { testStanding, type FamilyId, type TestDocument, type TestState } from '../../core/qualification'
import type { ProcessUse, ProcessUseSave, SavedTest, TestBay, TestSave, TestSummary } from '../../contract/tests'
import { database, fromJson, inTransaction, isDuplicate, rows, run, toDateTime, toIso, type Queries } from './database'

interface TestRow {
  id: string
  version: number
  document: unknown
  student: string
  saved_at: string
  saved_by: string
}

const SELECT_TEST = `SELECT test_record.id, version, document, student.name AS student, saved_at, account.name AS saved_by
  FROM test_record JOIN student ON student.id = test_record.student_id JOIN account ON account.id = test_record.saved_by`
const toTest = (row: TestRow): SavedTest => ({ id: row.id, version: row.version, document: fromJson(row.document), student: row.student, savedAt: toIso(row.saved_at), savedBy: row.saved_by })

export async function findTest(id: string, on: Queries = database()): Promise<SavedTest | null> {
  const [row] = await rows<TestRow>(on, `${SELECT_TEST} WHERE test_record.id = ?`, [id])
  return row ? toTest(row) : null
}

/** Saves a test whole; the one before it is kept. Null when somebody saved a newer version; the same save again is one save. */
export async function saveTest(id: string, { baseVersion, document }: TestSave, by: { id: string, now: Date }): Promise<SavedTest | null> {
  const text = JSON.stringify(document)
  try {
    return await inTransaction(database(), async (on) => {
      const [before] = await rows<{ version: number, document: unknown, saved_at: string, saved_by: string }>(on, 'SELECT version, document, saved_at, saved_by FROM test_record WHERE id = ? FOR UPDATE', [id])
      if (before && JSON.stringify(fromJson(before.document)) === text) return findTest(id, on)
      if ((before?.version ?? 0) !== baseVersion) return null
      if (before) await run(on, 'INSERT INTO test_revision (test_id, version, document, saved_at, saved_by) VALUES (?, ?, ?, ?, ?)', [id, before.version, JSON.stringify(fromJson(before.document)), before.saved_at, before.saved_by])
      await write(on, id, document, text, baseVersion + 1, by)
      return findTest(id, on)
    })
  } catch (error) {
    if (isDuplicate(error)) return null
    throw error
  }
}

async function write(on: Queries, id: string, document: TestDocument, text: string, version: number, by: { id: string, now: Date }): Promise<void> {
  const { test } = document
  const values = [document.studentId, test.family, test.position, document.pieceName, document.testDay, testStanding(document).state, document.odds, version, text, toDateTime(by.now), by.id, id] as const
  if (version === 1) await run(on, 'INSERT INTO test_record (student_id, family, position, piece_name, test_day, state, odds, version, document, saved_at, saved_by, id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)', values)
  else await run(on, 'UPDATE test_record SET student_id = ?, family = ?, position = ?, piece_name = ?, test_day = ?, state = ?, odds = ?, version = ?, document = ?, saved_at = ?, saved_by = ? WHERE id = ?', values)
}

interface SummaryRow {
  id: string
  student_id: string
  student: string
  family: FamilyId
  piece_name: string
  position: string
  test_day: string
  state: TestState
  odds: number | null
}

const MOST = 500

/** Tests and uses, newest first; of one student when that is asked. */
export async function testBay(studentId: string | null): Promise<TestBay> {
  const [where, values] = studentId === null ? ['', []] : ['WHERE student.id = ?', [studentId]]
  const [tests, uses] = await Promise.all([
    rows<SummaryRow>(database(), `SELECT test_record.id, student_id, student.name AS student, family, piece_name, position, test_day, state, odds
      FROM test_record JOIN student ON student.id = test_record.student_id ${where} ORDER BY test_day DESC, test_record.id DESC LIMIT ${MOST}`, values),
    rows<{ id: string, student_id: string, student: string, used_on: string, witness: string }>(database(), `SELECT process_use.id, student_id, student.name AS student, used_on, witness
      FROM process_use JOIN student ON student.id = process_use.student_id ${where} ORDER BY used_on DESC LIMIT ${MOST}`, values),
  ])
  return {
    tests: tests.map((row): TestSummary => ({ id: row.id, studentId: row.student_id, student: row.student, family: row.family, pieceName: row.piece_name, position: row.position, testDay: row.test_day, state: row.state, odds: row.odds })),
    uses: uses.map((row): ProcessUse => ({ id: row.id, studentId: row.student_id, student: row.student, usedOn: row.used_on, witness: row.witness })),
  }
}

/** Notes a use of the process; the same again is one use. */
export async function addProcessUse(id: string, { studentId, usedOn, witness }: ProcessUseSave, by: { name: string, now: Date }): Promise<void> {
  await run(database(), 'INSERT IGNORE INTO process_use (id, student_id, used_on, witness, noted_by, noted_at) VALUES (?, ?, ?, ?, ?, ?)', [id, studentId, usedOn, witness, by.name, toDateTime(by.now)])
}
