import { DEFAULT_HOUSE_RULES } from '../house'
import { newTest, type WelderTest } from './welderTest'
import { testPieceOf } from '../qualification/testPieces'

/** A test by the structural code, as it is planned: the example that tests start from. */
export const aTest = (
  studentId = '0192f000-0000-7000-8000-000000000001',
  piece = 'plate-3g',
  testDay = '2026-11-02',
  book = 'structural',
): WelderTest =>
  newTest(
    {
      book: { id: book, version: 0 },
      couponId: '0192f000-0000-7000-8000-0000000000c1',
      said: { odds: 0.7, visual: 0.8, bends: 0.875, byCoupons: { visual: 0.8, bends: 0.88 }, low: 0.5, high: 0.85 },
      retest: null,
      limitMinutes: null,
      piece: testPieceOf(piece),
      welder: { studentId, classDay: testDay, rulesVersion: 1, hand: 'right', booth: null },
    },
    DEFAULT_HOUSE_RULES,
  )

/** The same, welded, seen and bent, with nothing open. */
export function passedExample(studentId?: string): WelderTest {
  const seen = { by: 'MH', at: '2026-11-02T18:00:00.000Z' }
  const sound = { ...seen, openings: [], byHand: null, note: '' }
  return {
    ...aTest(studentId),
    stamp: 'IB 3',
    checks: {
      'whole rods, in date': true,
      'piece stamped': true,
      'fit-up within limits': true,
      'position fixed': true,
    },
    holds: { 'fit-up': seen, 'root': seen, 'cap': seen },
    startedAt: seen.at,
    endedAt: '2026-11-02T19:10:00.000Z',
    visual: { ...seen, computed: 'passes', outcome: 'passes', failed: [], why: '' },
    results: { 'face-1': sound, 'root-2': sound },
  }
}
