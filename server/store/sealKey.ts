import { randomBytes } from 'node:crypto'
import { database, rows, run } from './database'

/** The key that seals what an account leaves in a browser, base64 of 32 bytes; made when it is first asked for. */
export async function sealKeyOf(accountId: string): Promise<string> {
  const made = randomBytes(32).toString('base64')
  await run(database(), 'UPDATE account SET seal_key = ? WHERE id = ? AND seal_key IS NULL', [made, accountId])
  const [row] = await rows<{ key: string }>(database(), 'SELECT seal_key AS `key` FROM account WHERE id = ?', [
    accountId,
  ])
  return row!.key
}
