import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../house'
import { settingsCard } from '../setup'
import { inches } from '../units'
import { aCoupon, aJoint } from './example'
import { isTry, nextCoupon, runAgain, runAgainBy, seamLength, type CouponDocument, type NextWelder } from '.'

const day = { classDay: '2026-09-22', version: 3, rules: DEFAULT_HOUSE_RULES }
const welder: NextWelder = { id: '0192f0c2-0000-7000-8000-000000000001', hand: 'left', booth: 4, last: null }
const after = (coupon: CouponDocument, own: Partial<NextWelder> = {}) =>
  nextCoupon({ ...welder, last: runAgain(coupon), ...own }, day)

describe('a student’s next coupon', () => {
  it('the first is the ladder’s first pad, in the student’s own hand and booth, by the card', () => {
    const first = nextCoupon(welder, day)
    const { position, hand, booth, currentA } = first.ticket
    expect({ position, hand, booth, beads: first.beads.length }).toEqual({
      position: '1G',
      hand: 'left',
      booth: 4,
      beads: 6,
    })
    const onCard = { ...first.ticket, position: '1G', joint: 'pad', pass: 'bead', thicknessMm: inches(3 / 8) } as const
    expect(currentA).toBe(settingsCard(onCard, DEFAULT_HOUSE_RULES).current.startA)
    expect(first.rulesVersion).toBe(3)
  })

  it('is laid out as the last was run, sound, and keeps nothing that was of that day', () => {
    const last = aCoupon({ ticket: { hoursOut: 3, booth: 9 } })
    const next = after({ ...last, notes: 'left glove', mock: true })
    expect(next.beads).toEqual(last.beads)
    expect(next.ticket).toEqual({ ...last.ticket, booth: 4, hoursOut: undefined })
    expect('hoursOut' in next.ticket).toBe(false)
    expect({ notes: next.notes, mock: next.mock }).toEqual({ notes: '', mock: false })
    expect(next.marks.filter(isTry).every(mark => mark.degree === 'sound')).toBe(true)
  })

  it('keeps the last booth for one who has none of the own', () => {
    expect(after(aCoupon({ ticket: { booth: 9 } }), { booth: null }).ticket.booth).toBe(9)
  })

  it('of one table is set as the one before, in the own hand and booth', () => {
    const read = aCoupon({ ticket: { currentA: 118, hand: 'right', booth: 9, hoursOut: 3 } })
    const { ticket, beads } = nextCoupon({ ...welder, last: runAgainBy(runAgain(read), welder) }, day)
    expect(ticket).toEqual({ ...read.ticket, hand: 'left', booth: 4, hoursOut: undefined })
    expect(beads).toEqual(read.beads)
    const nowhere = { ...welder, booth: null }
    expect(nextCoupon({ ...nowhere, last: runAgainBy(runAgain(read), nowhere) }, day).ticket.booth).toBeNull()
  })

  it('a pipe comes with the passes that were run, without their log', () => {
    const pipe = aJoint()
    const logged = pipe.passes!.map((pass, n) => (n === 0 ? { ...pass, currentA: 88, log: { interpassC: 90 } } : pass))
    const next = after({ ...pipe, passes: logged })
    expect(next.passes!.map(pass => pass.currentA)[0]).toBe(88)
    expect(next.passes!.every(pass => !('log' in pass))).toBe(true)
    expect(Math.max(...next.beads.map(bead => bead.toMm))).toBeCloseTo(seamLength(pipe.piece as never), 9)
  })
})
