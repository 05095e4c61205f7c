import { v7 as uuid } from 'uuid'
import type { Account, AccountFields, Me, Role } from '../../contract/people'
import { database, inTransaction, rows, run, type Queries } from './database'

interface AccountRow {
  id: string
  name: string
  username: string
  role: Role
  student_id: string | null
  password_hash: string
  active: number
}

const COLUMNS = 'id, name, username, role, student_id, password_hash, active'

function toAccount(row: AccountRow): Account {
  return {
    id: row.id,
    name: row.name,
    username: row.username,
    role: row.role,
    studentId: row.student_id,
    active: row.active === 1,
  }
}

export async function listAccounts(): Promise<Account[]> {
  return (await rows<AccountRow>(database(), `SELECT ${COLUMNS} FROM account ORDER BY role, name`)).map(toAccount)
}

/** Who an id stands for today; null when the account is gone or switched off. */
export async function findMe(id: string): Promise<Me | null> {
  const [row] = await rows<AccountRow>(database(), `SELECT ${COLUMNS} FROM account WHERE id = ? AND active`, [id])
  return row ? { id: row.id, name: row.name, role: row.role, studentId: row.student_id } : null
}

/** The account of a user name with its password hash; null when there is none or it is switched off. */
export async function findForSignIn(username: string): Promise<{ me: Me; passwordHash: string } | null> {
  const [row] = await rows<AccountRow>(database(), `SELECT ${COLUMNS} FROM account WHERE username = ? AND active`, [
    username,
  ])
  if (!row) return null
  return {
    me: { id: row.id, name: row.name, role: row.role, studentId: row.student_id },
    passwordHash: row.password_hash,
  }
}

export async function addAccount(
  fields: AccountFields,
  passwordHash: string,
  on: Queries = database(),
): Promise<Account> {
  const id = uuid()
  await run(
    on,
    'INSERT INTO account (id, name, username, role, student_id, password_hash, active) VALUES (?, ?, ?, ?, ?, ?, ?)',
    [id, fields.name, fields.username, fields.role, fields.studentId, passwordHash, fields.active],
  )
  return { id, ...fields }
}

/** Changes an account; the password only when a new hash is given. False when there is no such account. */
export async function changeAccount(id: string, fields: AccountFields, passwordHash: string | null): Promise<boolean> {
  const touched = await run(
    database(),
    'UPDATE account SET name = ?, username = ?, role = ?, student_id = ?, active = ?, password_hash = COALESCE(?, password_hash) WHERE id = ?',
    [fields.name, fields.username, fields.role, fields.studentId, fields.active, passwordHash, id],
  )
  return touched > 0
}

/** How many lead instructors could still sign in if this account could not. */
export async function otherLeads(id: string): Promise<number> {
  const [row] = await rows<{ n: number }>(
    database(),
    `SELECT COUNT(*) AS n FROM account WHERE role = 'lead' AND active AND id <> ?`,
    [id],
  )
  return row!.n
}

export async function hasAccounts(): Promise<boolean> {
  return (await rows(database(), 'SELECT 1 FROM account LIMIT 1')).length > 0
}

export async function schoolName(): Promise<string | null> {
  const [row] = await rows<{ name: string }>(database(), 'SELECT name FROM school')
  return row?.name ?? null
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
    return addAccount({ ...lead, role: 'lead', studentId: null, active: true }, passwordHash, on)
  })
}
