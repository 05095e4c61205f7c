import { recalibrate, type Bends, type Recalibration, type SchoolKnown, type ToldOutcome } from '../../core/readiness'
import { honestyOf } from '../../core/welderTest'
import { database, rows } from './database'

interface OutcomeRow {
  book_id: string
  piece_name: string
  odds: number
  /** Null on a test that was planned before odds were said by stage; those of a side before the two were told apart. */
  coupons_visual: number | null
  coupons_face: number | null
  coupons_root: number | null
  coupons_bends: number | null
  visual_passed: number | null
  face_passed: number | null
  root_passed: number | null
  state: 'passed' | 'failed'
}

/** Tests further back say little of how tests go here now. */
const MOST_TESTS = 400

/** The school's newest tests that had odds and have a result. */
const outcomes = () =>
  rows<OutcomeRow>(
    database(),
    `SELECT book_id, piece_name, odds, coupons_visual, coupons_face, coupons_root, coupons_bends, visual_passed,
      face_passed, root_passed, state FROM test_record
    WHERE odds IS NOT NULL AND state IN ('passed', 'failed') ORDER BY test_day DESC, id DESC LIMIT ${MOST_TESTS}`,
  )

/** What its coupons said of a test and what came of it, stage by stage; none where no stage was said. */
function toTold(row: OutcomeRow): ToldOutcome[] {
  if (row.coupons_bends === null || row.visual_passed === null) return []
  const sides = toldBySide(row)
  return sides === null
    ? []
    : [
        {
          bookId: row.book_id,
          pieceName: row.piece_name,
          ...sides,
          bends: row.visual_passed === 1 ? { said: row.coupons_bends, passed: row.state === 'passed' } : null,
        },
      ]
}

/** Face and root by themselves; where they were not told apart, all that is seen counts as the face. */
function toldBySide(row: OutcomeRow): Pick<ToldOutcome, 'face' | 'root'> | null {
  const { coupons_visual, coupons_face, coupons_root, face_passed, root_passed } = row
  if (coupons_face !== null && face_passed !== null) {
    const isShown = coupons_root !== null && coupons_root < 1 && root_passed !== null
    return {
      face: { said: coupons_face, passed: face_passed === 1 },
      root: isShown ? { said: coupons_root, passed: root_passed === 1 } : null,
    }
  }
  return coupons_visual === null
    ? null
    : { face: { said: coupons_visual, passed: row.visual_passed === 1 }, root: null }
}

async function allBends(): Promise<Bends> {
  const [sums] = await rows<{ bent: string | null; opened: string | null }>(
    database(),
    'SELECT SUM(bent) AS bent, SUM(opened) AS opened FROM test_record',
  )
  return { bent: Number(sums?.bent ?? 0), opened: Number(sums?.opened ?? 0) }
}

/** The fit to the tests that were looked up last: pages ask for it again and again between two tests. */
let fitted: { readonly to: string; readonly recalibration: Recalibration } | null = null

function recalibrated(found: readonly OutcomeRow[]): Recalibration {
  const to = JSON.stringify(found)
  if (fitted?.to !== to) fitted = { to, recalibration: recalibrate(found.flatMap(toTold)) }
  return fitted.recalibration
}

/** What the school's tests have shown, for the odds of the next one. */
export async function testsKnown(): Promise<Omit<SchoolKnown, 'wrong'>> {
  const [found, bends] = await Promise.all([outcomes(), allBends()])
  const honesty = honestyOf(found.map(({ odds, state }) => ({ odds, passed: state === 'passed' })))
  return { bends, recalibration: recalibrated(found), before: honesty?.bands ?? [] }
}
