import { database, inTransaction, rows, run, type Queries } from './database'

/** What of the whole school is counted under, where each student has a count as well. */
export const WHOLE_SCHOOL = ''

/** What was expected of a coupon, as rows beside what was said of it. */
const EXPECTED = `JSON_TABLE(said.expected, '$[*]'
  COLUMNS (cause VARCHAR(30) PATH '$.cause', expected DECIMAL(22, 12) PATH '$.expected')) AS share`
const THE_ONE_SAID = 'IF(CONVERT(share.cause USING utf8mb4) COLLATE utf8mb4_unicode_ci = said.cause, 1, 0)'

/** What was said of a coupon is counted beside what was expected of it, or is no longer. */
export async function moveCause(on: Queries, couponId: string, by: 1 | -1): Promise<void> {
  for (const whom of ['said.student_id', '?'])
    await run(
      on,
      `INSERT INTO cause_tally (student_id, cause, said, expected)
      SELECT ${whom}, share.cause, ? * ${THE_ONE_SAID}, ? * share.expected
      FROM cause_said AS said JOIN ${EXPECTED} WHERE said.coupon_id = ? ORDER BY share.cause
      ON DUPLICATE KEY UPDATE cause_tally.said = cause_tally.said + VALUES(said),
        cause_tally.expected = cause_tally.expected + VALUES(expected)`,
      [...(whom === '?' ? [WHOLE_SCHOOL] : []), by, by, couponId],
    )
}

/** What became of a coupon's signs is counted, or is no longer. */
export async function moveSigns(on: Queries, couponId: string, by: 1 | -1): Promise<void> {
  await run(
    on,
    `INSERT INTO sign_tally (sign, cause, seen, gone)
    SELECT own.sign, COALESCE(own.cause, ''), ?, ? * own.gone FROM sign_course AS own
    WHERE own.coupon_id = ? ORDER BY own.sign
    ON DUPLICATE KEY UPDATE sign_tally.seen = sign_tally.seen + VALUES(seen),
      sign_tally.gone = sign_tally.gone + VALUES(gone)`,
    [by, by, couponId],
  )
}

/** What each count is made of: the rows that it must come to. */
const COUNTED: readonly { readonly table: string; readonly columns: string; readonly from: string }[] = [
  {
    table: 'cause_tally',
    columns: 'student_id, cause, said, expected',
    from: `SELECT who AS student_id, share.cause, SUM(${THE_ONE_SAID}) AS said, SUM(share.expected) AS expected
      FROM (SELECT CAST(student_id AS CHAR(36)) COLLATE utf8mb4_unicode_ci AS who, cause, expected, said_at FROM cause_said
        UNION ALL SELECT '' COLLATE utf8mb4_unicode_ci, cause, expected, said_at FROM cause_said) AS said
      JOIN ${EXPECTED}
      WHERE said_at > COALESCE((SELECT MAX(reset_at) FROM cause_reset), '1970-01-01') GROUP BY who, share.cause`,
  },
  {
    table: 'sign_tally',
    columns: 'sign, cause, seen, gone',
    from: `SELECT sign, COALESCE(cause, '') AS cause, COUNT(*) AS seen, SUM(gone) AS gone
      FROM sign_course GROUP BY sign, COALESCE(cause, '')`,
  },
]

/**
 * Counts anew what saves move. What is counted is held meanwhile: a save that goes on waits, and adds to the new count.
 * @returns how many counts were not what they should have been
 */
export async function recount(): Promise<number> {
  let wrong = 0
  for (const { table, columns, from } of COUNTED)
    await inTransaction(database(), async on => {
      await rows(on, `SELECT 1 FROM ${table} FOR UPDATE`)
      const [key1, key2, count1, count2] = columns.split(', ')
      const [found] = await rows<{ n: number }>(
        on,
        `SELECT COUNT(*) AS n FROM (${from}) AS should LEFT JOIN ${table} AS kept
          ON kept.${key1} = should.${key1} AND kept.${key2} = should.${key2}
        WHERE kept.${count1} IS NULL OR kept.${count1} <> should.${count1} OR kept.${count2} <> should.${count2}`,
      )
      const [left] = await rows<{ n: number }>(
        on,
        `SELECT COUNT(*) AS n FROM ${table} AS kept LEFT JOIN (${from}) AS should
          ON kept.${key1} = should.${key1} AND kept.${key2} = should.${key2}
        WHERE should.${count1} IS NULL AND (kept.${count1} <> 0 OR kept.${count2} <> 0)`,
      )
      wrong += Number(found!.n) + Number(left!.n)
      await run(on, `DELETE FROM ${table}`)
      await run(on, `INSERT INTO ${table} (${columns}) ${from}`)
    })
  return wrong
}
