import { database, insertMany, rows, run, toDateTime } from './database'

const WINDOW_MINUTES = 15
const MOST_PER_ACCOUNT = 8
const MOST_PER_ADDRESS = 60

const subjects = (username: string, address: string) =>
  [
    [`account ${username}`.slice(0, 120), MOST_PER_ACCOUNT],
    [`address ${address}`.slice(0, 120), MOST_PER_ADDRESS],
  ] as const

/** Whether this account or address has failed to sign in too often in the last quarter of an hour. */
export async function isLockedOut(username: string, address: string, now: Date): Promise<boolean> {
  const since = toDateTime(new Date(now.getTime() - WINDOW_MINUTES * 60_000))
  for (const [subject, most] of subjects(username, address)) {
    const [row] = await rows<{ n: number }>(
      database(),
      'SELECT COUNT(*) AS n FROM sign_in_failure WHERE subject = ? AND at > ?',
      [subject, since],
    )
    if (row!.n >= most) return true
  }
  return false
}

/** Notes a failed sign-in, and forgets those that no longer count. */
export async function noteFailure(username: string, address: string, now: Date): Promise<void> {
  await run(database(), 'DELETE FROM sign_in_failure WHERE at < ?', [
    toDateTime(new Date(now.getTime() - WINDOW_MINUTES * 60_000)),
  ])
  await insertMany(
    database(),
    'INSERT INTO sign_in_failure (subject, at) VALUES ?',
    subjects(username, address).map(([subject]) => [subject, toDateTime(now)]),
  )
}
