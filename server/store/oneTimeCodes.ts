import { createHash, randomInt } from 'node:crypto'
import type { OwnCodes } from '../../contract/oneTimeCodes'
import { database, inTransaction, rows, run } from './database'

/** How an account's sign-in stands. */
export async function codesOf(accountId: string): Promise<OwnCodes> {
  const [row] = await rows<{ is_on: number; left_over: number }>(
    database(),
    `SELECT code_secret IS NOT NULL AS is_on,
      (SELECT COUNT(*) FROM recovery_code WHERE account_id = account.id) AS left_over
    FROM account WHERE id = ?`,
    [accountId],
  )
  return { on: row?.is_on === 1, recoveryLeft: row?.left_over ?? 0 }
}

const RECOVERY_CODES = 10
/** Digits and letters that are not taken for one another. */
const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789'
const HALF = 5

const half = () => Array.from({ length: HALF }, () => SIGNS[randomInt(SIGNS.length)]).join('')
/** As they are typed: in any case, with or without the dash. */
const hashOf = (code: string) => createHash('sha256').update(code.toLowerCase().replace(/[\s-]/g, '')).digest('hex')

/**
 * From now on this account signs in with codes. @param step the one just used to prove it
 * @returns fresh recovery codes; older ones are gone
 */
export async function turnOnCodes(accountId: string, secret: string, step: number): Promise<string[]> {
  const codes = Array.from({ length: RECOVERY_CODES }, () => `${half()}-${half()}`)
  await inTransaction(database(), async on => {
    await run(on, 'UPDATE account SET code_secret = ?, code_step = ? WHERE id = ?', [secret, step, accountId])
    await run(on, 'DELETE FROM recovery_code WHERE account_id = ?', [accountId])
    for (const code of codes)
      await run(on, 'INSERT INTO recovery_code (account_id, hash) VALUES (?, ?)', [accountId, hashOf(code)])
  })
  return codes
}

/** From now on a password alone lets in. False where there is no such account. */
export async function turnOffCodes(accountId: string): Promise<boolean> {
  return inTransaction(database(), async on => {
    await run(on, 'DELETE FROM recovery_code WHERE account_id = ?', [accountId])
    return (await run(on, 'UPDATE account SET code_secret = NULL WHERE id = ?', [accountId])) > 0
  })
}

/** Uses a step up. False where it, or a later one, was used already: a code that was looked on is worth nothing. */
export async function useStep(accountId: string, step: number): Promise<boolean> {
  const sql = 'UPDATE account SET code_step = ? WHERE id = ? AND code_step < ?'
  return (await run(database(), sql, [step, accountId, step])) > 0
}

/** Uses a recovery code up. False where it is none of this account's. */
export async function useRecoveryCode(accountId: string, code: string): Promise<boolean> {
  const sql = 'DELETE FROM recovery_code WHERE account_id = ? AND hash = ?'
  return (await run(database(), sql, [accountId, hashOf(code)])) > 0
}
