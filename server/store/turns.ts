import { doorDatabase, inTransaction, rows, run } from './database'

/**
 * Guessing is slowed, not shut out: each subject (an account, a student's code, a tablet, an address) has some tries
 * at once, and then waits longer after each failure. A try is noted before it is checked, one at a time for a subject,
 * so that a thousand at once are no more than the few that are free. The clock is the database's.
 */
export interface Subject {
  readonly name: string
  /** Tries without a wait. */
  readonly free: number
  /** The longest wait, s. */
  readonly longestSeconds: number
}

const MINUTE = 60

/** Who is guessed at by a password, and from where. */
export const passwordSubjects = (username: string, address: string): readonly Subject[] => [
  { name: `account ${username}`, free: 5, longestSeconds: 5 * MINUTE },
  { name: `passwords from ${address}`, free: 60, longestSeconds: MINUTE },
]

/** An account at a device where it has signed in before: what strangers guess from elsewhere is not counted to it. */
export const knownDeviceSubjects = (accountId: string, deviceId: string): readonly Subject[] => [
  { name: `device ${deviceId} ${accountId}`, free: 5, longestSeconds: 5 * MINUTE },
]

/** A person who is signed in, and is asked for the password once more: others' guesses at it are not counted. */
export const signedInSubjects = (signInId: string): readonly Subject[] => [
  { name: `signed in ${signInId}`, free: 5, longestSeconds: 5 * MINUTE },
]

/**
 * Whose code is guessed at, at which tablet: wrong codes at one hold no student up at another, and at the same
 * one for a minute at most. That is some 1,400 of 10,000 codes a day, before the eyes of a class.
 */
export const codeSubjects = (studentId: string, tabletId: string): readonly Subject[] => [
  { name: `code ${studentId} ${tabletId}`, free: 5, longestSeconds: MINUTE },
  { name: `tablet ${tabletId}`, free: 20, longestSeconds: MINUTE / 2 },
]

/** After so long without a try all is forgotten, s. */
const FORGOTTEN_SECONDS = 60 * MINUTE
const LONGEST_NAME = 120

/**
 * The wait after a failure, s: none for the free ones, then doubling to the longest.
 * @example waitAfter(7, { name: 'x', free: 5, longestSeconds: 300 }) // 4
 */
export const waitAfter = (failures: number, { free, longestSeconds }: Subject): number =>
  failures < free ? 0 : Math.min(longestSeconds, 2 ** Math.min(20, failures - free))

/**
 * Takes a turn for every subject, as if it were a failure.
 * @returns seconds until the next turn where one has to wait; 0 when the try may be checked now
 */
export async function takeTurn(subjects: readonly Subject[]): Promise<number> {
  for (const subject of subjects) {
    const wait = await takeOne(subject)
    if (wait > 0) return wait
  }
  return 0
}

async function takeOne(subject: Subject): Promise<number> {
  const name = subject.name.slice(0, LONGEST_NAME)
  return inTransaction(doorDatabase(), async on => {
    await run(
      on,
      // This holds the row from the first statement on: many at once queue, and none of them deadlocks.
      `INSERT INTO sign_in_turn (subject, failures, last_at, free_at)
      VALUES (?, 0, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3)) ON DUPLICATE KEY UPDATE subject = subject`,
      [name],
    )
    const [row] = await rows<{ failures: number; wait: number; quiet: number }>(
      on,
      `SELECT failures, TIMESTAMPDIFF(MICROSECOND, UTC_TIMESTAMP(3), free_at) / 1e6 AS wait,
        TIMESTAMPDIFF(SECOND, last_at, UTC_TIMESTAMP(3)) AS quiet
      FROM sign_in_turn WHERE subject = ? FOR UPDATE`,
      [name],
    )
    if (Number(row!.wait) > 0) return Math.ceil(Number(row!.wait))
    const failures = (row!.quiet > FORGOTTEN_SECONDS ? 0 : row!.failures) + 1
    await run(
      on,
      `UPDATE sign_in_turn SET failures = ?, last_at = UTC_TIMESTAMP(3),
        free_at = UTC_TIMESTAMP(3) + INTERVAL ? SECOND WHERE subject = ?`,
      [failures, waitAfter(failures, subject), name],
    )
    return 0
  })
}

/**
 * The try was right: its own subject is forgotten, and the turn it took of tablet and address is given back, so that a
 * class behind one address never waits for being right.
 */
export async function giveTurnBack(subjects: readonly Subject[]): Promise<void> {
  await forgetTurns(subjects[0]!.name)
  await giveSharedBack(subjects)
}

/** Right so far, and more is asked for: only what it took of tablet and address is given back. */
export async function giveSharedBack([, ...shared]: readonly Subject[]): Promise<void> {
  for (const { name } of shared)
    await run(
      doorDatabase(),
      `UPDATE sign_in_turn SET failures = GREATEST(0, CAST(failures AS SIGNED) - 1), free_at = UTC_TIMESTAMP(3)
      WHERE subject = ?`,
      [name.slice(0, LONGEST_NAME)],
    )
}

/** An owner may try again at once: a lead gave a new password, or a new code. */
export async function forgetTurns(name: string): Promise<void> {
  await run(doorDatabase(), 'DELETE FROM sign_in_turn WHERE subject = ?', [name.slice(0, LONGEST_NAME)])
}
