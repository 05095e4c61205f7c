import { rungsInUse, type Ladder, type LadderRung, type RungState } from '../ladder'
import type { TestPiece } from '../qualification'
import { pieceOf, type Work } from '../trade'
import { isOwnJoint, workOfRung, workOfTest } from './practice'

/**
 * The test that a student is on the way to: the piece of the first groove or pipe on the ladder after the last one that
 * is signed off, that last one where there is none after it. Common practice: a test is taken at the student's own
 * level.
 * @param pieces those that may be tested, the usual one of a joint first
 * @returns null where the ladder has no groove or pipe that is tested
 * @example ownTest(testPieces('in'), FULL_LADDER, climbOfAPipeStudent)!.id // 'pipe-2-6g'
 */
export function ownTest(
  pieces: readonly TestPiece[],
  ladder: Ladder,
  climb: readonly Pick<RungState, 'rungId' | 'status'>[],
): TestPiece | null {
  const signed = new Set(climb.filter(state => state.status === 'signed off').map(state => state.rungId))
  const grooves = rungsInUse(ladder).filter(rung => isGroove(pieceOf(rung.piece).work))
  const pieceOn = (rung: LadderRung) => pieces.find(one => isOwnJoint(workOfRung(rung), workOfTest(one)))
  const last = grooves.findLastIndex(rung => signed.has(rung.id))
  const [ahead, behind] = [grooves.slice(last + 1), grooves.slice(0, last + 1).reverse()]
  return [...ahead, ...behind].map(pieceOn).find(piece => piece !== undefined) ?? null
}

const isGroove = (work: Work) => work === 'groove' || work === 'pipe'
