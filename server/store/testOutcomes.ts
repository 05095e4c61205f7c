import { recalibrate, type Bends, type SaidBefore, type SchoolKnown, type ToldOutcome } from '../../core/readiness'
import { database, rows } from './database'

interface OutcomeRow {
  book_id: string
  piece_name: string
  said_visual: number
  said_bends: number
  visual_passed: number
  state: 'passed' | 'failed'
}

/** Tests further back say little of how tests go here now. */
const MOST_TESTS = 400

/** What was said of the school's newest tests that have a result, and what came of them, stage by stage. */
async function toldOutcomes(): Promise<ToldOutcome[]> {
  const found = await rows<OutcomeRow>(
    database(),
    `SELECT book_id, piece_name, said_visual, said_bends, visual_passed, state FROM test_record
    WHERE said_visual IS NOT NULL AND visual_passed IS NOT NULL AND state IN ('passed', 'failed')
    ORDER BY test_day DESC, id DESC LIMIT ${MOST_TESTS}`,
  )
  return found.map(row => ({
    bookId: row.book_id,
    pieceName: row.piece_name,
    visual: { said: row.said_visual, passed: row.visual_passed === 1 },
    bends: row.visual_passed === 1 ? { said: row.said_bends, passed: row.state === 'passed' } : null,
  }))
}

/** Odds are told apart by fifths. */
const BANDS = 5

async function saidBefore(): Promise<SaidBefore[]> {
  const found = await rows<{ band: number; count: number; passed: string }>(
    database(),
    `SELECT LEAST(?, FLOOR(odds * ?)) AS band, COUNT(*) AS count, SUM(state = 'passed') AS passed FROM test_record
    WHERE odds IS NOT NULL AND retest_of IS NULL AND state IN ('passed', 'failed') GROUP BY band ORDER BY band`,
    [BANDS - 1, BANDS],
  )
  return found.map(({ band, count, passed }) => ({
    low: Number(band) / BANDS,
    high: (Number(band) + 1) / BANDS,
    count,
    passed: Number(passed),
  }))
}

async function allBends(): Promise<Bends> {
  const [sums] = await rows<{ bent: string | null; opened: string | null }>(
    database(),
    'SELECT SUM(bent) AS bent, SUM(opened) AS opened FROM test_record',
  )
  return { bent: Number(sums?.bent ?? 0), opened: Number(sums?.opened ?? 0) }
}

/** What the school's tests have shown, for the odds of the next one. */
export async function testsKnown(): Promise<Omit<SchoolKnown, 'wrong'>> {
  const [told, bends, before] = await Promise.all([toldOutcomes(), allBends(), saidBefore()])
  return { bends, recalibration: recalibrate(told), before }
}
