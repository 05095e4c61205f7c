import { v7 as uuid } from 'uuid'
import type { Account, AccountFields, Me, Role } from '../../contract/people'
import { database, doorDatabase, inTransaction, rows, run, type Queries } from './database'
import { takeGuard } from './guard'
import type { SessionUser } from './signIns'

interface AccountRow {
  id: string
  name: string
  username: string
  role: Role
  student_id: string | null
  tied: number
  section_ids: string | null
  password_hash: string
  password_given: number
  has_codes: number
  active: number
}

const COLUMNS = `id, name, username, role, student_id, tied, password_hash, password_given,
  code_secret IS NOT NULL AS has_codes, active,
  (SELECT GROUP_CONCAT(section_id) FROM account_section WHERE account_id = account.id) AS section_ids`

/** With where the school stands: a page that is signed in tells its days. */
const ME_COLUMNS = `${COLUMNS}, (SELECT time_zone FROM school WHERE id = 1) AS time_zone,
  (SELECT day_turns_at FROM school WHERE id = 1) AS day_turns_at,
  (SELECT staff_codes FROM school WHERE id = 1) AS staff_codes,
  (SELECT idle_minutes FROM school WHERE id = 1) AS idle_minutes`
type MeRow = AccountRow & {
  time_zone: string | null
  day_turns_at: number | null
  staff_codes: number | null
  idle_minutes: number | null
}

/** The sections that an account is tied to; null for one that teaches all. */
const tiesOf = (row: AccountRow): string[] | null => (row.tied ? (row.section_ids?.split(',') ?? []) : null)

const toMe = (row: MeRow): Me => ({
  id: row.id,
  name: row.name,
  role: row.role,
  studentId: row.student_id,
  sectionIds: tiesOf(row),
  timeZone: row.time_zone ?? '',
  dayTurnsAt: row.day_turns_at ?? 0,
  passwordGiven: row.password_given === 1,
  codesWanted: row.staff_codes === 1 && row.role !== 'student' && row.has_codes === 0,
  staffCodes: row.staff_codes === 1,
  idleMinutes: row.idle_minutes,
})

function toAccount(row: AccountRow): Account {
  return {
    id: row.id,
    name: row.name,
    username: row.username,
    role: row.role,
    studentId: row.student_id,
    sectionIds: tiesOf(row),
    codes: row.has_codes === 1,
    active: row.active === 1,
  }
}

export async function listAccounts(): Promise<Account[]> {
  return (await rows<AccountRow>(database(), `SELECT ${COLUMNS} FROM account ORDER BY role, name`)).map(toAccount)
}

/**
 * Who a session stands for today, and how long ago a person last acted at it; null when the account is gone or
 * switched off, the session was ended, or its screen was not touched for as long as the school allows.
 */
export async function findMe({
  id,
  number,
  signIn,
}: SessionUser): Promise<{ readonly me: Me; readonly seenSeconds: number } | null> {
  const [row] = await rows<MeRow & { seen_seconds: number }>(
    database(),
    `SELECT ${ME_COLUMNS},
      (SELECT TIMESTAMPDIFF(SECOND, seen_at, UTC_TIMESTAMP(3)) FROM sign_in
        WHERE sign_in.id = ? AND account_id = account.id) AS seen_seconds
    FROM account WHERE id = ? AND session_number = ? AND active
    HAVING seen_seconds IS NOT NULL AND (idle_minutes IS NULL OR seen_seconds < 60 * idle_minutes)`,
    [signIn, id, number],
  )
  return row ? { me: toMe(row), seenSeconds: row.seen_seconds } : null
}

/** The account of a user name with its password hash; null when there is none or it is switched off. */
export async function findForSignIn(
  username: string,
): Promise<{ me: Me; user: Omit<SessionUser, 'signIn'>; passwordHash: string; codeSecret: string | null } | null> {
  const [row] = await rows<MeRow & { session_number: number; code_secret: string | null }>(
    doorDatabase(),
    `SELECT ${ME_COLUMNS}, session_number, code_secret FROM account WHERE username = ? AND active`,
    [username],
  )
  if (!row) return null
  return {
    me: toMe(row),
    user: { id: row.id, number: row.session_number },
    passwordHash: row.password_hash,
    codeSecret: row.code_secret,
  }
}

/**
 * The person whom the school's identity provider vouches for; null where no account here is theirs. The first time
 * it is the account of that user name, which from then on is the provider's subject even if its name there changes, and
 * has no password of its own.
 */
export async function findByProvider(subject: string, username: string): Promise<Omit<SessionUser, 'signIn'> | null> {
  return inTransaction(database(), async on => {
    const [bound] = await rows<{ id: string; session_number: number; active: number }>(
      on,
      'SELECT id, session_number, active FROM account WHERE provider_subject = ? FOR UPDATE',
      [subject],
    )
    if (bound) return bound.active ? { id: bound.id, number: bound.session_number } : null
    const [named] = await rows<{ id: string; session_number: number }>(
      on,
      'SELECT id, session_number FROM account WHERE username = ? AND active AND provider_subject IS NULL FOR UPDATE',
      [username],
    )
    if (!named) return null
    await run(
      on,
      `UPDATE account SET provider_subject = ?, password_hash = '', password_given = FALSE,
        session_number = session_number + 1 WHERE id = ?`,
      [subject, named.id],
    )
    return { id: named.id, number: named.session_number + 1 }
  })
}

/** Whose password it is: one's own, or one that a lead gave and that is changed at the first sign-in. */
export type PasswordBy = 'own' | 'given'

export const addAccount = (fields: AccountFields, passwordHash: string, by: PasswordBy): Promise<Account> =>
  inTransaction(database(), on => insertAccount(on, fields, passwordHash, by))

async function insertAccount(
  on: Queries,
  fields: AccountFields,
  passwordHash: string,
  by: PasswordBy,
): Promise<Account> {
  const id = uuid()
  await run(
    on,
    `INSERT INTO account (id, name, username, role, student_id, tied, password_hash, password_given, active)
    VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      id,
      fields.name,
      fields.username,
      fields.role,
      fields.studentId,
      fields.sectionIds !== null,
      passwordHash,
      by === 'given',
      fields.active,
    ],
  )
  await tie(on, id, fields.sectionIds)
  return { id, ...fields, codes: false }
}

/** Ties an account to these sections and no others. */
async function tie(on: Queries, id: string, sectionIds: readonly string[] | null): Promise<void> {
  await run(on, 'DELETE FROM account_section WHERE account_id = ?', [id])
  for (const sectionId of new Set(sectionIds))
    await run(on, 'INSERT INTO account_section (account_id, section_id) VALUES (?, ?)', [id, sectionId])
}

/**
 * Changes an account; the password only when a new hash is given. A school keeps a lead who can sign in: accounts are
 * changed one at a time, so that no two leads demote each other.
 */
export async function changeAccount(
  id: string,
  fields: AccountFields,
  passwordHash: string | null,
  by: PasswordBy,
): Promise<'changed' | 'not found' | 'last lead'> {
  return inTransaction(database(), async on => {
    await takeGuard(on, 'leads')
    const leads = await rows<{ id: string }>(on, `SELECT id FROM account WHERE role = 'lead' AND active`)
    if ((fields.role !== 'lead' || !fields.active) && leads.every(lead => lead.id === id)) return 'last lead'
    const touched = await run(
      on,
      `UPDATE account SET name = ?, username = ?, role = ?, student_id = ?, tied = ?, active = ?,
        password_given = IF(? IS NULL, password_given, ?),
        password_hash = COALESCE(?, password_hash), session_number = session_number + ? WHERE id = ?`,
      [
        fields.name,
        fields.username,
        fields.role,
        fields.studentId,
        fields.sectionIds !== null,
        fields.active,
        passwordHash,
        by === 'given',
        passwordHash,
        // Another password, or none any more: a sign-in by the old one is over.
        passwordHash !== null || !fields.active ? 1 : 0,
        id,
      ],
    )
    if (touched === 0) return 'not found'
    await tie(on, id, fields.sectionIds)
    return 'changed'
  })
}

/** Ends every session of an account. */
export async function endSessions(id: string): Promise<void> {
  await run(database(), 'UPDATE account SET session_number = session_number + 1 WHERE id = ?', [id])
}

/** What an account signs in with; null when there is none. */
export async function passwordOf(id: string): Promise<{ username: string; passwordHash: string } | null> {
  const [row] = await rows<{ username: string; password_hash: string }>(
    database(),
    'SELECT username, password_hash FROM account WHERE id = ? AND active',
    [id],
  )
  return row ? { username: row.username, passwordHash: row.password_hash } : null
}

/** Gives an account another password. @returns the number that new sessions begin under; older ones end */
export async function changePassword(id: string, passwordHash: string): Promise<number> {
  return inTransaction(database(), async on => {
    await run(
      on,
      `UPDATE account SET password_hash = ?, password_given = FALSE, session_number = session_number + 1 WHERE id = ?`,
      [passwordHash, id],
    )
    const [row] = await rows<{ session_number: number }>(on, 'SELECT session_number FROM account WHERE id = ?', [id])
    return row!.session_number
  })
}

export async function hasAccounts(): Promise<boolean> {
  return (await rows(doorDatabase(), 'SELECT 1 FROM account LIMIT 1')).length > 0
}

/** Founds the school: its name and its first lead, once. Null when it has been founded already. */
export async function foundSchool(
  school: string,
  lead: Pick<AccountFields, 'name' | 'username'>,
  passwordHash: string,
): Promise<Account | null> {
  return inTransaction(database(), async on => {
    const [taken] = await rows<{ n: number }>(on, 'SELECT COUNT(*) AS n FROM account FOR UPDATE')
    if (taken!.n > 0 || (await run(on, 'INSERT IGNORE INTO school (id, name) VALUES (1, ?)', [school])) === 0)
      return null
    const fields: AccountFields = { ...lead, role: 'lead', studentId: null, sectionIds: null, active: true }
    return insertAccount(on, fields, passwordHash, 'own')
  })
}
