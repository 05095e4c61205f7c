import { createHash, randomBytes } from 'node:crypto'
import { doorDatabase, rows, run } from './database'

/** So long a code from the console lets in. */
const MINUTES = 15

const hashOf = (code: string) =>
  createHash('sha256')
    .update(code.toUpperCase().replaceAll(/[^A-Z2-7]/g, ''))
    .digest('hex')

const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'

/**
 * Makes a way in for the account of a user name, for the person at the server's own console. It holds 80 bits: it
 * cannot be guessed, so that no wait hangs on it, and no stranger can fill it.
 * @returns the code, in groups of four; null where there is no such account, or it is switched off
 */
export async function makeWayIn(username: string): Promise<string | null> {
  const [account] = await rows<{ id: string }>(doorDatabase(), 'SELECT id FROM account WHERE username = ? AND active', [
    username,
  ])
  if (!account) return null
  const code = [...randomBytes(16)].map(byte => ALPHABET[byte % 32]).join('')
  await run(
    doorDatabase(),
    `INSERT INTO way_in (account_id, code_hash, until) VALUES (?, ?, UTC_TIMESTAMP(3) + INTERVAL ${MINUTES} MINUTE)
    ON DUPLICATE KEY UPDATE code_hash = VALUES(code_hash), until = VALUES(until)`,
    [account.id, hashOf(code)],
  )
  return code.replaceAll(/(.{4})(?=.)/g, '$1-')
}

/** Whether a text is written as a code from the console is. */
export const isConsoleCode = (text: string) => /^[A-Za-z2-7]{4}(?:-[A-Za-z2-7]{4}){3}$/.test(text.trim())

/** Whether a code lets an account in: once, and only until it is over. */
export async function useWayIn(accountId: string, code: string): Promise<boolean> {
  const used = await run(
    doorDatabase(),
    'DELETE FROM way_in WHERE account_id = ? AND code_hash = ? AND until > UTC_TIMESTAMP(3)',
    [accountId, hashOf(code)],
  )
  return used === 1
}
