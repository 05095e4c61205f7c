import { describe, expect, it } from 'vitest'
import { EXAMPLE_STUDENT } from '../core/coupon/example'
import { ISO_9606, PRESSURE, STRUCTURAL, testPieceOf, type CodeBook } from '../core/qualification'
import { bendsOf, documentFaults, newTest, specimensOf, testStanding } from '../core/welderTest'
import { drawLearner } from '../core/simulate'
import { seededRandom } from '../core/statistics'
import { couponSchema } from '../contract/coupon'
import { welderTestSchema } from '../contract/welderTests'
import { SCHOOL_RULES } from './gannetQuay'
import { takeTest, type TakenTo } from './welderTests'

const plan = (piece: string, book: CodeBook) =>
  newTest(
    {
      book: { id: book.id, version: 0 },
      couponId: '0192f000-0000-7000-8000-0000000000c1',
      said: null,
      retest: null,
      limitMinutes: null,
      piece: testPieceOf(piece),
      welder: { studentId: EXAMPLE_STUDENT, classDay: '2026-11-10', rulesVersion: 2, hand: 'right', booth: 3 },
    },
    SCHOOL_RULES,
  )
const learner = drawLearner(seededRandom(3), null)
const taken = (piece: string, book: CodeBook, seed: number, practised = 20, to?: TakenTo) =>
  takeTest(plan(piece, book), book, { learner, practised }, seededRandom(seed), to)

describe('made-up tests', () => {
  it.each([
    ['plate-3g', STRUCTURAL],
    ['plate-4g', STRUCTURAL],
    ['open-root-3g', ISO_9606],
    ['pipe-2-2g', PRESSURE],
    ['pipe-2-6g', PRESSURE],
    ['fillet-3f', STRUCTURAL],
  ] as const)('%s: in order by its book, and taken whole by the contract, coupon and all', async (piece, book) => {
    for (let seed = 0; seed < 6; seed++) {
      const { document, coupon } = taken(piece, book, seed)
      expect(documentFaults(document, book)).toEqual([])
      await welderTestSchema.validate(document)
      expect(() => couponSchema.validateSync(coupon)).not.toThrow()
      expect(['passed', 'failed']).toContain(testStanding(document, book).state)
    }
  })
  it('is the same from the same seed', () =>
    expect(taken('plate-3g', STRUCTURAL, 9)).toEqual(taken('plate-3g', STRUCTURAL, 9)))
  it('can be left to be read, or to be bent', () => {
    expect(testStanding(taken('plate-3g', STRUCTURAL, 1, 20, 'welded').document, STRUCTURAL).state).toBe('for visual')
    const states = Array.from(
      { length: 12 },
      (_, seed) => testStanding(taken('plate-3g', STRUCTURAL, seed, 20, 'seen').document, STRUCTURAL).state,
    )
    expect(new Set(states)).toEqual(new Set(['for specimens', 'failed']))
  })
  it('goes well more often for whoever has practised more, and some bends open', () => {
    const many = (practised: number) =>
      Array.from({ length: 60 }, (_, seed) => taken('plate-4g', STRUCTURAL, seed, practised).document)
    const share = (practised: number) =>
      many(practised).filter(document => testStanding(document, STRUCTURAL).state === 'passed').length / 60
    expect(share(60)).toBeGreaterThan(share(0) + 0.15)
    expect(many(5).some(document => bendsOf(document, STRUCTURAL).opened > 0)).toBe(true)
  })
  it('stops at the first specimen that fails it', () => {
    const failed = Array.from({ length: 80 }, (_, seed) => taken('pipe-2-6g', PRESSURE, seed, 2).document).filter(
      document => document.visual!.outcome === 'passes' && testStanding(document, PRESSURE).state === 'failed',
    )
    expect(failed.length).toBeGreaterThan(0)
    for (const document of failed) {
      const done = Object.keys(document.results)
      expect(done).toEqual(
        specimensOf(document, PRESSURE)
          .slice(0, done.length)
          .map(specimen => specimen.id),
      )
    }
  })
})
