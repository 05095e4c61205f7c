import { v7 as uuid } from 'uuid'
import { SIGN_IN_HOURS, type SignIn } from '../../contract/signIns'
import { database, inTransaction, rows, run, toIso } from './database'

/** What a sealed session holds of an account: who, under which number it was begun, and which sign-in it is. */
export interface SessionUser {
  readonly id: string
  readonly number: number
  readonly signIn: string
}

/** Notes a sign-in; those of the account that are over are forgotten. @param device as its browser says */
export async function beginSignIn(
  { id, number }: Pick<SessionUser, 'id' | 'number'>,
  device: string,
): Promise<SessionUser> {
  const signIn = uuid()
  await inTransaction(database(), async on => {
    await run(
      on,
      `DELETE FROM sign_in
      WHERE account_id = ? AND (session_number < ? OR began_at < UTC_TIMESTAMP(3) - INTERVAL ${SIGN_IN_HOURS} HOUR)`,
      [id, number],
    )
    await run(
      on,
      `INSERT INTO sign_in (id, account_id, session_number, device, began_at, seen_at)
      VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))`,
      [signIn, id, number, device],
    )
  })
  return { id, number, signIn }
}

/** Where an account is signed in now, the newest first. @param here the one that asks */
export async function signInsOf(accountId: string, here: string): Promise<SignIn[]> {
  const found = await rows<{ id: string; device: string; began_at: string; seen_at: string }>(
    database(),
    `SELECT sign_in.id, device, began_at, seen_at FROM sign_in
    JOIN account ON account.id = account_id AND account.session_number = sign_in.session_number
    WHERE account_id = ? AND began_at > UTC_TIMESTAMP(3) - INTERVAL ${SIGN_IN_HOURS} HOUR
    ORDER BY began_at DESC, sign_in.id`,
    [accountId],
  )
  return found.map(row => ({
    id: row.id,
    device: row.device,
    beganAt: toIso(row.began_at),
    seenAt: toIso(row.seen_at),
    here: row.id === here,
  }))
}

/** Ends one sign-in of an account. False where it has no such one. */
export const endSignIn = async (accountId: string, id: string): Promise<boolean> =>
  (await run(database(), 'DELETE FROM sign_in WHERE id = ? AND account_id = ?', [id, accountId])) > 0

/** A person acts at it now. */
export async function seeSignIn(id: string): Promise<void> {
  await run(database(), 'UPDATE sign_in SET silent_from = seen_at, seen_at = UTC_TIMESTAMP(3) WHERE id = ?', [id])
}

/** Since when a browser had not been heard of before it was heard of last; null where it has never been silent. */
export async function silentFrom(of: { readonly signIn: string } | { readonly tablet: string }): Promise<Date | null> {
  const [table, id] = 'signIn' in of ? (['sign_in', of.signIn] as const) : (['tablet', of.tablet] as const)
  const [row] = await rows<{ at: string | null }>(database(), `SELECT silent_from AS at FROM ${table} WHERE id = ?`, [
    id,
  ])
  return row?.at ? new Date(toIso(row.at)) : null
}
