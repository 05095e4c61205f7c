import type { BeadAnswer, BeadCardId } from '../../core/readingRoom'
import type { BeadAnswerSave } from '../../contract/readingRoom'
import { database, isDuplicate, rows, run, toDateTime, toIso } from './database'
import type { Reader } from './blindReadings'

/** How far back the reading room remembers; a card's memory rests on its newest answers. */
const MOST_ANSWERS = 1500

/** What a reader said of the beads shown, oldest first. */
export async function beadAnswersOf(readerId: string): Promise<BeadAnswer[]> {
  const found = await rows<{ card: BeadCardId; said_cause: BeadCardId; said_change: BeadCardId; answered_at: string }>(
    database(),
    `
    SELECT card, said_cause, said_change, answered_at FROM bead_answer WHERE reader_id = ?
      ORDER BY answered_at DESC, id DESC LIMIT ${MOST_ANSWERS}`,
    [readerId],
  )
  return found
    .reverse()
    .map(row => ({ card: row.card, cause: row.said_cause, change: row.said_change, at: toIso(row.answered_at) }))
}

/** Keeps an answer; the same again is one answer. */
export async function keepBeadAnswer(
  id: string,
  { card, cause, change }: BeadAnswerSave,
  reader: Reader,
  now: Date,
): Promise<void> {
  try {
    await run(
      database(),
      `INSERT INTO bead_answer (id, reader_kind, reader_id, card, said_cause, said_change, answered_at)
        VALUES (?, ?, ?, ?, ?, ?, ?)`,
      [id, reader.kind, reader.id, card, cause, change, toDateTime(now)],
    )
  } catch (error) {
    if (!isDuplicate(error)) throw error
  }
}
