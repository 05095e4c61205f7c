import type { TrailPage } from '../../contract/trail'
import { database, insertRow, rows, run, toDateTime, toIso } from './database'

/** Who a request came from: an account, a student at a tablet, or a tablet at which no student reads. */
export interface Doer {
  readonly accountId: string | null
  readonly studentReaderId: string | null
  readonly tabletId: string | null
}

/** Something that was done, as the trail keeps it. */
export interface Deed extends Doer {
  readonly did: string
  /** What it was done to; null where the address names nothing. */
  readonly subjectId: string | null
  /** Whose record it touched; null where it was no person's. */
  readonly studentId: string | null
  readonly at: Date
}

/** Adds a line to the trail. There is no way to change one. */
export async function addToTrail({ did, subjectId, studentId, at, ...doer }: Deed): Promise<void> {
  await insertRow(database(), 'trail', {
    at: toDateTime(at),
    account_id: doer.accountId,
    student_reader_id: doer.studentReaderId,
    tablet_id: doer.tabletId,
    did,
    subject_id: subjectId,
    student_id: studentId,
  })
}

/** A look into a record is told anew after so long, minutes. */
const TOLD_ANEW_MINUTES = 30

/** Adds a line for a look into a record, unless that account's last look into it was told lately. */
export async function addLookToTrail(look: {
  readonly accountId: string
  readonly studentId: string
  readonly did: string
  readonly at: Date
}): Promise<void> {
  const { accountId, studentId, did, at } = look
  await run(
    database(),
    `INSERT INTO trail (at, account_id, did, subject_id, student_id)
    SELECT ?, ?, ?, ?, ? FROM DUAL WHERE NOT EXISTS (SELECT 1 FROM trail WHERE student_id = ? AND account_id = ?
      AND did = ? AND at > ? - INTERVAL ${TOLD_ANEW_MINUTES} MINUTE)`,
    [toDateTime(at), accountId, did, studentId, studentId, studentId, accountId, did, toDateTime(at)],
  )
}

interface LineRow {
  id: number
  at: string
  did: string
  account: string | null
  reader: string | null
  tablet_id: string | null
  student_id: string | null
  student: string | null
}

const PAGE = 60

/** The trail, newest first, a page at a time; of one student's record, or of one account, where that is asked. */
export async function readTrail(asked: {
  readonly before: number | null
  readonly studentId: string | null
  readonly accountId: string | null
}): Promise<TrailPage> {
  const conditions = ['trail.id < ?']
  const values: (string | number)[] = [asked.before ?? Number.MAX_SAFE_INTEGER]
  for (const [column, value] of [
    ['student_id', asked.studentId],
    ['account_id', asked.accountId],
  ] as const)
    if (value) {
      conditions.push(`trail.${column} = ?`)
      values.push(value)
    }
  const found = await rows<LineRow>(
    database(),
    `SELECT trail.id, trail.at, trail.did, trail.tablet_id, trail.student_id,
      account.name AS account, reader.name AS reader, student.name AS student
    FROM trail LEFT JOIN account ON account.id = trail.account_id
    LEFT JOIN student AS reader ON reader.id = trail.student_reader_id
    LEFT JOIN student ON student.id = trail.student_id
    WHERE ${conditions.join(' AND ')} ORDER BY trail.id DESC LIMIT ${PAGE + 1}`,
    values,
  )
  const page = found.slice(0, PAGE)
  return {
    lines: page.map(row => ({
      id: Number(row.id),
      at: toIso(row.at),
      who: row.account ?? row.reader ?? (row.tablet_id ? 'a tablet' : 'nobody signed in'),
      did: row.did,
      student: row.student_id && row.student ? { id: row.student_id, name: row.student } : null,
    })),
    next: found.length > PAGE ? Number(page.at(-1)!.id) : null,
  }
}
