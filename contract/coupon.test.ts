import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { ValidationError } from 'yup'
import { newFlaw, putMark, usualPiece, type CouponDocument } from '../core/coupon'
import { aCoupon, aFlaw, aJoint } from '../core/coupon/example'
import type { FitUp } from '../core/setup'
import { drawLearner, weldCoupon } from '../core/simulate'
import { seededRandom } from '../core/statistics'
import { PIECES, positionOf, positionsFor } from '../core/trade'
import { inches } from '../core/units'
import { couponSaveSchema, couponSchema } from './coupon'

function wrong(document: unknown): string[] {
  try {
    couponSchema.validateSync(document, { abortEarly: false })
    return []
  } catch (error) {
    return (error as ValidationError).inner.map(one => `${one.path}: ${one.message}`)
  }
}
const changed = (change: Record<string, unknown>) => ({ ...aCoupon(), ...change })

describe('a coupon on the wire', () => {
  it('is taken as it opens on the bench, and comes back as it went', () => {
    const sent = putMark(aCoupon(), aFlaw())
    expect(couponSchema.validateSync(JSON.parse(JSON.stringify(sent)))).toEqual(sent)
  })

  it('whatever a student welds is taken and comes back the same', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), fc.integer({ min: 0, max: 60 }), (seed, coupons) => {
        const random = seededRandom(seed)
        const welded = weldCoupon(aCoupon(), drawLearner(random, null), coupons, random)
        expect(couponSchema.validateSync(JSON.parse(JSON.stringify(welded)))).toEqual(welded)
      }),
      { numRuns: 60 },
    )
  })

  it('takes the kinds that a discontinuity has, and no other’s', () => {
    const withForm = (flaw: 'crack' | 'porosity' | 'undercut', form: string) =>
      wrong(putMark(aCoupon(), aFlaw({ flaw, form, side: null, sizeMm: null }))).join()
    expect([withForm('crack', 'crater'), withForm('porosity', 'linear')]).toEqual(['', ''])
    for (const [flaw, form] of [
      ['crack', 'linear'],
      ['undercut', 'crater'],
      ['porosity', ''],
    ] as const)
      expect(withForm(flaw, form)).toMatch(/form.*is no kind of this discontinuity/)
  })

  it('takes a long reading from the plate’s edge, and no long reading else', () => {
    const reading = (of: string, valueMm: number) =>
      wrong(changed({ marks: [{ id: 'r', kind: 'reading', of, beadId: 'b1', atMm: 10, valueMm }] })).join()
    expect(reading('edge to toe', 90)).toBe('')
    expect(reading('width', 90)).toMatch(/at most 60 mm/)
    expect(reading('edge to toe', 1001)).toMatch(/at most 1000 mm/)
  })

  it('takes the drill plates, and refuses a spacing that cannot be', () => {
    const plate = aCoupon().piece
    expect(wrong(changed({ piece: { ...plate, kind: 'restart strip', everyMm: inches(1) } }))).toEqual([])
    expect(wrong(changed({ piece: { ...plate, kind: 'arc-strike plate' } }))).toEqual([])
    expect(wrong(changed({ piece: { ...plate, kind: 'restart strip', everyMm: 1 } })).join()).toMatch(
      /everyMm.*at least 6 mm/,
    )
    expect(wrong(changed({ piece: { ...plate, kind: 'anvil' } })).join()).toMatch(
      /choose from pad, arc-strike plate, restart strip/,
    )
  })

  it('takes an emoji and any script in words', () => {
    expect(wrong(changed({ notes: 'schön 🔥 溶接', ticket: { ...aCoupon().ticket, rung: 'плоская 🔧' } }))).toEqual([])
  })

  it.each([
    ['a mark beyond its bead', { marks: [aFlaw({ toMm: inches(7) })] }, /marks\[0\]\.toMm: .*past the end/],
    ['a span turned round', { marks: [aFlaw({ atMm: 50, toMm: 40 })] }, /turned round/],
    ['a mark on no bead', { marks: [aFlaw({ beadId: 'b99' })] }, /no bead/],
    ['two marks of one id', { marks: [aFlaw(), aFlaw()] }, /same id/],
    ['a flaw nobody keeps', { marks: [aFlaw({ flaw: 'rust' as 'crack' })] }, /flaw.*choose from/],
    ['a mark of no kind', { marks: [{ kind: 'sticker' }] }, /no mark/],
    ['no beads', { beads: [] }, /at least one bead/],
    ['a bead off the plate', { beads: [{ ...aCoupon().beads[0]!, toMm: inches(9) }], marks: [] }, /runs off the plate/],
    ['an unknown rod', { ticket: { ...aCoupon().ticket, classification: 'E9999' } }, /ticket\.classification: .*E7018/],
    ['a rod size nobody sells', { ticket: { ...aCoupon().ticket, diameterMm: 3 } }, /1\/8 in/],
    ['half an ampere', { ticket: { ...aCoupon().ticket, currentA: 120.5 } }, /whole number of amperes/],
    ['a date in 1826', { classDay: '1826-10-05' }, /classDay: .*between 2000 and 2100/],
    ['a day that is not', { classDay: '2026-02-30' }, /date like/],
    ['5 MB of notes', { notes: 'x'.repeat(5_000_000) }, /notes: .*at most 10000 characters/],
    ['an overrule without a reason', { overrule: { verdict: 'move on', reason: ' ' } }, /reason is missing/],
    ['a field that does not belong', { grade: 'A+' }, /grade does not belong/],
    ['a student id that is no id', { studentId: '7' }, /studentId.*not an id/],
  ])('refuses %s, at its field', (_, change, message) => expect(wrong(changed(change)).join('\n')).toMatch(message))

  it('refuses what is not a coupon at all', () => {
    for (const nothing of [null, [], 'coupon', { beads: 7 }])
      expect(() => couponSaveSchema.validateSync({ baseVersion: 0, why: '', document: nothing })).toThrow(
        ValidationError,
      )
  })
})

describe('a joint on the wire', () => {
  const pipe = aJoint()
  const fitUp: FitUp = {
    bare: { leftMm: 3.2, rightMm: 3.2 },
    afterFirstTack: { leftMm: 3.2, rightMm: 2.4 },
    afterSecondTack: null,
    misalignmentMm: 0,
    presetDegrees: 3,
    leftDegrees: null,
    bevelDegrees: { left: 30, right: 30 },
    landMm: 2.4,
    tacks: [{ atMm: 6, lengthMm: 12.7, feathered: true }],
    surface: 'bright metal',
    clamp: null,
  }
  const logged = {
    ...pipe,
    fitUp,
    passes: pipe.passes!.map((pass, n) =>
      n === 0
        ? {
            ...pass,
            process: 'GTAW' as const,
            classification: 'ER70S-2',
            diameterMm: inches(3 / 32),
            polarity: 'DCEN' as const,
            log: { cleaned: 'brush' as const, interpassC: 120, started: '18:05', ended: '18:20' },
          }
        : pass,
    ),
  }

  it.each(PIECES.map(row => row.kind))('%s is taken in each of its positions, and comes back as it went', kind => {
    for (const position of positionsFor(kind)) {
      const sent = aJoint(usualPiece(kind), { position, travel: positionOf(position).travel[0]! })
      expect(couponSchema.validateSync(JSON.parse(JSON.stringify(sent)))).toEqual(sent)
    }
  })
  it('its fit-up and its log are kept as they were', () =>
    expect(couponSchema.validateSync(JSON.parse(JSON.stringify(logged)))).toEqual(logged))

  it('its answers, its cause and what was advised are kept as they were', () => {
    const answered = {
      ...pipe,
      answers: { 'rod glows': 'yes', 'keyhole grew': 'no' },
      trueCause: 'gap wide',
      advised: 'Step out and back',
    }
    expect(couponSchema.validateSync(JSON.parse(JSON.stringify(answered)))).toEqual(answered)
  })

  it('whatever a student welds of it is taken', () => {
    const random = seededRandom(4)
    for (let n = 0; n < 20; n++) expect(wrong(weldCoupon(pipe, drawLearner(random, null), n, random))).toEqual([])
  })

  it.each<[string, (document: CouponDocument) => unknown, RegExp]>([
    [
      '5G on a pad',
      () => ({ ...aCoupon(), ticket: { ...aCoupon().ticket, position: '5G' } }),
      /ticket.position: A pad is welded in 1G, 2G, 3G or 4G/,
    ],
    [
      'E7024 overhead',
      () => ({ ...aCoupon(), ticket: { ...aCoupon().ticket, position: '4G', classification: 'E7024' } }),
      /ticket.classification: E7024/,
    ],
    [
      'a pipe nobody keeps',
      document => ({ ...document, piece: { ...document.piece, pipe: '5 Sch 40' } }),
      /piece.pipe.*choose from 2 Sch 40/,
    ],
    ['a joint with no passes', ({ passes: _, ...document }) => document, /passes: A joint has passes/],
    ['a pad with passes', document => ({ ...aCoupon(), passes: document.passes }), /passes: A plate has no passes/],
    [
      'a bead of no pass',
      document => ({
        ...document,
        beads: document.beads.map((bead, n) => (n === 1 ? { ...bead, passId: 'p9' } : bead)),
      }),
      /beads\[1\].passId: This bead is of no pass/,
    ],
    [
      'two passes with one id',
      document => ({ ...document, passes: document.passes!.map(pass => ({ ...pass, id: 'p1' })) }),
      /Two passes have the same id/,
    ],
    [
      'a bare rod for SMAW',
      document => ({ ...document, passes: document.passes!.map(pass => ({ ...pass, classification: 'ER70S-2' })) }),
      /not a rod of this process/,
    ],
    [
      'concavity on the face',
      document =>
        putMark(document, {
          ...newFlaw(document, 'f', 'root concavity', { beadId: 'root-side', atMm: 50 }),
          beadId: 'p3-right',
        }),
      /Root concavity is read on the root side/,
    ],
    [
      'spatter on the root',
      document => putMark(document, { ...newFlaw(document, 'f', 'spatter', { beadId: 'root-side', atMm: 50 }) }),
      /Spatter is read on the face/,
    ],
    [
      'a bead past 12 o’clock',
      document => ({ ...document, beads: document.beads.map((bead, n) => (n === 2 ? { ...bead, toMm: 400 } : bead)) }),
      /runs off the pipe, which is 189.5 mm round/,
    ],
    [
      'an answer to what is not asked',
      document => ({ ...document, answers: { crooked: 'yes' } }),
      /crooked is nothing that is asked/,
    ],
    ['an answer that is none', document => ({ ...document, answers: { 'rod glows': 'perhaps' } }), /is yes or no/],
    [
      'a cause that nobody keeps',
      document => ({ ...document, trueCause: 'the moon' }),
      /trueCause is no cause that is kept/,
    ],
    [
      'a time that is none',
      document => ({ ...document, passes: document.passes!.map(pass => ({ ...pass, log: { started: '25:00' } })) }),
      /time like 18:30/,
    ],
    [
      'a gap under nothing',
      document => ({ ...document, fitUp: { ...fitUp, misalignmentMm: -1 } }),
      /fitUp.misalignmentMm is 0 or more/,
    ],
  ])('refuses %s, with why', (_, change, said) => expect(wrong(change(pipe)).join('\n')).toMatch(said))
})
