import type { HandedTablet } from '../../contract/tablets'
import { SIGN_IN_HOURS } from '../../contract/signIns'
import { database, rows, run, toIso } from './database'
import { within } from './within'

/** Ends with its day, like a sign-in. */
const IS_OUT = `tablet.ended_at IS NULL AND tablet.handed_at > UTC_TIMESTAMP(3) - INTERVAL ${SIGN_IN_HOURS} HOUR`

/** Hands a tablet over to the students of a section. @param device as its browser says */
export async function handOver(
  id: string,
  { sectionId, by, device }: { readonly sectionId: string; readonly by: string; readonly device: string },
): Promise<void> {
  await run(
    database(),
    `INSERT INTO tablet (id, section_id, handed_by, device, handed_at, seen_at)
    VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3), UTC_TIMESTAMP(3))`,
    [id, sectionId, by, device],
  )
}

/** A tablet is seen anew at most so often, s; one that was silent for longer may have done things meanwhile. */
const SEEN_EVERY_SECONDS = 30

/** Under which number a student reads at a tablet; null for one that was taken back, put out, or is of another day. */
export async function tabletTurn(id: string): Promise<number | null> {
  const [row] = await rows<{ turn: number; quiet: number }>(
    database(),
    `SELECT turn, TIMESTAMPDIFF(SECOND, seen_at, UTC_TIMESTAMP(3)) AS quiet FROM tablet WHERE id = ? AND ${IS_OUT}`,
    [id],
  )
  if (!row) return null
  if (row.quiet >= SEEN_EVERY_SECONDS)
    await run(database(), 'UPDATE tablet SET silent_from = seen_at, seen_at = UTC_TIMESTAMP(3) WHERE id = ?', [id])
  return row.turn
}

/** Another student reads at a tablet from now on: who read there before does no more. Its new number. */
export async function nextTurn(id: string): Promise<number> {
  await run(database(), 'UPDATE tablet SET turn = turn + 1 WHERE id = ?', [id])
  return (await tabletTurn(id)) ?? 0
}

/** A tablet was taken back, or is put out. False where it was not out. */
export const endTablet = async (id: string): Promise<boolean> =>
  (await run(database(), `UPDATE tablet SET ended_at = UTC_TIMESTAMP(3) WHERE id = ? AND ${IS_OUT}`, [id])) > 0

/** Every tablet that an account handed over is put out. */
export async function endTabletsOf(accountId: string): Promise<void> {
  await run(database(), `UPDATE tablet SET ended_at = UTC_TIMESTAMP(3) WHERE handed_by = ? AND ${IS_OUT}`, [accountId])
}

/** Tablets that are out, the newest first. @param taught sections that may be told of; null for all */
export async function handedTablets(taught: readonly string[] | null): Promise<HandedTablet[]> {
  const { sql, values } = within('section.id', taught)
  const found = await rows<{
    id: string
    section: string
    by: string
    device: string
    handed_at: string
    seen_at: string
  }>(
    database(),
    `SELECT tablet.id, section.name AS section, account.name AS \`by\`, device, handed_at, seen_at
    FROM tablet JOIN section ON section.id = section_id JOIN account ON account.id = handed_by
    WHERE ${IS_OUT} AND ${sql} ORDER BY handed_at DESC, tablet.id`,
    values,
  )
  return found.map(({ handed_at, seen_at, ...row }) => ({ ...row, handedAt: toIso(handed_at), seenAt: toIso(seen_at) }))
}
