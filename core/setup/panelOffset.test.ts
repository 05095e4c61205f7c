import { describe, expect, it } from 'vitest'
import { newCoupon, nextCoupon, passRemarks, ticketWindow } from '../coupon'
import { aCoupon, aJoint, aTicket } from '../coupon/example'
import { diagnose } from '../diagnosis'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { checkTicket, clampDueOn, offsetOf, onPanel, sayOffset, sayWindow } from '.'

const rules = DEFAULT_HOUSE_RULES

// Arithmetic; that a panel may be a tenth off and is validated once a year: IEC 60974-14, from memory.
describe('a panel that is off', () => {
  it('moves a window by what the arc has more, whichever way', () => {
    expect(offsetOf({ panelA: 120, clampA: 126 })).toBe(6)
    expect(onPanel({ lowA: 115, highA: 165, source: 'x' }, 6)).toEqual({ lowA: 109, highA: 159, source: 'x' })
    expect(onPanel({ lowA: 115, highA: 165 }, -6)).toEqual({ lowA: 121, highA: 171 })
    expect(onPanel({ lowA: 115, highA: 165 })).toEqual({ lowA: 115, highA: 165 })
  })
  it('is said in words', () => {
    expect([6, -3, 0].map(sayOffset)).toEqual([
      'the arc has 6 A more than the panel says',
      'the arc has 3 A less than the panel says',
      'the arc has what the panel says',
    ])
    expect(sayWindow({ lowA: 109, highA: 159 }, 6)).toBe('109–159 A on this panel')
    expect(sayWindow({ lowA: 115, highA: 165 })).toBe('115–165 A')
  })
  it('is looked at again after so many days', () => expect(clampDueOn('2026-10-05', 365)).toBe('2027-10-05'))
})

describe('a ticket from such a machine', () => {
  const ticket = aTicket({ classification: 'E7018', diameterMm: inches(1 / 8), position: '1G', currentA: 128 })
  const { highA } = ticketWindow(ticket, 9.5, rules)
  const found = (currentA: number, panelOffsetA?: number) =>
    checkTicket({ ...ticket, currentA, ...(panelOffsetA === undefined ? {} : { panelOffsetA }) }, 9.5, rules)
  it('is held to the window by what burns at the arc, to the ampere', () => {
    expect(found(highA)).toEqual([])
    expect(found(highA - 6, 6)).toEqual([])
    expect(found(highA - 5, 6)).toMatchObject([{ finding: 'current high', byA: 1 }])
    expect(found(highA - 5, 6)[0]!.text).toBe(
      `1 A over ${ticketWindow(ticket, 9.5, rules).lowA - 6}–${highA - 6} A on this panel`,
    )
    expect(found(highA + 3, -3)).toEqual([])
    expect(found(highA + 4, -3)).toMatchObject([{ finding: 'current high', byA: 1 }])
  })
  it('so are the passes of a joint', () => {
    const plain = aJoint()
    const off = { ...plain, ticket: { ...plain.ticket, panelOffsetA: 6 } }
    for (const pass of plain.passes!) {
      const hot = { ...pass, currentA: pass.currentA + 40 }
      const same = { ...hot, currentA: hot.currentA - 6 }
      expect(passRemarks(off, same, rules).map(one => one.finding)).toEqual(
        passRemarks(plain, hot, rules).map(one => one.finding),
      )
    }
  })
  it('has the same causes as one from a right panel, and is told amperes of its own', () => {
    const hot = aCoupon({ ticket: { currentA: 160 } })
    const shifted = aCoupon({ ticket: { currentA: 154, panelOffsetA: 6 } })
    const answers = { 'rod glows': 'yes' } as const
    const [right, off] = [hot, shifted].map(coupon => diagnose({ ...coupon, answers }, rules))
    expect(off!.causes.map(row => [row.cause.id, row.odds])).toEqual(right!.causes.map(row => [row.cause.id, row.odds]))
    const amperes = (text: string) => /to (\d+) A/.exec(text)?.[1]
    expect(Number(amperes(right!.nextRun)) - Number(amperes(off!.nextRun))).toBe(6)
  })
})

describe('the next coupon at such a machine', () => {
  const welder = { id: aCoupon().studentId, hand: 'right', booth: 1, last: null } as const
  const day = { classDay: '2026-10-05', version: 0, rules }
  it('has the card’s current as its panel has to show it', () => {
    const right = nextCoupon(welder, day).ticket
    const off = nextCoupon({ ...welder, panelOffsetA: 6 }, day).ticket
    expect(off).toEqual({ ...right, currentA: right.currentA - 6, panelOffsetA: 6 })
    expect(nextCoupon({ ...welder, panelOffsetA: 0 }, day).ticket).toEqual(right)
  })
  it('burns its rods by what the arc has: the same restarts as at a right panel', () => {
    const restarts = (panelOffsetA: number) => nextCoupon({ ...welder, panelOffsetA }, day).marks
    expect(restarts(40)).toEqual(restarts(0))
    const hot = (ticket: object) => aCoupon({ ticket: { currentA: 95, ...ticket } }).marks
    expect(hot({ panelOffsetA: 60 })).toEqual(aCoupon({ ticket: { currentA: 155 } }).marks)
    expect(hot({ panelOffsetA: 60 })).not.toEqual(hot({}))
  })
  it('run again is set as it was, and says how far this panel is off, not the last one', () => {
    const { ticket, piece, beads } = newCoupon(
      {
        studentId: welder.id,
        classDay: day.classDay,
        rulesVersion: 0,
        ticket: aTicket({ currentA: 125, panelOffsetA: 6 }),
        piece: aCoupon().piece,
        beadCount: 6,
      },
      rules,
    )
    const last = { ticket, piece, beadCount: beads.length }
    expect(nextCoupon({ ...welder, last, panelOffsetA: -3 }, day).ticket).toMatchObject({
      currentA: 125,
      panelOffsetA: -3,
    })
    expect(nextCoupon({ ...welder, last }, day).ticket).not.toHaveProperty('panelOffsetA')
  })
})
